import { ApiProperty } from '@nestjs/swagger';
import { IsEmail, IsString, MaxLength, MinLength } from 'class-validator';

export class SignInDto {
  @ApiProperty({ example: 'demo@tolvane.example' })
  @IsEmail({}, { message: 'Enter an email address.' })
  @MaxLength(254)
  email: string;

  @ApiProperty()
  @IsString()
  @MinLength(1, { message: 'Enter your password.' })
  @MaxLength(500)
  password: string;
}
