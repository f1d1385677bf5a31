import { ApiProperty } from '@nestjs/swagger';
import { IsString, MaxLength, MinLength } from 'class-validator';

export class GiveFilesDto {
  @ApiProperty({ description: 'Site that takes the guide' })
  @IsString()
  @MaxLength(64)
  site: string;
}

export class KeepGuideDto {
  @ApiProperty({ description: 'Site whose guide is kept' })
  @IsString()
  @MaxLength(64)
  site: string;

  @ApiProperty({ description: 'Its name; one of the same name becomes a newer version of it' })
  @IsString()
  @MinLength(1)
  @MaxLength(80)
  name: string;

  @ApiProperty({ description: 'Its character, in a line' })
  @IsString()
  @MaxLength(200)
  about: string;
}
