import { STATIONS, type StationName } from '@cove/core';
import { ApiExtraModels, ApiProperty, ApiPropertyOptional, getSchemaPath } from '@nestjs/swagger';
import { IsIn, IsOptional, IsString, Matches, MaxLength } from 'class-validator';
import { orNull } from '../../api/orNull';
import type { Place } from '../../database/entities';

/** Where somebody is at a site. */
export class PlaceDto implements Place {
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

/** What a tab says of where it is. */
export class HereDto extends PlaceDto {
  @ApiProperty({ description: 'Names this tab' })
  @IsString()
  @Matches(/^[A-Za-z0-9-]{8,64}$/)
  client: string;
}

/** Somebody at a site, in one tab. */
@ApiExtraModels(PlaceDto)
export class PresenceDto {
  @ApiProperty({ description: 'Names the tab' })
  client: string;

  @ApiProperty()
  name: string;

  @ApiProperty()
  account: string;

  @ApiProperty({ ...orNull({ $ref: getSchemaPath(PlaceDto) }), description: 'Null for one who has left' })
  place: PlaceDto | null;
}
