import { type AssetRecord, type GuideData, SCHEMA } from '@cove/core';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import sharp from 'sharp';
import { readPicture } from '../src/files/readPicture';
import { startWorld, type World } from './support/world';

let world: World;
beforeAll(async () => {
  world = await startWorld('pictures');
});
afterAll(() => world.close());

const plain = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#2a3a5f' } });
const upload = (data: Buffer, cookie?: string) => world.upload('/api/sites/tolvane/assets', data, cookie);
const record = (id: string, facts: object): AssetRecord => ({
  ...{ id, kind: 'asset', name: 'Uploaded', alt: '', file: '', mime: '', width: 1, height: 1 },
  ...facts,
  kind: 'asset',
});

describe('an uploaded picture', () => {
  it('is made anew: upright, as WebP, and without what the camera wrote into it', async () => {
    // Orientation 6 of Exif 2.32: the camera was turned, so what is stored lies on its side.
    const photo = await plain(60, 40)
      .withExif({ IFD0: { Copyright: 'Somebody' }, IFD3: { GPSLatitudeRef: 'N' } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    expect((await sharp(photo).metadata()).exif).toBeDefined();
    const { body } = await upload(photo).expect(200);
    expect(body).toMatchObject({ mime: 'image/webp', width: 40, height: 60 });
    await world.change([{ op: 'put', record: record('photo', body) }]).expect(200);
    const served = await world.get(`/api/sites/tolvane/assets/${body.file}`).expect(200).responseType('blob');
    const metadata = await sharp(served.body).metadata();
    expect(metadata).toMatchObject({ format: 'webp', width: 40, height: 60 });
    expect(metadata.exif).toBeUndefined();
  });
  it('is no larger than a page can show', async () => {
    const { body } = await upload(await plain(3000, 1500).png().toBuffer()).expect(200);
    expect(body).toMatchObject({ width: 2560, height: 1280 });
  });
  it('is served only once it is the site’s, and to members only', async () => {
    const { body } = await upload(await plain(31, 17).png().toBuffer()).expect(200);
    const path = `/api/sites/tolvane/assets/${body.file}`;
    await world.get(path).expect(404);
    await world.change([{ op: 'put', record: record('small-picture', body) }]).expect(200);
    await world.get(path).expect(200);
    await world.get(path, await world.stranger()).expect(404);
  });
  it('may come from a keeper', async () => {
    await upload(await plain(5, 5).png().toBuffer(), await world.member('keeper', 'content')).expect(200);
  });
  it.each([
    [
      'a drawing of shapes',
      '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>',
      /icons and marks/,
    ],
    ['a page', '<!doctype html><script>alert(1)</script>', /no picture/],
    ['nothing', '', /no picture/],
  ])('is not %s, and says so', async (_, text, said) => {
    const read = await readPicture(Buffer.from(text));
    expect(read.ok ? '' : read.problem.message).toMatch(said);
    if (text !== '') expect((await upload(Buffer.from(text)).expect(422)).body.code).toBe('bad-picture');
  });
  it('is refused where it is broken, or would fill the memory', async () => {
    const whole = await plain(200, 200).png().toBuffer();
    expect((await readPicture(whole.subarray(0, whole.length / 2))).ok).toBe(false);
    const huge = await plain(9000, 8000).png().toBuffer();
    const read = await readPicture(huge);
    expect(read.ok ? '' : read.problem.message).toMatch(/60 million/);
  });
});

describe('a kept guide', () => {
  it('brings its pictures to the site that takes it, and only its own keeper can give them', async () => {
    const { body: facts } = await upload(await plain(21, 13).png().toBuffer()).expect(200);
    const picture = record('ground', facts);
    await world
      .change([
        { op: 'put', record: picture },
        {
          op: 'set',
          id: 'default-page',
          path: ['styles', 'box/backgroundImage'],
          value: { type: 'picture', asset: 'ground', tint: null },
        },
      ])
      .expect(200);
    const kept = await world
      .send('post', '/api/guides', { site: 'tolvane', name: 'With a ground', about: '' })
      .expect(200);
    const guide: GuideData = (await world.get(`/api/guides/${kept.body.id}`).expect(200)).body;
    expect(guide.records.filter(it => it.kind === 'asset')).toEqual([picture]);

    await world.database.query(
      "insert into sites (id, name, slug, schema) values ('next', 'Next', 'next', $1)",
      [SCHEMA],
    );
    await world.database.query(
      "insert into members (site_id, account_id, role) select 'next', id, 'designer' from accounts where email = 'demo@tolvane.example'",
    );
    const give = (cookie?: string) =>
      world.send('post', `/api/guides/${kept.body.id}/files`, { site: 'next' }, cookie);
    await give(await world.stranger()).expect(404);
    await give().expect(204);
    await world.change([{ op: 'put', record: picture }], { site: 'next' }).expect(200);
    const served = await world.get(`/api/sites/next/assets/${facts.file}`).expect(200).responseType('blob');
    expect(await sharp(served.body).metadata()).toMatchObject({ width: 21, height: 13 });
    await world.send('delete', `/api/guides/${kept.body.id}`).expect(204);
    await world.get(`/api/guides/${kept.body.id}`).expect(404);
  });
});

describe('a file to be linked to', () => {
  const give = (data: Buffer, name: string) =>
    world.upload(`/api/sites/tolvane/assets/files?name=${encodeURIComponent(name)}`, data);

  it.each([
    ['Fares.pdf', Buffer.from('%PDF-1.7\n'), 'application/pdf', 'pdf'],
    ['Plans.zip', Buffer.from([0x50, 0x4b, 3, 4, 0]), 'application/zip', 'zip'],
    ['Times.csv', Buffer.from('Hesk,06:10\n'), 'text/csv', 'csv'],
    ['Crossing.ics', Buffer.from('BEGIN:VCALENDAR\n'), 'text/calendar', 'ics'],
  ])('%s is kept as it is, and given to be taken home', async (name, data, mime, ending) => {
    const { body } = await give(data, name).expect(200);
    expect(body).toMatchObject({ mime, width: 0, height: 0, file: expect.stringMatching(`\\.${ending}$`) });
    const id = `file-${ending}`;
    await world.change([{ op: 'put', record: { id, kind: 'asset', name, alt: '', ...body } }]).expect(200);
    const answer = await world.get(`/api/sites/tolvane/assets/${body.file}`).expect(200);
    expect(answer.headers['content-disposition']).toBe('attachment');
    expect(answer.headers['content-type']).toContain(mime);
  });
  it.each([
    ['page.html', Buffer.from('<script>alert(1)</script>')],
    ['page.pdf', Buffer.from('<script>alert(1)</script>')],
    ['drawing.svg', Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>')],
    ['broken.txt', Buffer.from([0xff, 0xfe, 0x00, 0x41])],
    ['empty.csv', Buffer.alloc(0)],
  ])('%s is refused with the reason', async (name, data) => {
    const { status, body } = await give(data, name);
    expect([400, 422]).toContain(status);
    expect(body.message).toEqual(expect.any(String));
  });
});
