import { startScratch } from '../../scripts/lib/scratch.mjs';

/** Lays the demo once; each file of tests begins with a copy of it. */
export default async () => {
  const original = await startScratch({ environment: { COVE_LOG_LEVEL: 'silent' } });
  await original.program.stop();
  process.env.COVE_TEST_ORIGINAL = JSON.stringify({ folder: original.folder, url: original.database.url });
  globalThis.coveTestOriginal = original;
};
