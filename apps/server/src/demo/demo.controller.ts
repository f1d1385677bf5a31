import { Controller, Get, Post, Req, Res } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { AccountsService } from '../accounts/accounts.service';
import { PersonDto } from '../accounts/dto/person.dto';
import { Answers } from '../api/answers';
import { Allow } from '../common/access';
import { notFound } from '../common/problem';
import { DEMO } from './demo.service';
import { DemoDto } from './dto/demo.dto';

/** The way in for those who want to look around: only where the demo was laid. */
@ApiTags('demo')
@Controller('api/demo')
export class DemoController {
  constructor(private readonly accounts: AccountsService) {}

  @Get()
  @Answers(DemoDto)
  @Allow('anyone')
  @ApiOperation({ summary: 'Whether there is a demo to enter' })
  async offered() {
    return { offered: (await this.accounts.byEmail(DEMO.email)) !== null };
  }

  @Post('session')
  @Allow('anyone')
  @Answers(PersonDto)
  @ApiOperation({ summary: 'Enter the demo; answers with a session cookie' })
  async enter(@Req() request: Request, @Res({ passthrough: true }) response: Response) {
    const account = await this.accounts.byEmail(DEMO.email);
    if (!account) throw notFound('demo');
    return this.accounts.admit(account, request, response);
  }
}
