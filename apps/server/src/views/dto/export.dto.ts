import { EXPORTS } from '@cove/core';
import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { IsIn, IsOptional, IsString, IsUUID, MaxLength } from 'class-validator';

export class ExportQuery {
  @ApiPropertyOptional({ description: 'A finished release; the draft where none is named' })
  @IsOptional()
  @IsUUID()
  release?: string;
}

const FILES = EXPORTS.map(it => it.file);

export class GuideFileParam {
  @ApiProperty()
  @IsString()
  @MaxLength(64)
  site: string;

  @ApiProperty({ enum: FILES, description: 'One of the open formats of a guide' })
  @IsIn(FILES)
  file: string;
}
