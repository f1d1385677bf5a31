import { LIMITS } from '@cove/core';
import { Injectable } from '@nestjs/common';
import { hash, verify } from '@node-rs/argon2';
import { ProblemException } from '../common/problem';
import { newSecret } from '../common/secret';

/** Hashes passwords, few at once: each takes a processor for a while, which others need too. */
@Injectable()
export class Passwords {
  private running = 0;
  private readonly waiting: (() => void)[] = [];
  /** Checked where no account has the address, so that both answers take as long. */
  private readonly noOne = hash(newSecret());

  hash(password: string): Promise<string> {
    return this.inTurn(() => hash(password));
  }

  /** Whether a password is the one of a hash; never where there is none. */
  check(known: string | undefined, password: string): Promise<boolean> {
    return this.inTurn(
      async () => (await verify(known ?? (await this.noOne), password)) && known !== undefined,
    );
  }

  private async inTurn<T>(act: () => Promise<T>): Promise<T> {
    if (this.running >= LIMITS.passwords.atOnce) {
      if (this.waiting.length >= LIMITS.passwords.waiting)
        throw new ProblemException({
          code: 'too-busy',
          message: 'Many people are signing in just now. Try again in a moment.',
        });
      await new Promise<void>(resolve => this.waiting.push(resolve));
    }
    this.running++;
    try {
      return await act();
    } finally {
      this.running--;
      this.waiting.shift()?.();
    }
  }
}
