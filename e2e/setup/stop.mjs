import { rmSync } from 'node:fs';

export default async () => {
  const { server, database, folder } = globalThis.coveProgram;
  await server.stop();
  database.stop();
  rmSync(folder, { recursive: true, force: true });
};
