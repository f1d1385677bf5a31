import { type CanActivate, type ExecutionContext, Injectable } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import { ACCESS, type Access, type CallerRequest } from '../common/access';
import { notFound, ProblemException } from '../common/problem';
import { AccountsService } from './accounts.service';

/** Holds every route to what it says of who may call it. A site one is no member of does not exist for one. */
@Injectable()
export class AccessGuard implements CanActivate {
  constructor(
    private readonly reflector: Reflector,
    private readonly accounts: AccountsService,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const access = this.reflector.getAllAndOverride<Access | undefined>(ACCESS, [
      context.getHandler(),
      context.getClass(),
    ]);
    if (access === 'anyone') return true;
    const request = context.switchToHttp().getRequest<CallerRequest>();
    const caller = await this.accounts.callerOf(request.headers.cookie);
    if (!caller) throw new ProblemException({ code: 'not-signed-in', message: 'Sign in first.' });
    request.caller = caller;
    if (access === 'signed-in') return true;
    const site = request.params.site;
    const membership =
      typeof site === 'string' ? await this.accounts.membershipOf(caller.account, site) : null;
    if (!membership) throw notFound('site');
    if (!access?.includes(membership.role))
      throw new ProblemException({ code: 'forbidden', message: `A ${membership.role} may not do this.` });
    request.membership = membership;
    return true;
  }
}
