import { ApiProperty } from '@nestjs/swagger';
import { IsUUID } from 'class-validator';

export class LiveDto {
  @ApiProperty({ description: 'The release that visitors shall see' })
  @IsUUID()
  release: string;
}
