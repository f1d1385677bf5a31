import type { Edit } from '@cove/core';
import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { coreRef } from '../../api/coreTypes';
import { orNull } from '../../api/orNull';

const RESETS = ['upgrade', 'restore'] as const;

/** What became of a change that was sent. */
export class ReceiptDto {
  @ApiProperty({ description: 'Number of the change' })
  seq: number;

  @ApiProperty({ type: [Number], description: 'Numbers of the edits that met nothing to alter' })
  dropped: readonly number[];
}

/** A change that was accepted, as it is told to everybody at the site. */
export class AcceptedChangeDto {
  @ApiProperty({ description: 'Its number' })
  seq: number;

  @ApiProperty({ description: 'What its maker called it' })
  id: string;

  @ApiProperty({ description: 'The last change its maker had seen' })
  base: number;

  @ApiProperty({
    ...orNull({ type: 'string' }),
    description: 'Who made it; null for what the program did itself',
  })
  by: string | null;

  @ApiProperty({ description: 'The schema its edits have' })
  schema: number;

  @ApiPropertyOptional({
    enum: RESETS,
    description: 'Why the whole site is another since, where it is: nobody can replay such a change',
  })
  resets?: (typeof RESETS)[number];

  @ApiProperty({ type: 'array', items: coreRef('Edit') })
  edits: readonly Edit[];
}
