import type { Unrenderable } from '@cove/core';
import { ApiProperty } from '@nestjs/swagger';
import { coreRef } from '../../api/coreTypes';
import { orNull } from '../../api/orNull';
import { RELEASE_STATES, type ReleaseState } from '../../database/entities';

/** A release that was asked for. */
export class OrderedReleaseDto {
  @ApiProperty()
  id: string;

  @ApiProperty({ description: 'Counted from 1 for each site' })
  number: number;
}

/** A release, and how far it has come. */
export class ReleaseDto extends OrderedReleaseDto {
  @ApiProperty({ description: 'The change up to which it holds the site' })
  seq: number;

  @ApiProperty()
  note: string;

  @ApiProperty({ enum: RELEASE_STATES })
  state: ReleaseState;

  @ApiProperty({ description: 'Pages that are written' })
  done: number;

  @ApiProperty({ description: 'Pages that will be' })
  total: number;

  @ApiProperty({ ...orNull({ type: 'string' }) })
  problem: string | null;

  @ApiProperty({ type: 'array', items: coreRef('Unrenderable') })
  problems: readonly Unrenderable[];

  @ApiProperty({ type: String, format: 'date-time' })
  createdAt: Date;

  @ApiProperty({ description: 'Whether it is the one that visitors see' })
  live: boolean;
}

/** The releases of a site, the newest first. */
export class ReleasesDto {
  @ApiProperty({ type: [ReleaseDto] })
  releases: readonly ReleaseDto[];
}
