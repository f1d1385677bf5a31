import { ApiPropertyOptional } from '@nestjs/swagger';
import { IsBoolean, IsOptional, IsString, MaxLength } from 'class-validator';

export class PublishDto {
  @ApiPropertyOptional({ description: 'What is new, in a few words' })
  @IsOptional()
  @IsString()
  @MaxLength(200)
  note?: string;

  @ApiPropertyOptional({ description: 'Publish the rest where something cannot be rendered' })
  @IsOptional()
  @IsBoolean()
  leaveOut?: boolean;
}
