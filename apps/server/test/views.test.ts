import { createHash, randomUUID } from 'node:crypto';
import { EXPORTS, settingsOf } from '@cove/core';
import { readWholeSite } from '@cove/core/wholeSite';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { strFromU8, unzipSync } from 'fflate';
import sharp from 'sharp';
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
      $value: { colorSpace: 'srgb', components: [42 / 255, 58 / 255, 95 / 255], hex: '#2a3a5f' },
    });
    expect(body.text['heading-1'].$type).toBe('typography');
  });
  it('leave in every format, and in no other', async () => {
    for (const { file, type } of EXPORTS) {
      const response = await world.get(`/api/sites/tolvane/guide/${file}`).buffer(true).expect(200);
      expect(response.get('content-type')).toContain(type);
      expect(response.get('content-disposition')).toBe(`attachment; filename="${file}"`);
      expect(String(response.text ?? response.body).length).toBeGreaterThan(1000);
    }
    await world.get('/api/sites/tolvane/guide/passwords.json').expect(400);
    await world.get(`/api/sites/tolvane/guide/tokens.json?release=${randomUUID()}`).expect(404);
    await world.get('/api/sites/tolvane/guide/tokens.json?release=first').expect(400);
  });
});

const archive = (query = '', file = 'export.zip') =>
  world
    .get(`/api/sites/tolvane/${file}${query}`)
    .buffer(true)
    .parse((response, done) => {
      const parts: Buffer[] = [];
      response.on('data', part => parts.push(part));
      response.on('end', () => done(null, Buffer.concat(parts)));
    });

describe('an archive', () => {
  it('holds pages, sheet, fonts and pictures, the page for what is not found and the guide, and says that it is the draft', async () => {
    const { body, headers } = await archive();
    expect(headers['content-disposition']).toBe('attachment; filename="tolvane-draft.zip"');
    const text = (body as Buffer).toString('latin1');
    expect(text.startsWith('PK')).toBe(true);
    for (const name of [
      'index.html',
      'islands/index.html',
      '404.html',
      'about.txt',
      'guide/tokens.resolver.json',
      'fonts/literata-latin-wght-normal.woff2',
      '.webp',
    ])
      expect(text).toContain(name);
  });
});

