import { Body, Controller, Delete, Get, HttpCode, Post, Req, Res } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { Allow, type Caller, CurrentCaller } from '../common/access';
import { ProblemException } from '../common/problem';
import { AccountsService } from './accounts.service';
import { SignInDto } from './dto/signIn.dto';

@ApiTags('session')
@Controller('api/session')
export class SessionController {
  constructor(private readonly accounts: AccountsService) {}

  @Post()
  @Allow('anyone')
  @HttpCode(200)
  @ApiOperation({ summary: 'Sign in; answers with a session cookie' })
  async signIn(@Body() body: SignInDto, @Res({ passthrough: true }) response: Response) {
    const account = await this.accounts.check(body.email, body.password);
    if (!account)
      throw new ProblemException({ code: 'bad-credentials', message: 'Address or password is wrong.' });
    return this.accounts.admit(account, response);
  }

  @Get()
  @Allow('signed-in')
  @ApiOperation({ summary: 'Who is signed in' })
  who(@CurrentCaller() { email, name }: Caller) {
    return { email, name };
  }

  @Delete()
  @Allow('signed-in')
  @HttpCode(204)
  @ApiOperation({ summary: 'Sign out' })
  async signOut(@Req() request: Request, @Res({ passthrough: true }) response: Response) {
    await this.accounts.closeSession(request.headers.cookie);
    response.clearCookie(this.accounts.cookieName, { path: '/' });
  }
}
