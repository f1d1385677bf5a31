import { ApiProperty } from '@nestjs/swagger';
import { IsBoolean, IsString, Matches, MaxLength } from 'class-validator';

const MOST = 80;

/** A name for a site, or for a copy of one. */
export class SiteNameDto {
  @ApiProperty({ description: 'What the site is called' })
  @IsString()
  @Matches(/\S/, { message: 'name should not be empty' })
  @MaxLength(MOST)
  name: string;
}

export class ArchiveDto {
  @ApiProperty({ description: 'Whether it is laid aside, or back among the others' })
  @IsBoolean()
  archived: boolean;
}

export class DeleteSiteQuery {
  @ApiProperty({ description: 'The name of the site, so that no other one is deleted by mistake' })
  @IsString()
  @MaxLength(MOST)
  name: string;
}

export class PaletteDto {
  @ApiProperty({ type: [String], description: 'Colours by which the site is known again, as CSS' })
  colors: string[];
}
