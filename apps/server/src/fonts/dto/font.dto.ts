import { ApiProperty } from '@nestjs/swagger';
import { IsBase64, IsString, MaxLength } from 'class-validator';

export class FontDto {
  @ApiProperty({ description: 'The font file, base64' })
  @IsString()
  @MaxLength(12_000_000)
  @IsBase64()
  data: string;
}
