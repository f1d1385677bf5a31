import { type Edit, type GuideData, planGuide, siteOf, takeGuide } from '@cove/core';
import { READY_GUIDES, readyGuide } from '@cove/core/starters';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { startWorld, type World } from './support/world';

let world: World;
beforeAll(async () => {
  world = await startWorld('keeping');
});
afterAll(() => world.close());

const site = async () => siteOf((await world.get('/api/sites/tolvane').expect(200)).body.records);
const rename = (title: string): Edit => ({ op: 'set', id: 'home', path: ['title'], value: title });
const keep = async (note: string): Promise<string> =>
  (await world.send('post', '/api/sites/tolvane/snapshots', { note }).expect(201)).body.id;
const restore = (id: string, part?: string) =>
  world.send('post', `/api/sites/tolvane/snapshots/${id}/restore`, part === undefined ? {} : { part });

describe('a snapshot', () => {
  it('brings back the whole site to the same records, as one change that others are told of', async () => {
    const before = await site();
    const id = await keep('All is well');
    const [spec] = READY_GUIDES;
    if (!spec) throw new Error('no guide');
    await world.change(takeGuide(before, planGuide(before, readyGuide(spec), 'dark'))).expect(200);
    await world.change([rename('Elsewhere'), { op: 'remove', id: 'before' }]).expect(200);
    const { body } = await restore(id).expect(200);
    expect(await site()).toEqual(before);
    const changes = await world.get(`/api/sites/tolvane/changes?after=${body.seq - 1}`).expect(200);
    expect(JSON.stringify(changes.body)).toContain('restore-');
  });
  it('can bring back the guide alone, and leaves the pages as they are', async () => {
    const id = await keep('The guide of before');
    const hull = { type: 'color', value: { space: 'srgb', coords: [0, 0, 0], alpha: 1 } };
    await world
      .change([{ op: 'set', id: 'hull', path: ['value'], value: hull }, rename('A new title')])
      .expect(200);
    await restore(id, 'guide').expect(200);
    const now = await site();
    expect(now.kinds.token.get('hull')?.value).not.toEqual(hull);
    expect(now.kinds.page.get('home')?.title).toBe('A new title');
  });
  it('can bring back one foundation alone, its guide being read in parts', async () => {
    const id = await keep('Two foundations');
    const black = { type: 'color', value: { space: 'srgb', coords: [0, 0, 0], alpha: 1 } };
    await world
      .change([
        { op: 'set', id: 'hull', path: ['value'], value: black },
        { op: 'set', id: 'ratio', path: ['value'], value: { type: 'number', value: 1.5 } },
      ])
      .expect(200);
    const guide: GuideData = (await world.get(`/api/sites/tolvane/snapshots/${id}/guide`).expect(200)).body;
    const now = await site();
    const plan = planGuide(now, guide);
    expect(plan.parts.map(it => it.id).sort()).toEqual(['hull', 'ratio']);
    await world.change(takeGuide(now, plan, new Set(['hull']))).expect(200);
    const { token } = (await site()).kinds;
    expect(token.get('hull')?.value).not.toEqual(black);
    expect(token.get('ratio')?.value).toEqual({ type: 'number', value: 1.5 });
    await restore(id).expect(200);
  });
  it('of before is kept when one goes back, so that going back can be gone back on', async () => {
    const id = await keep('Home');
    await world.change([rename('Meanwhile')]).expect(200);
    await restore(id).expect(200);
    const { body } = await world.get('/api/sites/tolvane/snapshots').expect(200);
    expect(body[0]).toMatchObject({ note: 'Before going back to “Home”', by: 'Demo designer' });
    await restore(body[0].id).expect(200);
    expect((await site()).kinds.page.get('home')?.title).toBe('Meanwhile');
  });
  it('that alters nothing makes no change', async () => {
    const id = await keep('Now');
    const { seq } = (await world.get('/api/sites/tolvane').expect(200)).body;
    expect((await restore(id).expect(200)).body.seq).toBe(seq);
  });
  it('is forgotten, is not there for other sites, and wants a note', async () => {
    const id = await keep('Short-lived');
    await world.send('delete', `/api/sites/tolvane/snapshots/${id}`).expect(204);
    await restore(id).expect(404);
    await restore('no-such-thing').expect(404);
    await restore(id, 'half').expect(400);
    await world.send('post', '/api/sites/tolvane/snapshots', {}).expect(400);
  });
});

describe('a kept guide', () => {
  it('holds all of a site’s guide and none of its pages, and grows newer under its name', async () => {
    const body = { site: 'tolvane', name: 'Ferry', about: 'Of the line' };
    const first = await world.send('post', '/api/guides', body).expect(200);
    expect(first.body).toMatchObject({ name: 'Ferry', version: 1 });
    const second = await world.send('post', '/api/guides', body).expect(200);
    expect(second.body).toMatchObject({ id: first.body.id, version: 2 });
    const guide: GuideData = (await world.get(`/api/guides/${first.body.id}`).expect(200)).body;
    const kinds = new Set(guide.records.map(it => it.kind));
    expect(kinds).toContain('preset');
    for (const kind of ['page', 'section', 'widget', 'settings', 'asset'])
      expect([...kinds]).not.toContain(kind);
    expect(planGuide(await site(), guide).parts).toEqual([]);
  });
  it('is seen by nobody else, and kept only from a site that one designs', async () => {
    const other = await world.stranger();
    const { body } = await world.get('/api/guides').expect(200);
    expect((await world.get('/api/guides', other).expect(200)).body).toEqual([]);
    await world.get(`/api/guides/${body[0].id}`, other).expect(404);
    const wish = { site: 'tolvane', name: 'Mine', about: '' };
    await world.send('post', '/api/guides', wish, other).expect(404);
    await world.send('post', '/api/guides', wish, await world.member('keeper', 'style')).expect(403);
    await world.send('delete', `/api/guides/${body[0].id}`, undefined, other).expect(204);
    await world.get(`/api/guides/${body[0].id}`).expect(200);
  });
});
