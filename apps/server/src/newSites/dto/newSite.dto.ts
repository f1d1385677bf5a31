import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Matches,
  MaxLength,
  ValidateNested,
} from 'class-validator';

const LONGEST_WORDS = 2000;
const MOST_MISSING = 30;

/** What is known of the brand beside its values. */
export class BriefDto {
  @ApiPropertyOptional({ description: 'What it feels like, and what it never does' })
  @IsOptional()
  @IsString()
  @MaxLength(LONGEST_WORDS)
  character?: string;

  @ApiPropertyOptional({ description: 'Whom the site is for' })
  @IsOptional()
  @IsString()
  @MaxLength(LONGEST_WORDS)
  audience?: string;

  @ApiPropertyOptional({ description: 'What visitors come to find or do' })
  @IsOptional()
  @IsString()
  @MaxLength(LONGEST_WORDS)
  visitors?: string;

  @ApiPropertyOptional({ type: [String], description: 'Content that is still to come, each a line' })
  @IsOptional()
  @IsString({ each: true })
  @ArrayMaxSize(MOST_MISSING)
  @MaxLength(LONGEST_WORDS, { each: true })
  missing?: string[];
}

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

  @ApiPropertyOptional({
    type: 'object',
    additionalProperties: true,
    description: 'The brand whose guide it has, in the place of the guide of the ready site',
  })
  @IsOptional()
  @IsObject()
  brand?: object;

  @ApiPropertyOptional({
    description:
      'A site of one’s own whose pages it has, made neutral, in the place of those of the ready site',
  })
  @IsOptional()
  @IsString()
  @MaxLength(80)
  ownSite?: string;

  @ApiPropertyOptional({ type: BriefDto })
  @IsOptional()
  @ValidateNested()
  @Type(() => BriefDto)
  brief?: BriefDto;

  @ApiPropertyOptional({ description: 'The ready-made guide that it has in that place' })
  @IsOptional()
  @IsString()
  @MaxLength(40)
  readyGuide?: string;

  @ApiPropertyOptional({ description: 'The kept guide that it has in that place' })
  @IsOptional()
  @IsUUID()
  keptGuide?: string;
}
