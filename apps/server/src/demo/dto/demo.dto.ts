import { ApiProperty } from '@nestjs/swagger';

export class DemoDto {
  @ApiProperty({ description: 'Whether there is a demo to enter' })
  offered: boolean;
}
