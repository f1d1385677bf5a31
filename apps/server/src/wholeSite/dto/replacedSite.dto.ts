import { ApiProperty } from '@nestjs/swagger';

/** A site over which another was laid. */
export class ReplacedSiteDto {
  @ApiProperty({ description: 'Number of the change' })
  seq: number;

  @ApiProperty({ description: 'Whether there was anything to change' })
  changed: boolean;
}
