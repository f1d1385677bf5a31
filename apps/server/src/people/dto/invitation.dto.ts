import { ROLE_NAMES, type RoleName } from '@cove/core';
import { ApiProperty } from '@nestjs/swagger';

/** An invitation that is open. */
export class InvitationDto {
  @ApiProperty()
  id: string;

  @ApiProperty()
  email: string;

  @ApiProperty({ enum: ROLE_NAMES })
  role: RoleName;

  @ApiProperty({ type: String, format: 'date-time' })
  expiresAt: Date;
}

/** A new invitation: its link is told this once. */
export class InvitedDto {
  @ApiProperty()
  link: string;
}

/** The site that an invitation was accepted for. */
export class JoinedDto {
  @ApiProperty()
  site: string;
}

/** What a link invites to. */
export class InvitedToDto extends JoinedDto {
  @ApiProperty({ description: 'Name of the site' })
  name: string;

  @ApiProperty({ enum: ROLE_NAMES })
  role: RoleName;

  @ApiProperty({ description: 'Address it was sent to' })
  email: string;
}
