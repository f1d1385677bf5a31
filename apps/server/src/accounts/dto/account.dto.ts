import { ApiProperty } from '@nestjs/swagger';
import { IsString, MaxLength, MinLength } from 'class-validator';

export class NameDto {
  @ApiProperty()
  @IsString()
  @MinLength(1, { message: 'Enter your name.' })
  @MaxLength(80)
  name: string;
}

export class PasswordDto {
  @ApiProperty()
  @IsString()
  @MaxLength(500)
  current: string;

  @ApiProperty()
  @IsString()
  @MinLength(10, { message: 'Use at least 10 characters.' })
  @MaxLength(500)
  password: string;
}
