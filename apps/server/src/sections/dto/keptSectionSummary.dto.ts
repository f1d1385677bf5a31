import type { Clip } from '@cove/core';
import { ApiProperty } from '@nestjs/swagger';
import { coreRef } from '../../api/coreTypes';
import { orNull } from '../../api/orNull';

/** A kept section, without what it holds. */
export class KeptSectionDto {
  @ApiProperty()
  id: string;

  @ApiProperty()
  name: string;

  @ApiProperty({ type: String, format: 'date-time' })
  createdAt: Date;
}

/** A kept section with all it holds. */
export class WholeKeptSectionDto extends KeptSectionDto {
  @ApiProperty({ ...orNull(coreRef('Clip')), description: 'Null where it cannot be read' })
  clip: Clip | null;
}
