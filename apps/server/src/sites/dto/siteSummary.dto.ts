import { KEEPER_MAY, type KeeperMay, ROLE_NAMES, type RoleName } from '@cove/core';
import { ApiProperty } from '@nestjs/swagger';

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
}
