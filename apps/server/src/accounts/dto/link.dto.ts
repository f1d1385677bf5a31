import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { IsEmail, IsOptional, IsString, Matches, MaxLength, MinLength } from 'class-validator';

const SECRET = /^[\w-]{43}$/;

export class LinkDto {
  @ApiProperty({ example: 'ines@tolvane.example' })
  @IsEmail({}, { message: 'Enter an email address.' })
  @MaxLength(254)
  email: string;

  @ApiPropertyOptional({ description: 'An invitation to come back to' })
  @IsOptional()
  @Matches(SECRET)
  invitation?: string;
}

export class SecretDto {
  @ApiProperty({ description: 'What the link holds after its #' })
  @IsString()
  @Matches(SECRET, { message: 'This is no whole link.' })
  secret: string;
}

export class UseLinkDto extends SecretDto {
  @ApiProperty()
  @IsString()
  @MinLength(1, { message: 'Enter your name.' })
  @MaxLength(80)
  name: string;

  @ApiProperty()
  @IsString()
  @MinLength(10, { message: 'Use at least 10 characters.' })
  @MaxLength(500)
  password: string;
}
