import { ROLE_NAMES, type RoleName } from '@cove/core';
import { ApiProperty } from '@nestjs/swagger';

/** Somebody who belongs to a site. */
export class MemberDto {
  @ApiProperty()
  account: string;

  @ApiProperty()
  name: string;

  @ApiProperty()
  email: string;

  @ApiProperty({ enum: ROLE_NAMES })
  role: RoleName;
}
