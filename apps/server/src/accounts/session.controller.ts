import { Body, Controller, Delete, Get, Post, Req, Res } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { Answers, AnswersNothing } from '../api/answers';
import { Allow, type Caller, CurrentCaller } from '../common/access';
import { ProblemException } from '../common/problem';
import { AccountsService } from './accounts.service';
import { AttemptsService } from './attempts.service';
import { PersonDto } from './dto/person.dto';
import { SignInDto } from './dto/signIn.dto';

@ApiTags('session')
@Controller('api/session')
export class SessionController {
  constructor(
    private readonly accounts: AccountsService,
    private readonly attempts: AttemptsService,
  ) {}

  @Post()
  @Allow('anyone')
  @Answers(PersonDto)
  @ApiOperation({ summary: 'Sign in; answers with a session cookie' })
  async signIn(
    @Body() { email, password }: SignInDto,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ) {
    const account = await this.attempts.ofPassword(email, request.ip ?? '', () =>
      this.accounts.check(email, password),
    );
    if (!account)
      throw new ProblemException({ code: 'bad-credentials', message: 'Address or password is wrong.' });
    return this.accounts.admit(account, request, response);
  }

  @Get()
  @Answers(PersonDto)
  @Allow('signed-in')
  @ApiOperation({ summary: 'Who is signed in' })
  who(@CurrentCaller() { email, name }: Caller) {
    return { email, name };
  }

  @Delete()
  @Allow('signed-in')
  @AnswersNothing()
  @ApiOperation({ summary: 'Sign out' })
  async signOut(
    @CurrentCaller() { account, session }: Caller,
    @Res({ passthrough: true }) response: Response,
  ) {
    await this.accounts.endSession(account, session);
    response.clearCookie(this.accounts.cookieName, { path: '/' });
  }
}
