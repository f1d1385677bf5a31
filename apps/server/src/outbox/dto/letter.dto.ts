import { ApiProperty } from '@nestjs/swagger';

/** A letter that would have been sent. */
export class LetterDto {
  @ApiProperty()
  id: number;

  @ApiProperty()
  recipient: string;

  @ApiProperty()
  subject: string;

  @ApiProperty()
  body: string;

  @ApiProperty({ type: String, format: 'date-time' })
  sentAt: Date;
}
