import { createHash } from 'node:crypto';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { SCHEMA } from '@cove/core';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from '@jest/globals';
import { strFromU8, strToU8, unzipSync, type Zippable, zipSync } from 'fflate';
import sharp from 'sharp';
import { readShippedFont } from '../src/files/shippedFonts';
import { schema1 } from './support/schema1';
import { startWorld, type World } from './support/world';

let world: World;
let demo: Buffer;
beforeAll(async () => {
  world = await startWorld('wholes');
  demo = await whole('tolvane');
});
afterAll(() => world.close());

async function whole(site: string): Promise<Buffer> {
  const { body } = await world
    .get(`/api/sites/${site}/whole.zip`)
    .buffer(true)
    .parse((response, done) => {
      const parts: Buffer[] = [];
      response.on('data', part => parts.push(part));
      response.on('end', () => done(null, Buffer.concat(parts)));
    })
    .expect(200);
  return body;
}

interface Line {
  progress?: { stage: string; done: number; of: number };
  result?: { id?: string; seq?: number; changed?: boolean };
  problem?: { code: string; message: string; record?: string };
}

/** Sends a whole site; answers the last line, and all before it. */
async function send(path: string, data: Uint8Array): Promise<Line & { told: Line[]; status: number }> {
  const response = await world.upload(path, Buffer.from(data)).buffer(true);
  if (response.status !== 200) return { problem: response.body, told: [], status: response.status };
  const told = response.text
    .trimEnd()
    .split('\n')
    .map((line): Line => JSON.parse(line));
  return { ...told.at(-1), told, status: 200 };
}
const begin = (data: Uint8Array, name = 'Tolvane Ferries') =>
  send(`/api/sites/whole?name=${encodeURIComponent(name)}`, data);

async function began(data: Uint8Array, name?: string): Promise<string> {
  const { result, problem } = await begin(data, name);
  if (!result?.id) throw new Error(problem?.message ?? 'no site was begun');
  return result.id;
}

const snapshotsOf = async (site: string): Promise<{ id: string; note: string }[]> =>
  (await world.get(`/api/sites/${site}/snapshots`).expect(200)).body;

/** The demo’s archive as its files, altered. */
function altered(alter: (files: Record<string, Uint8Array>) => Zippable | undefined): Uint8Array {
  const files = unzipSync(new Uint8Array(demo));
  return zipSync(alter(files) ?? files, { level: 1 });
}

interface SiteJson {
  format: string;
  schema: number;
  records: Record<string, unknown>[];
}
const alteredJson = (alter: (site: SiteJson) => unknown): Uint8Array =>
  altered(files => {
    const site: SiteJson = JSON.parse(strFromU8(files['site.json'] ?? new Uint8Array()));
    files['site.json'] = strToU8(JSON.stringify(alter(site) ?? site));
    return files;
  });

const nameOf = (data: Uint8Array, ending: string) =>
  `${createHash('sha256').update(data).digest('hex').slice(0, 32)}.${ending}`;

/** The demo with another file in the place of its first picture or, of another ending, beside it. */
const withFile = (data: Uint8Array, ending = 'webp', mime = 'image/webp'): Uint8Array =>
  altered(files => {
    const site: SiteJson = JSON.parse(strFromU8(files['site.json'] ?? new Uint8Array()));
    const file = nameOf(data, ending);
    const asset = site.records.find(it => it.kind === 'asset' && it.mime === 'image/webp');
    Object.assign(asset ?? {}, { file, mime });
    files['site.json'] = strToU8(JSON.stringify(site));
    files[`assets/${file}`] = data;
    return files;
  });

