import { rmSync } from 'node:fs';

export default async () => {
  const { database, folder } = globalThis.coveTestDatabase;
  database.stop();
  rmSync(folder, { recursive: true, force: true });
};
