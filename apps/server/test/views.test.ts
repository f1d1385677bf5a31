import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { startWorld, type World } from './support/world';

let world: World;
beforeAll(async () => {
  world = await startWorld('views');
});
afterAll(() => world.close());

describe('a thread', () => {
  it('is told of a part on a page, down to its token', async () => {
    const { body } = await world
      .get('/api/sites/tolvane/thread?node=feature-dogs&page=home&part=box&property=backgroundColor')
      .expect(200);
    expect(body).toMatchObject({
      css: '#c9d5e3',
      from: {
        origin: 'own',
        record: 'feature-dogs',
        slot: 'box/backgroundColor',
        node: 'feature-dogs',
        inherited: false,
      },
      via: [{ token: 'mist' }],
      overridden: [{ origin: 'variant', record: 'feature-card', slot: 'box/backgroundColor', why: 'origin' }],
    });
  });
  it('is told of an element with variant and scheme', async () => {
    const { body } = await world
      .get(
        '/api/sites/tolvane/thread?type=button&variant=kind-outlined&scheme=heather-moor&part=box&state=hover&property=backgroundColor',
      )
      .expect(200);
    expect(body).toMatchObject({
      from: { record: 'kind-outlined' },
      via: [
        { role: 'secondFillHover', scheme: 'heather-moor' },
        { token: 'heather-deep' },
        { token: 'heather' },
      ],
    });
  });
  it.each([
    ['node=feature-dogs&page=fares&part=box&property=color', 404],
    ['node=feature-dogs&page=home&part=nose&property=color', 404],
    ['node=feature-dogs&page=home&part=box&property=colour', 400],
    ['type=nothing&part=box&property=color', 404],
    ['type=button&variant=look-h1&part=box&property=color', 404],
    ['part=box&property=color', 400],
    ['node=feature-dogs&page=home&part=box&property=color&state=asleep', 400],
  ])('is not told of %s', async (query, status) => {
    await world.get(`/api/sites/tolvane/thread?${query}`).expect(status);
  });
  it('follows a change at once', async () => {
    await world
      .change([{ op: 'unset', id: 'feature-dogs', path: ['styles', 'box/backgroundColor'] }])
      .expect(200);
    const { body } = await world
      .get('/api/sites/tolvane/thread?node=feature-dogs&page=home&part=box&property=backgroundColor')
      .expect(200);
    expect(body).toMatchObject({ css: '#d6e6f0', from: { origin: 'variant' } });
  });
});

describe('a preview', () => {
  it('bears marks and its CSS, and a policy that runs nothing', async () => {
    const response = await world.get('/api/sites/tolvane/pages/home/preview').expect(200);
    expect(response.text).toContain('data-node="welcome"');
    expect(response.text).toContain('data-part="box"');
    expect(response.text).toContain('<style>');
    expect(response.get('content-security-policy')).toMatch(/^default-src 'none'.*sandbox/);
    await world.get('/api/sites/tolvane/pages/nowhere/preview').expect(404);
  });
});

describe('tokens', () => {
  it('leave in the open format', async () => {
    const { body } = await world.get('/api/sites/tolvane/tokens').expect(200);
    expect(body.color.brand.hull).toEqual({
      $type: 'color',
      $value: { colorSpace: 'srgb', components: [42 / 255, 58 / 255, 95 / 255] },
    });
  });
});

describe('an archive', () => {
  it('holds pages, sheet, fonts and pictures', async () => {
    const { body } = await world
      .get('/api/sites/tolvane/export.zip')
      .buffer(true)
      .parse((response, done) => {
        const parts: Buffer[] = [];
        response.on('data', part => parts.push(part));
        response.on('end', () => done(null, Buffer.concat(parts)));
      });
    const text = (body as Buffer).toString('latin1');
    expect(text.startsWith('PK')).toBe(true);
    for (const name of [
      'index.html',
      'islands/index.html',
      'fonts/literata-latin-wght-normal.woff2',
      '.webp',
    ])
      expect(text).toContain(name);
  });
});

describe('releases', () => {
  const finished = async () => {
    for (let i = 0; i < 100; i++) {
      const { body } = await world.get('/api/sites/tolvane/releases');
      if (body.releases.every((it: { state: string }) => it.state === 'done' || it.state === 'failed'))
        return body.releases;
      await new Promise(resolve => setTimeout(resolve, 100));
    }
    throw new Error('no release was finished in 10 s');
  };
  const visit = async (path = '') => (await fetch(`${world.sitesAddress()}/tolvane/${path}`)).text();

  it('show nothing before the first, then what was published, and go back', async () => {
    expect((await fetch(`${world.sitesAddress()}/tolvane/`)).status).toBe(404);
    await world.send('post', '/api/sites/tolvane/releases', { note: 'First' }).expect(202);
    const [first] = await finished();
    expect(first).toMatchObject({ number: 1, note: 'First', live: true });
    expect(first.done).toBe(first.total);
    expect(await visit()).toContain('The early boat is worth it');
    await world
      .change([{ op: 'set', id: 'welcome-title', path: ['content', 'text'], value: 'Late boats' }])
      .expect(200);
    expect(await visit()).toContain('The early boat is worth it');
    await world.send('post', '/api/sites/tolvane/releases', {}).expect(202);
    await finished();
    expect(await visit()).toContain('Late boats');
    await world.send('put', '/api/sites/tolvane/live', { release: first.id }).expect(204);
    expect(await visit()).toContain('The early boat is worth it');
  });

  it('are served without a cookie, with a policy, and nothing outside their folder', async () => {
    const response = await fetch(`${world.sitesAddress()}/tolvane/sailings/`, {
      headers: { cookie: world.demo },
    });
    expect(response.headers.get('set-cookie')).toBeNull();
    expect(response.headers.get('content-security-policy')).toContain("default-src 'none'");
    for (const path of [
      '..%2f..%2fdatabase.json',
      '%2e%2e/%2e%2e/x',
      '.hidden',
      'index.html%00',
      'sailings//index.html',
    ])
      expect((await fetch(`${world.sitesAddress()}/tolvane/${path}`)).status).toBe(404);
    expect((await fetch(`${world.sitesAddress()}/tolvane/`, { method: 'POST' })).status).toBe(405);
  });
});
