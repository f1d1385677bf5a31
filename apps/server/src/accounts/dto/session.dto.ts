import { ApiProperty } from '@nestjs/swagger';

/** Where one is signed in. */
export class SessionDto {
  @ApiProperty()
  id: string;

  @ApiProperty({ description: 'What the browser says it is' })
  agent: string;

  @ApiProperty({ type: String, format: 'date-time' })
  createdAt: Date;

  @ApiProperty({ type: String, format: 'date-time' })
  seenAt: Date;

  @ApiProperty({ description: 'Whether it is the one that asks' })
  current: boolean;
}
