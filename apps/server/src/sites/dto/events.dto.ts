import { ApiPropertyOptional } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import { IsInt, IsOptional, IsString, Max, MaxLength, Min } from 'class-validator';
import { LAST_SEQ } from './change.dto';

export class EventsQuery {
  @ApiPropertyOptional({ description: 'The last change one has; those after it are sent first' })
  @IsOptional()
  @Type(() => Number)
  @IsInt()
  @Min(0)
  @Max(LAST_SEQ)
  after?: number;

  @ApiPropertyOptional({ description: 'The schema of the page that asks, where it can send no header' })
  @IsOptional()
  @IsString()
  @MaxLength(6)
  schema?: string;
}

export class ChangesQuery extends EventsQuery {
  @ApiPropertyOptional({ description: 'How many at most' })
  @IsOptional()
  @Type(() => Number)
  @IsInt()
  @Min(1)
  @Max(500)
  limit?: number;
}
