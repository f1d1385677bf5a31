import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { type RateLimiterAbstract, RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import { DataSource } from 'typeorm';
import { ProblemException } from '../common/problem';

const MINUTE = 60;

/** How often something may be tried, counted in the database so that all processes count together. */
@Injectable()
export class AttemptsService {
  private readonly passwords: readonly RateLimiterAbstract[];
  private readonly letters: readonly RateLimiterAbstract[];

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
    this.passwords = [limit('who', 10, 15 * MINUTE), limit('from', 60, 15 * MINUTE)];
    this.letters = [
      limit('to-from', 5, 60 * MINUTE),
      limit('asked', 30, 60 * MINUTE),
      limit('to', 60, 60 * MINUTE),
    ];
  }

  /**
   * Runs a check of a password. Each try counts before it is checked, in one statement, so that however many come at once
   * no more of them are checked than may be; one that was right is given back. They count against the address together
   * with where they come from, and against where they come from alone; so nobody is kept out of an account by what others
   * try elsewhere.
   */
  async ofPassword<T>(email: string, from: string, check: () => Promise<T | null>): Promise<T | null> {
    const keys = [`${email.toLowerCase()} ${from}`, from] as const;
    await this.count(this.passwords, keys);
    const found = await check();
    if (found !== null)
      await Promise.all(this.passwords.map((limiter, i) => limiter.reward(keys[i] ?? from, 1)));
    return found;
  }

  /**
   * Counts a letter about to be sent: by address and asker, by asker, and only then by address alone, which is wide enough
   * that no single stranger keeps others from asking.
   */
  async ofLetter(email: string, from: string): Promise<void> {
    const address = email.toLowerCase();
    await this.count(this.letters, [`${address} ${from}`, from, address]);
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
