import { isProperty, type PropertyName, STATES, type State, WIDTHS, type Width } from '@cove/core';
import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { IsIn, IsOptional, IsString, MaxLength, registerDecorator } from 'class-validator';

const IsPropertyName = () => (target: object, propertyName: string) =>
  registerDecorator({
    name: 'isPropertyName',
    target: target.constructor,
    propertyName,
    options: { message: 'property: expected the name of a property, such as backgroundColor.' },
    validator: { validate: (value: unknown) => typeof value === 'string' && isProperty(value) },
  });

export class ThreadQuery {
  @ApiPropertyOptional({ description: 'A section or widget, with the page it is asked on' })
  @IsOptional()
  @IsString()
  @MaxLength(64)
  node?: string;

  @ApiPropertyOptional()
  @IsOptional()
  @IsString()
  @MaxLength(64)
  page?: string;

  @ApiPropertyOptional({ description: 'An element, instead of node and page' })
  @IsOptional()
  @IsString()
  @MaxLength(64)
  type?: string;

  @ApiPropertyOptional({ description: 'Ids of variants, joined by commas' })
  @IsOptional()
  @IsString()
  @MaxLength(400)
  variant?: string;

  @ApiPropertyOptional()
  @IsOptional()
  @IsString()
  @MaxLength(64)
  scheme?: string;

  @ApiProperty()
  @IsString()
  @MaxLength(40)
  part: string;

  @ApiPropertyOptional({ enum: STATES })
  @IsOptional()
  @IsIn(STATES)
  state?: State;

  @ApiPropertyOptional({ enum: WIDTHS })
  @IsOptional()
  @IsIn(WIDTHS)
  width?: Width;

  @ApiProperty()
  @IsPropertyName()
  property: PropertyName;
}

/** The question itself, as it goes to a thread. */
export type ThreadAsked = Omit<ThreadQuery, never>;
