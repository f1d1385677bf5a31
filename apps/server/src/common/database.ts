import type { Pool } from 'pg';
import type { DataSource } from 'typeorm';
import { inTransaction } from './inTransaction';

/**
 * Asks the database; answers with rows. A statement that alters rows answers with them only where it is a query itself
 * (`insert … returning`, `with …`), since TypeORM answers otherwise for others.
 */
export type Query = <Row>(sql: string, values?: readonly unknown[]) => Promise<Row[]>;

/**
 * A database as statements written by hand use it: the same where requests are answered and in threads. What requests ask
 * seldom goes through repositories; what was measured is written by hand, and so is what threads do, since loading TypeORM
 * takes 240 ms and 20 MB each time one begins.
 */
export abstract class Database {
  abstract readonly query: Query;
  /** All of it, or nothing where it fails. */
  abstract transaction<T>(act: (query: Query) => Promise<T>): Promise<T>;
}

/** The connections of the server. */
export class ServerDatabase extends Database {
  constructor(private readonly source: DataSource) {
    super();
  }

  readonly query: Query = (sql, values = []) => this.source.query(sql, [...values]);

  transaction<T>(act: (query: Query) => Promise<T>): Promise<T> {
    return inTransaction(this.source, runner => act((sql, values = []) => runner.query(sql, [...values])));
  }
}

/** The connections of a thread. */
export class PoolDatabase extends Database {
  constructor(private readonly pool: Pool) {
    super();
  }

  readonly query: Query = async (sql, values = []) => (await this.pool.query(sql, [...values])).rows;

  async transaction<T>(act: (query: Query) => Promise<T>): Promise<T> {
    const client = await this.pool.connect();
    let lost: Error | undefined;
    try {
      await client.query('begin');
      const done = await act(async (sql, values = []) => (await client.query(sql, [...values])).rows);
      await client.query('commit');
      return done;
    } catch (error) {
      // Where the connection is gone there is nothing to roll back, and the first error is the one to tell.
      await client.query('rollback').catch((failure: Error) => {
        lost = failure;
      });
      throw error;
    } finally {
      client.release(lost);
    }
  }
}
