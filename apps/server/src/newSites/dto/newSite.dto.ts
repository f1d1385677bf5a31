import { ApiProperty } from '@nestjs/swagger';
import { IsString, Matches, MaxLength } from 'class-validator';

export class NewSiteDto {
  @ApiProperty({ description: 'What the site is called' })
  @IsString()
  @Matches(/\S/, { message: 'name should not be empty' })
  @MaxLength(80)
  name: string;

  @ApiProperty({ description: 'The ready site it begins as' })
  @IsString()
  @MaxLength(40)
  starter: string;
}
