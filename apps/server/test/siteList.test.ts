import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { startWorld, type World } from './support/world';

let world: World;
beforeAll(async () => {
  world = await startWorld('site_list');
});
afterAll(() => world.close());

interface Listed {
  id: string;
  name: string;
  seq: number;
  home: string | null;
  archived: boolean;
  changed: { by: string | null; own: boolean } | null;
  live: { number: number; changesSince: number } | null;
}
const list = async (cookie?: string): Promise<Listed[]> =>
  (await world.get('/api/sites', cookie).expect(200)).body;
const listed = async (id: string) => (await list()).find(it => it.id === id);
const recordsOf = async (id: string): Promise<Record<string, unknown>[]> =>
  (await world.get(`/api/sites/${id}`).expect(200)).body.records;
const bare = async (name: string): Promise<string> =>
  (await world.send('post', '/api/sites', { name, starter: 'business' }).expect(200)).body.id;

describe('the list of sites', () => {
  it('says who changed a site last, what visitors see, and where it begins', async () => {
    const tolvane = await listed('tolvane');
    expect(tolvane).toMatchObject({ name: 'Tolvane Ferries', archived: false, changed: { own: true } });
    const pages = (await recordsOf('tolvane')).filter(it => it.kind === 'page').map(it => it.id);
    expect(pages).toContain(tolvane?.home);
    const keeper = await world.member('keeper');
    expect((await list(keeper))[0]?.changed?.own).toBe(false);
  });
  it('tells its main colours, those that were entered before those that follow them', async () => {
    const { colors } = (await world.get('/api/sites/tolvane/palette').expect(200)).body;
    expect(colors.length).toBe(8);
    for (const color of colors) expect(color).toMatch(/^#[0-9a-f]{6}$/);
    expect(new Set(colors).size).toBe(8);
  });
});

describe('a site that is renamed', () => {
  it('has its name in the list and in its settings, as a change that can be taken back', async () => {
    const id = await bare('Carrow Bakehouse');
    const before = (await listed(id))?.seq ?? 0;
    await world.send('put', `/api/sites/${id}/name`, { name: ' Carrow Bread ' }).expect(204);
    expect(await listed(id)).toMatchObject({ name: 'Carrow Bread', seq: before + 1 });
    const settings = (await recordsOf(id)).find(it => it.kind === 'settings');
    expect(settings?.name).toBe('Carrow Bread');
    // The other way round: whoever changes the settings renames the site in every list.
    const edits = [{ op: 'set', id: settings?.id, path: ['name'], value: 'Carrow Mill' }];
    await world.change(edits, { site: id, id: 'named-in-settings' }).expect(200);
    expect((await listed(id))?.name).toBe('Carrow Mill');
  });
  it.each(['', '   ', 'x'.repeat(81)])('is not called “%s”', async name => {
    await world.send('put', '/api/sites/tolvane/name', { name }).expect(400);
    expect((await listed('tolvane'))?.name).toBe('Tolvane Ferries');
  });
});

describe('a copy', () => {
  it('holds the same, under its own name, with its files, and without releases', async () => {
    const { id } = (
      await world.send('post', '/api/sites/tolvane/copies', { name: 'Tolvane spring' }).expect(200)
    ).body;
    expect(id).toBe('tolvane-spring');
    const [from, to] = [await recordsOf('tolvane'), await recordsOf(id)];
    const rest = (all: Record<string, unknown>[]) =>
      all
        .filter(it => it.kind !== 'settings')
        .map(it => JSON.stringify(it))
        .sort();
    expect(rest(to)).toEqual(rest(from));
    const settings = to.find(it => it.kind === 'settings');
    expect(settings).toMatchObject({ name: 'Tolvane spring' });
    expect(settings?.address).toBeUndefined();
    expect((await listed(id))?.live).toBeNull();
    const picture = to.find(it => it.kind === 'asset');
    await world.get(`/api/sites/${id}/assets/${picture?.file}`).expect(200);
  });
});

describe('an archived site', () => {
  it('stays as it is and can be taken up again', async () => {
    const id = await bare('Laid aside');
    await world.send('put', `/api/sites/${id}/archived`, { archived: true }).expect(204);
    expect((await listed(id))?.archived).toBe(true);
    await world.get(`/api/sites/${id}`).expect(200);
    await world.send('put', `/api/sites/${id}/archived`, { archived: false }).expect(204);
    expect((await listed(id))?.archived).toBe(false);
  });
});

describe('deleting a site', () => {
  it('needs its name, and leaves nothing of it', async () => {
    const id = await bare('To be gone');
    const picture = (await recordsOf(id)).find(it => it.kind === 'asset');
    const wrong = await world.send('delete', `/api/sites/${id}?name=To%20be`, {}).expect(422);
    expect(wrong.body.code).toBe('wrong-name');
    expect(await listed(id)).toBeDefined();
    await world.send('delete', `/api/sites/${id}?name=To%20be%20gone`, {}).expect(204);
    expect(await listed(id)).toBeUndefined();
    await world.get(`/api/sites/${id}`).expect(404);
    await world.get(`/api/sites/${id}/assets/${picture?.file}`).expect(404);
    // Its address is free again.
    expect(await bare('To be gone')).toBe(id);
  });
  it('takes what visitors see with it', async () => {
    const id = await bare('Seen and gone');
    await world.send('post', `/api/sites/${id}/releases`, {}).expect(202);
    while (!(await listed(id))?.live) await new Promise(resolve => setTimeout(resolve, 50));
    expect((await listed(id))?.live).toEqual({ number: 1, changesSince: 0 });
    const seen = async () => (await fetch(`${world.sitesAddress()}/${id}/`)).status;
    expect(await seen()).toBe(200);
    await world.send('delete', `/api/sites/${id}?name=Seen%20and%20gone`, {}).expect(204);
    expect(await listed(id)).toBeUndefined();
    expect(await seen()).toBe(404);
  }, 30_000);
});
