import { printSpecimen, type Site, specimenNeeds } from '@cove/core';
import type { FromSpecimen } from './messages.ts';

const say = (message: FromSpecimen) => self.postMessage(message);

/** A file as an address that holds it. */
async function dataAddress(address: string): Promise<string> {
  const response = await fetch(address);
  if (!response.ok) throw new Error(`${address}: ${response.status}`);
  const bytes = new Uint8Array(await response.arrayBuffer());
  let text = '';
  for (let i = 0; i < bytes.length; i += 0x8000)
    text += String.fromCharCode(...bytes.subarray(i, i + 0x8000));
  const type = response.headers.get('content-type') ?? 'application/octet-stream';
  return `data:${type};base64,${btoa(text)}`;
}

async function make(site: Site, siteId: string): Promise<void> {
  const { fonts, pictures } = specimenNeeds(site);
  const files = new Map<string, string>();
  const wanted = [
    ...fonts.map(
      it => [it.file, it.own ? `/api/sites/${siteId}/fonts/${it.file}` : `/fonts/${it.file}`] as const,
    ),
    ...pictures
      .filter(it => !it.startsWith('data:'))
      .map(it => [it, `/api/sites/${siteId}/assets/${it}`] as const),
  ];
  const missing: string[] = [];
  for (const [i, [file, address]] of wanted.entries()) {
    say({ type: 'progress', done: i, of: wanted.length });
    try {
      files.set(file, await dataAddress(address));
    } catch {
      missing.push(file);
    }
  }
  say({ type: 'progress', done: wanted.length, of: wanted.length });
  const html = printSpecimen(site, {
    font: it => files.get(it.file) ?? '',
    picture: it => files.get(it) ?? it,
  });
  say({ type: 'done', html, missing });
}

self.addEventListener('message', ({ data }: MessageEvent<{ site: Site; siteId: string }>) => {
  make(data.site, data.siteId).catch((error: unknown) =>
    say({ type: 'problem', message: error instanceof Error ? error.message : 'It could not be made.' }),
  );
});
