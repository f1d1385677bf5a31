import { ApiProperty } from '@nestjs/swagger';
import { IsString, Matches, MaxLength } from 'class-validator';

export class KeepSectionDto {
  @ApiProperty({ description: 'Site it stands in' })
  @IsString()
  @MaxLength(64)
  site: string;

  @ApiProperty({ description: 'The section' })
  @IsString()
  @MaxLength(64)
  section: string;

  @ApiProperty({ description: 'Its name; one of the same name is replaced' })
  @IsString()
  @Matches(/\S/, { message: 'name should not be empty' })
  @MaxLength(80)
  name: string;
}
