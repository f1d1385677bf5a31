import { ApiProperty } from '@nestjs/swagger';
import { IsBase64, IsString, MaxLength } from 'class-validator';

export class PictureDto {
  @ApiProperty({ description: 'The picture file, base64' })
  @IsString()
  @MaxLength(16_000_000)
  @IsBase64()
  data: string;
}

export class FileDto extends PictureDto {
  @ApiProperty({ description: 'Its name, whose ending tells kinds of text apart' })
  @IsString()
  @MaxLength(200)
  name: string;
}
