import { Controller, Get } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { AnswersList } from '../api/answers';
import { Allow, type Caller, CurrentCaller } from '../common/access';
import { notFound } from '../common/problem';
import { Config } from '../config/config';
import { LetterDto } from './dto/letter.dto';
import { OutboxService } from './outbox.service';

@ApiTags('outbox')
@Controller('api/outbox')
export class OutboxController {
  constructor(
    private readonly outbox: OutboxService,
    private readonly config: Config,
  ) {}

  @Get()
  @Allow('signed-in')
  @AnswersList(LetterDto)
  @ApiOperation({ summary: 'Simulated mail to one’s own address, and of the sites where one is a designer' })
  mine(@CurrentCaller() { account, email }: Caller) {
    return this.outbox.readableBy(account, email);
  }

  /** On one’s own machine there is no postman: whoever can reach it may read what would have been sent. */
  @Get('open')
  @Allow('anyone')
  @AnswersList(LetterDto)
  @ApiOperation({ summary: 'All simulated mail; only where COVE_OUTBOX is open' })
  everything() {
    if (this.config.COVE_OUTBOX !== 'open') throw notFound('outbox');
    return this.outbox.all();
  }
}
