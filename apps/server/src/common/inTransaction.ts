import type { DataSource, QueryRunner } from 'typeorm';

/** Does something in a transaction of its own: all of it, or nothing where it fails. */
export async function inTransaction<T>(
  database: DataSource,
  act: (runner: QueryRunner) => Promise<T>,
): Promise<T> {
  const runner = database.createQueryRunner();
  try {
    await runner.startTransaction();
    const done = await act(runner);
    await runner.commitTransaction();
    return done;
  } catch (error) {
    // Where the connection is gone there is nothing to roll back, and the first error is the one to tell.
    if (runner.isTransactionActive) await runner.rollbackTransaction().catch(() => {});
    throw error;
  } finally {
    await runner.release();
  }
}
