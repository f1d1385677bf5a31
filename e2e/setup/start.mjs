import { startScratch } from '../../scripts/lib/scratch.mjs';

/** A whole program for the tests that walk it in a browser, and a second process at the same database. */
export default async () => {
  const scratch = await startScratch();
  const second = await scratch.startOne();
  process.env.COVE_TEST_PROGRAM = scratch.program.address;
  process.env.COVE_TEST_SITES = scratch.program.sites;
  process.env.COVE_TEST_SECOND = second.address;
  globalThis.coveScratch = { scratch, second };
};
