import type { visitor } from './visitor';

interface Releases {
  releases: { id: string; state: string }[];
}

/** Publishes a site, and answers how long that takes in ms. */
export async function release(
  { send, read }: Pick<Awaited<ReturnType<typeof visitor>>, 'send' | 'read'>,
  site: string,
): Promise<number> {
  const path = `/api/sites/${site}/releases`;
  const began = performance.now();
  const { id } = await send<{ id: string }>('POST', path, { note: 'measured' });
  for (;;) {
    const { releases } = await read<Releases>(path);
    const state = releases.find(it => it.id === id)?.state;
    if (state === 'done') return performance.now() - began;
    if (state === 'failed') throw new Error('the release failed');
    await new Promise(resolve => setTimeout(resolve, 5));
  }
}