describe('the whole site', () => {
  it('is its records as JSON with every file they name, and the same bytes whenever it is made', async () => {
    const { body, headers } = await archive('', 'whole.zip');
    expect(headers['content-disposition']).toBe('attachment; filename="tolvane-site.zip"');
    const files = unzipSync(new Uint8Array(body));
    const read = readWholeSite(strFromU8(files['site.json'] ?? new Uint8Array()));
    if (!read.ok) throw new Error(read.problem.message);
    expect(settingsOf(read.value.site).name).toBe('Tolvane Ferries');
    const laid = Object.keys(files).filter(it => it !== 'site.json');
    expect(laid.sort()).toEqual(read.value.files);
    await new Promise(resolve => setTimeout(resolve, 2100));
    const again = await archive('', 'whole.zip');
    expect(Buffer.compare(body as Buffer, again.body as Buffer)).toBe(0);
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

    const { body, headers } = await archive(`?release=${first.id}`);
    expect(headers['content-disposition']).toBe('attachment; filename="tolvane-release-1.zip"');
    expect((body as Buffer).toString('latin1')).toContain('404.html');
    await world.get(`/api/sites/tolvane/export.zip?release=${randomUUID()}`).expect(404);
    const kept = await world.get(`/api/sites/tolvane/guide/guide.css?release=${first.id}`).expect(200);
    expect(kept.text).toBe(await visit('guide/guide.css'));
  });

  it('hold each picture in the widths and formats that its page names, as wide as it says', async () => {
    const html = await visit('on-board/');
    const sets = [...html.matchAll(/srcset="([^"]+)"/g)].flatMap(it => it[1]?.split(', ') ?? []);
    const named = new Map(
      sets.map((it): [string, number] => [
        it.split(' ')[0] ?? '',
        Number.parseInt(it.split(' ')[1] ?? '', 10),
      ]),
    );
    expect(named.size).toBeGreaterThan(20);
    const formats = new Set<string>();
    for (const [path, width] of named) {
      const answer = await fetch(new URL(path, `${world.sitesAddress()}/tolvane/on-board/`));
      const picture = await sharp(Buffer.from(await answer.arrayBuffer())).metadata();
      expect([path, answer.status, picture.width]).toEqual([path, 200, width]);
      const type = answer.headers.get('content-type') ?? '';
      formats.add(type);
      // sharp tells AV1 by its container and compression.
      expect(type).toBe(picture.compression === 'av1' ? 'image/avif' : `image/${picture.format}`);
    }
    expect([...formats].sort()).toEqual(['image/avif', 'image/webp']);
  });

  it('answer with the guide at an address that stays, in full only where it has altered, and to other origins where that is wanted', async () => {
    const address = `${world.sitesAddress()}/tolvane/guide/tokens.json`;
    const first = await fetch(address);
    expect(first.status).toBe(200);
    expect(first.headers.get('content-type')).toContain('application/json');
    expect(first.headers.get('access-control-allow-origin')).toBeNull();
    const tag = first.headers.get('etag') ?? '';
    // RFC 9110, section 13.1.2: nothing but the headers where the tag is the same, in either form.
    for (const known of [tag, `W/${tag}`, `"other", ${tag}`, '*']) {
      const again = await fetch(address, { headers: { 'if-none-match': known } });
      expect([again.status, await again.text(), again.headers.get('etag')]).toEqual([304, '', tag]);
    }
    expect((await fetch(address, { headers: { 'if-none-match': '"other"' } })).status).toBe(200);
    await world
      .change([
        { op: 'set', id: 'settings', path: ['openGuide'], value: true },
        { op: 'set', id: 'hull', path: ['name'], value: 'Keel' },
      ])
      .expect(200);
    await world.send('post', '/api/sites/tolvane/releases', {}).expect(202);
    await finished();
    const renewed = await fetch(address, { headers: { 'if-none-match': tag } });
    expect(renewed.status).toBe(200);
    expect(renewed.headers.get('access-control-allow-origin')).toBe('*');
    expect(renewed.headers.get('etag')).not.toBe(tag);
    expect(JSON.parse(await renewed.text()).color.brand.keel.$value.hex).toBe('#2a3a5f');
  });

  it('answer with the site’s own page where there is none, whose links hold from any address', async () => {
    for (const path of ['nowhere', 'nowhere/deep/', 'guide/none.json']) {
      const response = await fetch(`${world.sitesAddress()}/tolvane/${path}`);
      const text = await response.text();
      expect(response.status).toBe(404);
      expect(text).toContain('Page not found – Tolvane Ferries');
      expect(text).toContain('<meta name="robots" content="noindex">');
      const addresses = [...text.matchAll(/(?:href|src)="([^"]+)"/g)].map(it => it[1] ?? '');
      expect(addresses.filter(it => !/^(#|mailto:)/.test(it)).every(it => it.startsWith('/tolvane/'))).toBe(
        true,
      );
      for (const it of addresses.filter(name => /\.(css|woff2)$/.test(name)))
        expect((await fetch(`${world.sitesAddress()}${it}`)).status).toBe(200);
      // Its sheet is the one that its policy names (Content Security Policy 3, section 6.7.3).
      const [, sheet = ''] = /<style>([\s\S]*?)<\/style>/.exec(text) ?? [];
      const hash = createHash('sha256').update(sheet).digest('base64');
      expect(response.headers.get('content-security-policy')).toContain(`style-src 'self' 'sha256-${hash}'`);
    }
    expect((await fetch(`${world.sitesAddress()}/no-such-site/`)).status).toBe(404);
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
