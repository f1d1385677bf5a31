import { ApiProperty } from '@nestjs/swagger';
import { IsString, MaxLength, MinLength } from 'class-validator';

export class FileQuery {
  @ApiProperty({ description: 'Name of the file, whose ending tells kinds of text apart' })
  @IsString()
  @MinLength(1)
  @MaxLength(200)
  name: string;
}
