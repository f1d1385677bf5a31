import type { SiteRecord } from '@cove/core';
import { ApiProperty } from '@nestjs/swagger';
import { coreRef } from '../../api/coreTypes';

/** A whole site. */
export class SiteDto {
  @ApiProperty({ description: 'Number of its last change' })
  seq: number;

  @ApiProperty({ type: 'array', items: coreRef('SiteRecord') })
  records: readonly SiteRecord[];
}
