import { ApiProperty } from '@nestjs/swagger';

/** A kept guide, without what it holds. */
export class KeptGuideDto {
  @ApiProperty()
  id: string;

  @ApiProperty()
  name: string;

  @ApiProperty({ description: 'Its character, in a line' })
  about: string;

  @ApiProperty({ description: 'Counted from 1; one more each time it is kept again' })
  version: number;

  @ApiProperty({ description: 'Site it was kept from' })
  fromSite: string;

  @ApiProperty({ type: String, format: 'date-time' })
  createdAt: Date;
}
