import { STATIONS, type StationName } from '@cove/core';
import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { IsIn, IsOptional, IsString, Matches, MaxLength } from 'class-validator';

export class PresenceDto {
  @ApiProperty({ description: 'Names this tab' })
  @IsString()
  @Matches(/^[A-Za-z0-9-]{8,64}$/)
  client: string;

  @ApiProperty({ enum: STATIONS })
  @IsIn(STATIONS)
  station: StationName;

  @ApiPropertyOptional({ description: 'Id of the open page' })
  @IsOptional()
  @IsString()
  @MaxLength(100)
  page?: string;

  @ApiPropertyOptional({ description: 'Id of what is selected' })
  @IsOptional()
  @IsString()
  @MaxLength(100)
  node?: string;
}
