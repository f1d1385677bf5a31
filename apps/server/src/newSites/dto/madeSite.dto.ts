import { ApiProperty } from '@nestjs/swagger';

/** A site that was made. */
export class MadeSiteDto {
  @ApiProperty()
  id: string;
}
