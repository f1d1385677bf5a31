import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { IsObject, IsOptional, IsString, IsUUID, Matches, MaxLength } from 'class-validator';

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
