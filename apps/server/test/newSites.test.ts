import { publishSite, readRecord, siteOf } from '@cove/core';
import { SITE_STARTERS } from '@cove/core/starters';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { startWorld } from './support/world';

let world: Awaited<ReturnType<typeof startWorld>>;
beforeAll(async () => {
  world = await startWorld('new_sites');
}, 60_000);
afterAll(() => world.close());

const siteAt = async (id: string) => {
  const { body } = await world.get(`/api/sites/${id}`).expect(200);
  return siteOf(
    body.records.map((it: unknown) => {
      const read = readRecord(it);
      if (!read.ok) throw new Error(read.problem.message);
      return read.value;
    }),
  );
};

describe('a new site', () => {
  it.each(SITE_STARTERS.map(it => [it.id, it] as const))(
    'begins as %s, with its pages, pictures and guide',
    async (id, starter) => {
      const { body } = await world
        .send('post', '/api/sites', { name: ` ${starter.label} `, starter: id })
        .expect(200);
      const site = await siteAt(body.id);
      expect([...site.kinds.page.values()].map(it => it.title)).toEqual(
        expect.arrayContaining(starter.pages.map(it => it.title)),
      );
      const { files } = publishSite(site);
      expect([...files.keys()].filter(it => it.endsWith('.html')).length).toBe(starter.pages.length);
      const [picture] = site.kinds.asset.values();
      await world.get(`/api/sites/${body.id}/assets/${picture?.file}`).expect(200);
      const { body: sites } = await world.get('/api/sites').expect(200);
      expect(sites).toContainEqual(
        expect.objectContaining({ id: body.id, name: starter.label, role: 'designer' }),
      );
    },
  );
  it('gets an address of its own where the name is taken, and letters of any alphabet do no harm', async () => {
    const make = async (name: string) =>
      (await world.send('post', '/api/sites', { name, starter: 'bare' }).expect(200)).body.id;
    expect(await make('Sant Bree')).toBe('sant-bree');
    expect(await make('Sant Bree!')).toBe('sant-bree-2');
    expect(await make('日本')).toBe('site');
    await world.send('post', '/api/sites', { name: 'X', starter: 'nothing' }).expect(422);
  });
  it('is made whole where several are made of one name at once', async () => {
    const wish = { name: 'Same tide', starter: 'bare' };
    const all = await Promise.all([1, 2, 3, 4].map(() => world.send('post', '/api/sites', wish).expect(200)));
    const ids = all.map(it => it.body.id);
    expect(ids.sort()).toEqual(['same-tide', 'same-tide-2', 'same-tide-3', 'same-tide-4']);
    for (const id of ids) expect((await siteAt(id)).kinds.page.size).toBeGreaterThan(0);
  });
  it('is nobody else’s', async () => {
    const { body } = await world.send('post', '/api/sites', { name: 'Own', starter: 'bare' }).expect(200);
    await world.get(`/api/sites/${body.id}`, await world.stranger()).expect(404);
  });
});

describe('a kept section', () => {
  it('holds all that it holds, and is replaced under its name', async () => {
    const wish = { site: 'tolvane', section: 'crossing', name: 'Open water' };
    const first = await world.send('post', '/api/sections', wish).expect(200);
    const second = await world.send('post', '/api/sections', wish).expect(200);
    expect(second.body.id).toBe(first.body.id);
    const { body } = await world.get('/api/sections').expect(200);
    expect(body).toHaveLength(1);
    const [[section, ...held]] = body[0].clip.things;
    expect(section).toMatchObject({ id: 'crossing', kind: 'section' });
    expect(held.map((it: { id: string }) => it.id)).toContain('crossing-text');
  });
  it('is seen by nobody else, kept only from a site that one designs, and forgotten', async () => {
    const other = await world.stranger();
    expect((await world.get('/api/sections', other).expect(200)).body).toEqual([]);
    const wish = { site: 'tolvane', section: 'crossing', name: 'Mine' };
    await world.send('post', '/api/sections', wish, other).expect(404);
    await world.send('post', '/api/sections', wish, await world.member('keeper', 'style')).expect(403);
    await world.send('post', '/api/sections', { ...wish, section: 'nobody' }).expect(404);
    const { body } = await world.get('/api/sections').expect(200);
    await world.send('delete', `/api/sections/${body[0].id}`, undefined, other).expect(204);
    expect((await world.get('/api/sections').expect(200)).body).toHaveLength(1);
    await world.send('delete', `/api/sections/${body[0].id}`).expect(204);
    expect((await world.get('/api/sections').expect(200)).body).toEqual([]);
  });
});