describe('a whole site that is sent', () => {
  it('begins a site that goes out again with the same bytes, and tells how far it is', async () => {
    const { result, told } = await begin(demo);
    expect(result?.id).toBe('tolvane-ferries');
    expect(Buffer.compare(await whole('tolvane-ferries'), demo)).toBe(0);
    const checked = told.flatMap(it => (it.progress?.stage === 'Checking files' ? [it.progress] : []));
    expect(checked.length).toBe(Object.keys(unzipSync(new Uint8Array(demo))).length - 1);
    expect(checked.map(it => it.done)).toEqual(checked.map((_, i) => i));
    expect(told.at(-2)?.progress?.stage).toBe('Saving');
    await world.get('/api/sites/tolvane-ferries/pages/home/preview').expect(200);
  });

  it('has another name where one is chosen', async () => {
    const id = await began(demo, 'Second harbour');
    const { body } = await world.get('/api/sites').expect(200);
    expect(body.find((it: { id: string }) => it.id === id)).toMatchObject({ name: 'Second harbour' });
    expect((await world.record('site', id)) ?? (await world.record('settings', id))).toMatchObject({
      name: 'Second harbour',
    });
  });

  it('is laid over another, which is kept as a snapshot to go back to; a second time nothing changes', async () => {
    const { body } = await world.send('post', '/api/sites', { name: 'Old boat', starter: 'bare' });
    const before = await whole(body.id);
    const path = `/api/sites/${body.id}/whole`;
    expect((await send(path, demo)).result).toMatchObject({ changed: true });
    expect(Buffer.compare(await whole(body.id), demo)).toBe(0);
    const [kept] = await snapshotsOf(body.id);
    expect(kept?.note).toBe('Before “Tolvane Ferries” was laid over it');
    expect((await send(path, demo)).result).toMatchObject({ changed: false });
    expect(await snapshotsOf(body.id)).toHaveLength(2);
    await world
      .send('post', `/api/sites/${body.id}/snapshots/${kept?.id}/restore`, { part: 'all' })
      .expect(200);
    expect(Buffer.compare(await whole(body.id), before)).toBe(0);
  });

  it('alters no more of the site it came from than what is different', async () => {
    const id = await began(demo, 'Tolvane Ferries');
    await world
      .change([{ op: 'set', id: 'welcome-title', path: ['content', 'text'], value: 'Late boats' }], {
        site: id,
      })
      .expect(200);
    const { result } = await send(`/api/sites/${id}/whole`, demo);
    const { body } = await world.get(`/api/sites/${id}/changes?after=${(result?.seq ?? 0) - 1}`).expect(200);
    expect(body.at(-1).edits).toHaveLength(1);
    expect(Buffer.compare(await whole(id), demo)).toBe(0);
  });

  it('may be its JSON alone where its files are there already', async () => {
    const json = unzipSync(new Uint8Array(demo))['site.json'] ?? new Uint8Array();
    const id = await began(demo);
    await world
      .change([{ op: 'set', id: 'welcome-title', path: ['content', 'text'], value: 'x' }], { site: id })
      .expect(200);
    expect((await send(`/api/sites/${id}/whole`, json)).result).toMatchObject({ changed: true });
    expect(Buffer.compare(await whole(id), demo)).toBe(0);
    expect((await begin(json)).problem?.message).toMatch(/^assets\/\w+\.\w+ is missing beside it/);
  });

  it('may lie in a folder, packed anew by somebody, with other things around it', async () => {
    const repacked = altered(files => ({
      ...Object.fromEntries(Object.entries(files).map(([name, data]) => [`My site/${name}`, data])),
      'My site/.DS_Store': strToU8('x'),
      'My site/assets/notes.txt': strToU8('x'),
      '__MACOSX/My site/._site.json': strToU8('x'),
    }));
    expect(Buffer.compare(await whole(await began(repacked)), demo)).toBe(0);
  });

  it('may be of an earlier version', async () => {
    const files = unzipSync(new Uint8Array(demo));
    const [picture = ''] = Object.keys(files).filter(it => it.endsWith('.webp'));
    const font = (await readShippedFont('literata-latin-wght-normal.woff2')) ?? new Uint8Array();
    const fontFile = nameOf(font, 'woff2');
    const records = (schema1('site') as Record<string, unknown>[]).map(it =>
      it.kind === 'asset'
        ? { ...it, file: picture.slice('assets/'.length) }
        : it.kind === 'font'
          ? { ...it, file: fontFile }
          : it,
    );
    const site = { format: 'cove-thread-site', schema: 1, records };
    const id = await began(
      zipSync({
        'site.json': strToU8(JSON.stringify(site)),
        [picture]: files[picture] ?? new Uint8Array(),
        [`fonts/${fontFile}`]: new Uint8Array(font),
      }),
      'Old days',
    );
    const now: SiteJson = JSON.parse(
      strFromU8(unzipSync(new Uint8Array(await whole(id)))['site.json'] ?? new Uint8Array()),
    );
    expect(now.schema).toBe(SCHEMA);
    expect(now.records.length).toBeGreaterThan(0);
  });
});

