import { KEEPER_MAY, type KeeperMay, ROLE_NAMES, type RoleName } from '@cove/core';
import { ApiProperty } from '@nestjs/swagger';

/** The last change of a site. */
export class LastChangeDto {
  @ApiProperty()
  at: Date;

  @ApiProperty({ type: String, nullable: true, description: 'Null for what the program did itself' })
  by: string | null;

  @ApiProperty({ description: 'Whether it was the caller' })
  own: boolean;
}

/** The release that visitors see. */
export class LiveReleaseDto {
  @ApiProperty()
  number: number;

  @ApiProperty({ description: 'How many changes were made after it' })
  changesSince: number;
}

/** A site one is a member of. */
export class SiteSummaryDto {
  @ApiProperty()
  id: string;

  @ApiProperty()
  name: string;

  @ApiProperty({ enum: ROLE_NAMES })
  role: RoleName;

  @ApiProperty({ enum: KEEPER_MAY, description: 'The most a keeper of this site may change' })
  keeperMay: KeeperMay;

  @ApiProperty({ description: 'Where the published site is' })
  address: string;

  @ApiProperty({ description: 'Number of the last change' })
  seq: number;

  @ApiProperty({ type: String, nullable: true, description: 'The page that its address leads to' })
  home: string | null;

  @ApiProperty({ description: 'Whether it was laid aside' })
  archived: boolean;

  @ApiProperty({ type: LastChangeDto, nullable: true })
  changed: LastChangeDto | null;

  @ApiProperty({ type: LiveReleaseDto, nullable: true })
  live: LiveReleaseDto | null;
}
