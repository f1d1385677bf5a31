import { ApiProperty } from '@nestjs/swagger';

/** Whose link it is. */
export class LinkOwnerDto {
  @ApiProperty()
  email: string;

  @ApiProperty({ description: 'Whether there is an account already' })
  known: boolean;

  @ApiProperty({ description: 'Its name; empty where there is none' })
  name: string;
}
