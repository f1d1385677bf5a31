import type { EntityManager } from 'typeorm';

/** Tells something to all processes of the server, once what it is told with is done. */
export const notify = async (manager: EntityManager, channel: string, payload: string): Promise<void> => {
  await manager.query('select pg_notify($1, $2)', [channel, payload]);
};
