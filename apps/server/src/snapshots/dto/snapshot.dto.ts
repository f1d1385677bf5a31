import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { IsIn, IsOptional, IsString, MaxLength } from 'class-validator';

export class SnapshotDto {
  @ApiProperty({ description: 'What it was kept for' })
  @IsString()
  @MaxLength(200)
  note: string;
}

const PARTS = ['all', 'guide'] as const;

export class RestoreDto {
  @ApiPropertyOptional({ enum: PARTS, description: 'The whole site, or its guide alone' })
  @IsOptional()
  @IsIn(PARTS)
  part?: (typeof PARTS)[number];
}
