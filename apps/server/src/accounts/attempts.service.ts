import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { type RateLimiterAbstract, RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import { DataSource } from 'typeorm';
import { ProblemException } from '../common/problem';

const MINUTE = 60;

/** How often something may be tried, counted in the database so that all processes count together. */
@Injectable()
export class AttemptsService {
  private readonly wrongPasswords: readonly [RateLimiterAbstract, RateLimiterAbstract];
  private readonly letters: readonly [RateLimiterAbstract, RateLimiterAbstract];

  constructor(@InjectDataSource() database: DataSource) {
    const limit = (keyPrefix: string, points: number, duration: number) =>
      new RateLimiterPostgres({
        storeClient: database,
        storeType: 'typeorm',
        tableName: 'attempts',
        tableCreated: true,
        clearExpiredByTimeout: true,
        keyPrefix,
        points,
        duration,
      });
    this.wrongPasswords = [limit('who', 10, 15 * MINUTE), limit('from', 60, 15 * MINUTE)];
    this.letters = [limit('to', 5, 60 * MINUTE), limit('asked', 30, 60 * MINUTE)];
  }

  /**
   * Runs a check of a password. Wrong ones count against the address together with where they come from, and against
   * where they come from alone; so nobody is kept out of an account by what others try elsewhere.
   */
  async ofPassword<T>(email: string, from: string, check: () => Promise<T | null>): Promise<T | null> {
    const keys = [`${email.toLowerCase()} ${from}`, from] as const;
    for (const [i, limiter] of this.wrongPasswords.entries()) {
      const known = await limiter.get(keys[i] ?? from);
      if (known && known.consumedPoints >= limiter.points) throw tooMany(known);
    }
    const found = await check();
    if (found === null) await this.count(this.wrongPasswords, keys);
    return found;
  }

  /** Counts a letter about to be sent. */
  async ofLetter(email: string, from: string): Promise<void> {
    await this.count(this.letters, [email.toLowerCase(), from]);
  }

  private async count(limiters: readonly RateLimiterAbstract[], keys: readonly string[]): Promise<void> {
    for (const [i, limiter] of limiters.entries())
      try {
        await limiter.consume(keys[i] ?? '');
      } catch (error) {
        if (error instanceof RateLimiterRes) throw tooMany(error);
        throw error;
      }
  }
}

const tooMany = ({ msBeforeNext }: RateLimiterRes): ProblemException => {
  const minutes = Math.max(1, Math.ceil(msBeforeNext / 60_000));
  return new ProblemException({
    code: 'too-many-tries',
    message: `Too many tries. Try again in ${minutes === 1 ? 'a minute' : `${minutes} minutes`}.`,
  });
};
