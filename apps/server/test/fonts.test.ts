import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import type { FontRecord } from '@cove/core';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { readFontFile } from '../src/files/readFontFile';
import { startWorld, type World } from './support/world';

const require = createRequire(import.meta.url);
const shipped = (name: string, file: string) =>
  readFile(join(dirname(require.resolve(`@fontsource-variable/${name}/package.json`)), 'files', file));

let world: World;
let figtree: Buffer;
beforeAll(async () => {
  world = await startWorld('fonts');
  figtree = await shipped('figtree', 'figtree-latin-wght-normal.woff2');
});
afterAll(() => world.close());

const upload = (data: Buffer, cookie?: string) => world.upload('/api/sites/tolvane/fonts', data, cookie);

describe('an uploaded font', () => {
  it('is parsed, its variable weights, cut and metrics read', async () => {
    const { body } = await upload(figtree).expect(200);
    expect(body).toMatchObject({
      family: 'Figtree',
      cut: 'normal',
      weightFrom: 300,
      weightTo: 900,
      format: 'woff2',
      bytes: figtree.length,
    });
    expect(body.metrics.unitsPerEm).toBeGreaterThan(500);
    const italic = await upload(await shipped('figtree', 'figtree-latin-wght-italic.woff2')).expect(200);
    expect(italic.body.cut).toBe('italic');
  });

  it('is served to members of the site, the very bytes, and to nobody else', async () => {
    const { body } = await upload(figtree).expect(200);
    const path = `/api/sites/tolvane/fonts/${body.file}`;
    const served = await world.get(path).expect(200).responseType('blob');
    expect(Buffer.compare(served.body, figtree)).toBe(0);
    expect(served.headers['content-type']).toBe('font/woff2');
    await world.get(path, await world.stranger()).expect(404);
    await world.get('/api/sites/tolvane/fonts/..%2f..%2fconfig', world.demo).expect(404);
  });

  it('becomes a record that the site’s voices can name, and leaves with a release', async () => {
    const { body: facts } = await upload(figtree).expect(200);
    const record: FontRecord = {
      id: 'own-figtree',
      kind: 'font',
      category: 'sans',
      ...facts,
      family: 'Quay Face',
    };
    await world
      .change([
        { op: 'put', record },
        {
          op: 'set',
          id: 'body',
          path: ['value'],
          value: { type: 'fontFamily', value: ['Quay Face', 'serif'] },
        },
      ])
      .expect(200);
    await world.send('post', '/api/sites/tolvane/releases', {}).expect(202);
    const live = async () => (await fetch(`${world.sitesAddress()}/tolvane/fonts/${facts.file}`)).status;
    const end = Date.now() + 40_000;
    while ((await live()) !== 200 && Date.now() < end) await new Promise(resolve => setTimeout(resolve, 100));
    expect(await live()).toBe(200);
    const preview = await world.get('/api/sites/tolvane/pages/home/preview').expect(200);
    expect(preview.text).toContain(`/api/sites/tolvane/fonts/${facts.file}`);
  }, 60_000);

  it.each<[string, () => Buffer, RegExp]>([
    ['is no font at all', () => Buffer.from('<svg onload=alert(1)>'), /no font file/],
    ['is cut off in the middle', () => figtree.subarray(0, figtree.length >> 1), /broken/],
    [
      'has only the first bytes of a font',
      () => Buffer.concat([Buffer.from('wOF2'), Buffer.alloc(400, 7)]),
      /broken/,
    ],
    ['is empty but for its signature', () => Buffer.from([0, 1, 0, 0]), /broken/],
  ])('that %s is refused with the reason, and nothing is kept', async (_, make, reason) => {
    const { body } = await upload(make()).expect(422);
    expect(body).toMatchObject({ code: 'bad-font' });
    expect(body.message).toMatch(reason);
  });

  it('that is larger than 4 MB is refused before it is read', async () => {
    const { body } = await upload(Buffer.concat([figtree, Buffer.alloc(4 * 1024 * 1024)])).expect(413);
    expect(body).toMatchObject({ code: 'too-large', message: expect.stringContaining('4,194,304 bytes') });
  });

  it('of every shipped family is read as what it is', async () => {
    for (const [name, family] of [
      ['literata', 'Literata'],
      ['bitter', 'Bitter'],
      ['jetbrains-mono', 'JetBrains Mono'],
    ] as const) {
      const read = await readFontFile(await shipped(name, `${name}-latin-wght-normal.woff2`));
      expect(read).toMatchObject({ ok: true, value: { family } });
    }
  });

  it('is refused from whoever may not alter the guide', async () => {
    await upload(figtree, await world.member('keeper', 'style')).expect(403);
    await upload(figtree, await world.member('reviewer')).expect(403);
  });
});
