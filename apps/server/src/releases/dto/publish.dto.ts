import { ApiPropertyOptional } from '@nestjs/swagger';
import { IsOptional, IsString, MaxLength } from 'class-validator';

export class PublishDto {
  @ApiPropertyOptional({ description: 'What is new, in a few words' })
  @IsOptional()
  @IsString()
  @MaxLength(200)
  note?: string;
}
