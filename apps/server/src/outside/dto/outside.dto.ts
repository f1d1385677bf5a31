import { ApiProperty } from '@nestjs/swagger';
import { Transform } from 'class-transformer';
import { IsIn, IsOptional, IsString, MaxLength, MinLength } from 'class-validator';

export class LibraryQuery {
  @ApiProperty({
    description: 'Words to be found in names and subjects; all pictures where left out',
    required: false,
  })
  @IsOptional()
  @IsString()
  @MaxLength(200)
  words?: string;
}

/** Widths in px in which a picture of the library is given. */
export const LIBRARY_WIDTHS = [320, 1200] as const;

export class WidthQuery {
  @ApiProperty({ enum: LIBRARY_WIDTHS })
  @Transform(({ value }) => Number(value))
  @IsIn([...LIBRARY_WIDTHS])
  width: number;
}

export class AddressQuery {
  @ApiProperty({ description: 'Web address of a picture' })
  @IsString()
  @MinLength(1)
  @MaxLength(2000)
  address: string;
}

export class LibraryPictureDto {
  @ApiProperty()
  id: string;
  @ApiProperty()
  name: string;
  @ApiProperty()
  alt: string;
  @ApiProperty({ type: [String] })
  subjects: readonly string[];
}
