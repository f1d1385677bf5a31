import { ApiProperty } from '@nestjs/swagger';
import { orNull } from '../../api/orNull';

/** A snapshot that was kept. */
export class KeptSnapshotDto {
  @ApiProperty()
  id: string;

  @ApiProperty({ description: 'The change up to which it holds the site' })
  seq: number;
}

/** A snapshot, without what it holds. */
export class SnapshotSummaryDto extends KeptSnapshotDto {
  @ApiProperty({ description: 'What it was kept for' })
  note: string;

  @ApiProperty({
    ...orNull({ type: 'string' }),
    description: 'Who kept it; null where they have no account any more',
  })
  by: string | null;

  @ApiProperty({ type: String, format: 'date-time' })
  createdAt: Date;
}

/** What going back came to. */
export class RestoredDto {
  @ApiProperty({ description: 'Number of the change' })
  seq: number;

  @ApiProperty({ type: [String], description: 'What the snapshot holds and nobody can read, in words' })
  unread: readonly string[];
}