describe('what cannot be taken', () => {
  const counts = async () => {
    const [row] = await world.database.query(
      `select (select count(*)::int from sites) as sites, (select sum(seq)::int from sites) as changes,
         (select count(*)::int from stored_files) as files, (select count(*)::int from snapshots) as snapshots`,
    );
    return row;
  };
  let before: object;
  beforeEach(async () => {
    before = await counts();
  });
  const nothingChanged = async () => {
    expect(await counts()).toEqual(before);
    const folder = join(world.config.COVE_DATA, 'incoming');
    for (let i = 0; i < 50 && readdirSync(folder).length > 0; i++)
      await new Promise(resolve => setTimeout(resolve, 20));
    expect(readdirSync(folder)).toEqual([]);
  };

  const plain = () => sharp({ create: { width: 40, height: 30, channels: 3, background: '#789' } });
  it.each<[string, () => Uint8Array | Promise<Uint8Array>, RegExp]>([
    ['nothing', () => new Uint8Array(), /not JSON|no whole site|not a site/i],
    ['text', () => strToU8('Hello'), /not JSON: line 1/],
    ['an archive cut short', () => demo.subarray(0, demo.length / 2), /archive cannot be read/],
    ['an archive without a site', () => altered(({ 'site.json': _, ...files }) => files), /no site\.json/],
    ['two sites', () => altered(files => ({ ...files, 'x/site.json': strToU8('{}') })), /more than one/],
    [
      'names that lead out of it',
      () => altered(files => ({ ...files, '../../x': strToU8('x') })),
      /cannot be read|cannot be unpacked/,
    ],
    ['another format', () => alteredJson(it => ({ ...it, format: 'x' })), /not a site of this program/],
    ['a newer version', () => alteredJson(it => ({ ...it, schema: SCHEMA + 1 })), /newer version/],
    [
      'a picture that was altered',
      () =>
        altered(files => {
          const [name = ''] = Object.keys(files).filter(it => it.endsWith('.webp'));
          const data = files[name] ?? new Uint8Array();
          return { ...files, [name]: data.slice(0, -4) };
        }),
      /does not hold what its name says/,
    ],
    [
      'a picture with words hidden in it',
      async () =>
        withFile(
          await plain()
            .withExif({ IFD0: { Copyright: 'x' } })
            .webp()
            .toBuffer(),
        ),
      /holds more than pixels/,
    ],
    [
      'a picture cut short',
      async () => {
        const data = await plain().webp().toBuffer();
        const cut = Buffer.from(data.subarray(0, data.length - 20));
        cut.writeUInt32LE(cut.length - 8, 4);
        return withFile(cut);
      },
      /cannot be taken/,
    ],
    [
      'a drawing that runs',
      () =>
        withFile(strToU8('<svg xmlns="http://www.w3.org/2000/svg"><script/></svg>'), 'svg', 'image/svg+xml'),
      /none of the kinds|cannot be read/,
    ],
    [
      'a page that calls itself a PDF',
      () => withFile(strToU8('<!doctype html><script></script>'), 'pdf', 'application/pdf'),
      /none of the kinds/,
    ],
    [
      'a record that no other version would read',
      () => alteredJson(it => ({ ...it, records: [...it.records, { id: 'x', kind: 'oracle' }] })),
      /oracle x cannot be read/,
    ],
    [
      'a record that refers to nothing',
      () => alteredJson(it => ({ ...it, records: it.records.filter(one => one.id !== 'hull') })),
      /hull/,
    ],
  ])('%s is refused with the place, and changes nothing', async (_, make, message) => {
    const data = await make();
    for (const path of ['/api/sites/whole?name=Refused', '/api/sites/tolvane/whole']) {
      const { problem, result } = await send(path, data);
      expect(result).toBeUndefined();
      expect(problem?.message).toMatch(message);
    }
    await nothingChanged();
  });

  it('a file that is missing is told', async () => {
    const without = altered(files =>
      Object.fromEntries(Object.entries(files).filter(([name]) => !name.endsWith('.wav'))),
    );
    expect((await begin(without)).problem?.message).toMatch(/^assets\/\w+\.wav is missing beside it/);
    await nothingChanged();
  });

  it('what unpacks to more than it says of itself is refused', async () => {
    // The sizes in the directory of the archive (APPNOTE.TXT, 4.3.12) say one byte.
    const bomb = Buffer.from(zipSync({ 'site.json': new Uint8Array(30_000_000) }, { level: 9 }));
    const entry = bomb.lastIndexOf(Buffer.from('PK\u0001\u0002', 'latin1'));
    bomb.writeUInt32LE(1, entry + 24);
    expect((await begin(bomb)).problem?.message).toMatch(/site\.json cannot be unpacked/);
    bomb.writeUInt32LE(2 ** 31, entry + 24);
    expect((await begin(bomb)).problem?.message).toMatch(/site\.json is larger than 38 MB/);
    await nothingChanged();
  });

  it('more files than an archive may hold are refused before any is unpacked', async () => {
    const many = Object.fromEntries(Array.from({ length: 20_001 }, (_, i) => [`${i}`, new Uint8Array()]));
    expect((await begin(zipSync(many, { level: 0 }))).problem?.message).toMatch(/more than 20,000 files/);
    await nothingChanged();
  });

  it('a keeper, and whoever is no member, may send none', async () => {
    const keeper = await world.member('keeper');
    await world.upload('/api/sites/tolvane/whole', demo, keeper).expect(403);
    await world.upload('/api/sites/tolvane/whole', demo, await world.stranger()).expect(404);
    before = await counts();
    await nothingChanged();
  });

  it('whoever leaves while it is taken in gets nothing of it', async () => {
    const leave = new AbortController();
    const response = await fetch(`${world.address}/api/sites/whole?name=Left`, {
      method: 'POST',
      headers: {
        cookie: world.demo,
        'cove-schema': String(SCHEMA),
        origin: world.address,
        'content-type': 'application/octet-stream',
      },
      body: new Uint8Array(demo),
      signal: leave.signal,
    });
    const reader = response.body?.getReader();
    await reader?.read();
    leave.abort();
    await new Promise(resolve => setTimeout(resolve, 1500));
    await nothingChanged();
  });
});
