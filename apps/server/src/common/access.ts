import type { KeeperMay, RoleName } from '@cove/core';
import { createParamDecorator, type ExecutionContext, SetMetadata } from '@nestjs/common';
import type { Request } from 'express';

/** Who may call a route. Every route says it; one that does not is refused. */
export type Access = 'anyone' | 'signed-in' | readonly RoleName[];
export const ACCESS = 'access';
export const Allow = (access: Access) => SetMetadata(ACCESS, access);
export const MEMBERS: readonly RoleName[] = ['designer', 'keeper', 'reviewer'];

export interface Membership {
  site: string;
  role: RoleName;
  keeperMay: KeeperMay;
}

export interface Caller {
  account: string;
  email: string;
  name: string;
  /** Id of the session, as sessions are listed. */
  session: string;
}

export type CallerRequest = Request & { caller?: Caller; membership?: Membership };

export const CurrentCaller = createParamDecorator((_: unknown, context: ExecutionContext): Caller => {
  const { caller } = context.switchToHttp().getRequest<CallerRequest>();
  if (!caller) throw new Error('a route for callers without a guard');
  return caller;
});

export const CurrentMembership = createParamDecorator((_: unknown, context: ExecutionContext): Membership => {
  const { membership } = context.switchToHttp().getRequest<CallerRequest>();
  if (!membership) throw new Error('a route for members without a guard');
  return membership;
});
