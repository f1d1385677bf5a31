import { ApiProperty } from '@nestjs/swagger';

/** Whoever is signed in. */
export class PersonDto {
  @ApiProperty()
  email: string;

  @ApiProperty({ description: 'The name others see' })
  name: string;
}
