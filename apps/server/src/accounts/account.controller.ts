import { Body, Controller, Delete, Get, Param, ParseUUIDPipe, Post, Put, Req, Res } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { Answers, AnswersList, AnswersNothing } from '../api/answers';
import { Allow, type Caller, CurrentCaller } from '../common/access';
import { notFound, ProblemException } from '../common/problem';
import { AccountsService } from './accounts.service';
import { AttemptsService } from './attempts.service';
import { NameDto, PasswordDto } from './dto/account.dto';
import { LinkDto, SecretDto, UseLinkDto } from './dto/link.dto';
import { LinkOwnerDto } from './dto/linkOwner.dto';
import { LinkSentDto } from './dto/linkSent.dto';
import { PersonDto } from './dto/person.dto';
import { SessionDto } from './dto/session.dto';
import { LinksService } from './links.service';

@ApiTags('account')
@Controller('api/account')
export class AccountController {
  constructor(
    private readonly accounts: AccountsService,
    private readonly links: LinksService,
    private readonly attempts: AttemptsService,
  ) {}

  @Post('link')
  @Allow('anyone')
  @Answers(LinkSentDto, { status: 202 })
  @ApiOperation({
    summary: 'Send a link to make an account or choose a new password; says nothing of either',
  })
  async askLink(@Body() { email, invitation }: LinkDto, @Req() { ip = '' }: Request) {
    await this.attempts.ofLetter(email, ip);
    await this.links.send(email, invitation);
    return { sent: true };
  }

  @Post('link/look')
  @Allow('anyone')
  @Answers(LinkOwnerDto)
  @ApiOperation({ summary: 'Whose link it is' })
  look(@Body() { secret }: SecretDto) {
    return this.links.look(secret);
  }

  @Post()
  @Answers(PersonDto, { status: 201 })
  @Allow('anyone')
  @ApiOperation({ summary: 'Make an account, or choose a new password, with a link; signs in' })
  async use(
    @Body() { secret, name, password }: UseLinkDto,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ) {
    return this.accounts.admit(await this.links.use(secret, name, password), request, response);
  }

  @Put('name')
  @Allow('signed-in')
  @AnswersNothing()
  @ApiOperation({ summary: 'Change the name others see' })
  rename(@CurrentCaller() caller: Caller, @Body() { name }: NameDto): Promise<void> {
    return this.accounts.rename(caller.account, name);
  }

  @Put('password')
  @Allow('signed-in')
  @AnswersNothing()
  @ApiOperation({ summary: 'Change the password; every other session ends' })
  async setPassword(
    @CurrentCaller() { account, email, session }: Caller,
    @Body() { current, password }: PasswordDto,
    @Req() { ip = '' }: Request,
  ): Promise<void> {
    if (!(await this.attempts.ofPassword(email, ip, () => this.accounts.check(email, current))))
      throw new ProblemException({ code: 'wrong-password', message: 'The present password is another one.' });
    await this.accounts.setPassword(account, password, session);
  }

  @Get('sessions')
  @AnswersList(SessionDto)
  @Allow('signed-in')
  @ApiOperation({ summary: 'Where one is signed in' })
  async sessions(@CurrentCaller() { account, session }: Caller) {
    const found = await this.accounts.sessionsOf(account);
    return found.map(it => ({ ...it, current: it.id === session }));
  }

  @Delete('sessions')
  @Allow('signed-in')
  @AnswersNothing()
  @ApiOperation({ summary: 'End every other session' })
  endOthers(@CurrentCaller() { account, session }: Caller): Promise<void> {
    return this.accounts.endOthers(account, session);
  }

  @Delete('sessions/:session')
  @Allow('signed-in')
  @AnswersNothing()
  @ApiOperation({ summary: 'End one session' })
  async end(@CurrentCaller() { account }: Caller, @Param('session', ParseUUIDPipe) session: string) {
    if (!(await this.accounts.endSession(account, session))) throw notFound('session');
  }
}
