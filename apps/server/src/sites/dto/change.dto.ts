import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import {
  ArrayMaxSize,
  ArrayNotEmpty,
  IsArray,
  IsInt,
  IsOptional,
  IsString,
  Matches,
  Min,
} from 'class-validator';

export class ChangeDto {
  @ApiProperty({ description: 'Made by the client; the same id twice is accepted once.' })
  @IsString()
  @Matches(/^[A-Za-z0-9-]{8,64}$/, { message: 'id: expected 8 to 64 letters, digits and hyphens.' })
  id: string;

  @ApiPropertyOptional({ description: 'The last change its maker had seen: what came between met it unseen' })
  @IsOptional()
  @IsInt()
  @Min(0)
  base?: number;

  /** What is inside is read by the core's own tables. */
  @ApiProperty({
    type: 'array',
    items: { type: 'object' },
    description: 'put {record}, set {id, path, value}, unset {id, path}, remove {id}',
  })
  @IsArray()
  @ArrayNotEmpty()
  @ArrayMaxSize(20_000)
  edits: unknown[];
}
