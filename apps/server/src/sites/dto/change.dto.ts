import { FIRST_SCHEMA } from '@cove/core';
import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { Allow, IsInt, IsOptional, IsString, Matches, Max, Min } from 'class-validator';
import { coreRef } from '../../api/coreTypes';

/** Greatest number that a change of a site can have: PostgreSQL's int. */
export const LAST_SEQ = 2_147_483_647;

/** Numbers of schemas have an end, so that one that cannot be is told as such. */
const LAST_SCHEMA = 999_999;

/** What a change says of itself; its edits are read by the core's own tables. */
export class ChangeDto {
  @ApiProperty({ description: 'Made by the client; the same id twice is accepted once.' })
  @IsString()
  @Matches(/^[A-Za-z0-9-]{8,64}$/, { message: 'id: expected 8 to 64 letters, digits and hyphens.' })
  id: string;

  @ApiPropertyOptional({ description: 'The last change its maker had seen: what came between met it unseen' })
  @IsOptional()
  @IsInt()
  @Min(0)
  @Max(LAST_SEQ)
  base?: number;

  @ApiPropertyOptional({ description: 'The schema its edits were made under, where that is an earlier one' })
  @IsOptional()
  @IsInt()
  @Min(FIRST_SCHEMA)
  @Max(LAST_SCHEMA)
  schema?: number;

  @ApiProperty({
    type: 'array',
    items: coreRef('Edit'),
  })
  @Allow()
  edits: unknown;
}
