import { ApiProperty } from '@nestjs/swagger';

export class HealthDto {
  @ApiProperty()
  program: string;

  @ApiProperty()
  status: string;
}
