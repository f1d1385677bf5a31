import { ApiProperty } from '@nestjs/swagger';

/** Says nothing of whether there is an account. */
export class LinkSentDto {
  @ApiProperty()
  sent: boolean;
}
