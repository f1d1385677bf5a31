import type { SiteRecord } from '@cove/core';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { startWorld, type World } from './support/world';

let world: World;
beforeAll(async () => {
  world = await startWorld('new_sites');
});
afterAll(() => world.close());

const BRAND = {
  swatches: [
    { name: 'Primary', color: '#0f4c5c', purpose: 'identity' },
    { name: 'Accent', color: '#e8863c', purpose: 'accent' },
  ],
  heading: 'Fraunces',
  text: 'Work Sans',
  code: null,
  base: '17px',
  ratio: 1.25,
  corners: '4px',
  space: null,
};
const make = (body: object) =>
  world.send('post', '/api/sites', { name: 'Carrow Bakehouse', starter: 'bare', ...body });
async function recordsOf(body: object): Promise<SiteRecord[]> {
  const made = await make(body).expect(200);
  return (await world.get(`/api/sites/${made.body.id}`).expect(200)).body.records;
}
const named = (records: readonly SiteRecord[], kind: SiteRecord['kind']) =>
  records.flatMap(it => (it.kind === kind && 'name' in it ? [it.name] : []));

describe('a new site', () => {
  it('has the guide of its brand, under the names and values that were sent', async () => {
    const records = await recordsOf({ brand: BRAND });
    expect(named(records, 'token')).toEqual(
      expect.arrayContaining(['Primary', 'Accent', 'Paper', 'Ink', 'Success']),
    );
    expect(named(records, 'scheme')).toEqual(['Paper', 'Tint', 'Primary', 'Ink']);
    expect(JSON.stringify(records)).not.toMatch(/Tolvane|ferr(y|ies)|Hesk/i);
    expect(named(records, 'asset')).toContain('Hills');
  });

  it('keeps how it began, to which each foundation of its guide can be reset', async () => {
    const made = await make({ brand: BRAND }).expect(200);
    const [first, ...more] = (await world.get(`/api/sites/${made.body.id}/snapshots`).expect(200)).body;
    expect(more).toEqual([]);
    expect(first.note).toBe('As the site began');
    const guide = await world.get(`/api/sites/${made.body.id}/snapshots/${first.id}/guide`).expect(200);
    expect(named(guide.body.records, 'token')).toEqual(expect.arrayContaining(['Primary', 'Paper']));
  });

  it('has a ready-made guide where that is asked for', async () => {
    expect(named(await recordsOf({ readyGuide: 'lichen' }), 'token')).toContain('Moss');
  });

  it('has a kept guide with its files; one’s own and nobody else’s', async () => {
    const kept = await world
      .send('post', '/api/guides', { site: 'tolvane', name: 'Tolvane', about: 'Quiet' })
      .expect(200);
    expect(named(await recordsOf({ keptGuide: kept.body.id }), 'scheme')).toContain('Daymark');
    const stranger = await world.stranger();
    const theirs = { name: 'Theirs', starter: 'bare', keptGuide: kept.body.id };
    await world.send('post', '/api/sites', theirs, stranger).expect(404);
  });

  it.each([
    ['two guides at once', { brand: BRAND, readyGuide: 'lichen' }, 'too-many'],
    ['a guide that there is not', { readyGuide: 'nothing' }, 'unknown-guide'],
    ['a site that there is not', { starter: 'nothing' }, 'unknown-starter'],
    ['a brand without a colour', { brand: { ...BRAND, swatches: [] } }, 'bad-brand'],
    ['a size that cannot be', { brand: { ...BRAND, base: '0px' } }, 'out-of-range'],
    ['a family that is none', { brand: { ...BRAND, heading: '"; }' } }, 'bad-brand'],
  ])('is refused with %s', async (_, body, code) => {
    const answer = await make(body);
    expect(answer.status).toBeGreaterThanOrEqual(400);
    expect(answer.status).toBeLessThan(500);
    expect(answer.body.code).toBe(code);
  });
});

describe('a site of one’s own as the beginning of another', () => {
  it('gives its pages, made neutral, in the guide that is asked for, with files of its own', async () => {
    const records = await recordsOf({ ownSite: 'tolvane', readyGuide: 'lichen', name: 'Fell Road' });
    expect(named(records, 'token')).toContain('Moss');
    const pages = records.flatMap(it => (it.kind === 'page' ? [it.title] : []));
    expect(pages).toEqual(expect.arrayContaining(['Sailings', 'Fares']));
    const words = JSON.stringify(records.filter(it => it.kind === 'widget'));
    expect(words).not.toMatch(/Tolvane|early boat/);
    for (const asset of records.filter(it => it.kind === 'asset'))
      await world.get(`/api/sites/fell-road/assets/${asset.file}`).expect(200);
  });
  it('is nobody else’s', async () => {
    const stranger = await world.stranger();
    const asked = { name: 'Theirs', starter: 'bare', ownSite: 'tolvane' };
    await world.send('post', '/api/sites', asked, stranger).expect(404);
    const keeper = await world.member('keeper');
    await world.send('post', '/api/sites', asked, keeper).expect(404);
  });
});

describe('a brief', () => {
  it('comes along as notes, with what is still missing', async () => {
    const brief = { character: 'Plain and warm.', missing: ['Opening hours', 'A picture of the oven'] };
    const records = await recordsOf({ brand: BRAND, brief });
    const notes = records.flatMap(it => (it.kind === 'note' ? [[it.name, it.status ?? null]] : []));
    expect(notes).toEqual(
      expect.arrayContaining([
        ['Character', null],
        ['Opening hours', 'open'],
        ['A picture of the oven', 'open'],
      ]),
    );
  });
  it.each([
    [{ character: 7 }],
    [{ missing: 'all' }],
    [{ missing: Array.from({ length: 31 }, () => 'x') }],
    [{ more: 'x' }],
  ])('is refused as %j', async brief => {
    await make({ brief }).expect(400);
  });
});
