import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { listen } from './support/stream';
import { startProcess, startWorld, type World } from './support/world';

/** Two server processes on one database. */
let one: World;
let two: World;
beforeAll(async () => {
  one = await startWorld('together');
  two = await startProcess('together', one.url, { COVE_DATA: one.config.COVE_DATA });
});
afterAll(async () => {
  await one.close();
  await two.close();
});

const events = (world: World, cookie = world.demo, after = '') =>
  listen(`${world.address}/api/sites/tolvane/events${after}`, { cookie });
const rename = (name: string) => [{ op: 'set', id: 'hull', path: ['name'], value: name }];

describe('a stream of events', () => {
  it('is for members alone', async () => {
    await one.get('/api/sites/tolvane/events', await one.stranger()).expect(404);
  });

  it('tells of what was accepted by another process, with who made it and what they had seen', async () => {
    const stream = await events(two);
    expect(stream.response.headers.get('content-type')).toBe('text/event-stream');
    const { seq } = (await one.change(rename('Keel')).expect(200)).body;
    const { id, data } = await stream.next('change');
    expect(id).toBe(String(seq));
    expect(data).toMatchObject({ seq, by: 'Demo designer', base: 0, edits: rename('Keel') });
    await stream.close();
  });

  it('tells how far a release has come, also one that another process writes', async () => {
    const streams = [await events(one), await events(two)];
    await one.send('post', '/api/sites/tolvane/releases', { note: 'Told' }).expect(202);
    for (const stream of streams) await stream.next('releases');
    const state = async () => (await two.get('/api/sites/tolvane/releases')).body.releases[0].state;
    for (let events = 1; (await state()) !== 'done'; events++)
      for (const stream of streams)
        await stream.until(
          () => stream.events.filter(it => it.event === 'releases').length > events || undefined,
        );
    const [release] = (await two.get('/api/sites/tolvane/releases')).body.releases;
    const before = streams.map(it => it.events.filter(event => event.event === 'releases').length);
    await one.send('put', '/api/sites/tolvane/live', { release: release.id }).expect(204);
    for (const [i, stream] of streams.entries())
      await stream.until(
        () => stream.events.filter(it => it.event === 'releases').length > (before[i] ?? 0) || undefined,
      );
    for (const stream of streams) await stream.close();
  });

  it('begins with what was missed, from the number a browser has, in order and once', async () => {
    const { seq } = (await one.get('/api/sites/tolvane')).body;
    for (let n = 1; n <= 5; n++) await one.change(rename(`Missed ${n}`)).expect(200);
    for (const world of [one, two])
      for (const stream of [
        await events(world, world.demo, `?after=${seq}`),
        await listen(`${world.address}/api/sites/tolvane/events`, {
          cookie: world.demo,
          'last-event-id': String(seq),
        }),
      ]) {
        await stream.next('change', it => it.seq === seq + 5);
        const numbers = stream.events.filter(it => it.event === 'change').map(it => Number(it.id));
        expect(numbers).toEqual([1, 2, 3, 4, 5].map(n => seq + n));
        await stream.close();
      }
  });

  it('tells one who has been away too long, or comes from another time, to read the site anew', async () => {
    const { seq } = (await one.get('/api/sites/tolvane')).body;
    const stream = await events(one, one.demo, `?after=${seq + 50}`);
    expect((await stream.next('reset')).data).toEqual({ seq });
    await stream.close();
  });

  it('announces a large change, to be fetched by those who want it', async () => {
    const stream = await events(two);
    const text = 'At the ramp. '.repeat(900);
    const edits = Array.from({ length: 8 }, () => ({
      op: 'set',
      id: 'feature-dogs',
      path: ['content', 'text'],
      value: text,
    }));
    const { seq } = (await one.change(edits).expect(200)).body;
    await stream.next('large', it => it.seq === seq);
    const { body } = await two.get(`/api/sites/tolvane/changes?after=${seq - 1}&limit=1`).expect(200);
    expect(body).toMatchObject([{ seq, edits }]);
    await stream.close();
  });
});

describe('people at a site', () => {
  const here = (world: World, client: string, station: string, cookie = world.demo) =>
    world.send('put', '/api/sites/tolvane/presence', { client, station }, cookie).expect(204);

  it('hear of each other, who and where, whichever process serves them', async () => {
    const stream = await events(two);
    await here(one, 'tab-number-1', 'guide');
    const first = await stream.next('presence', it => JSON.stringify(it).includes('tab-number-1'));
    expect(first.data).toMatchObject([
      { client: 'tab-number-1', name: 'Demo designer', place: { station: 'guide' } },
    ]);
    await one.send('delete', '/api/sites/tolvane/presence/tab-number-1').expect(204);
    await stream.next('presence', it => JSON.stringify(it).includes('"place":null'));
    await stream.close();
  });

  it('are told to one who comes later, and forgotten when they have not been heard of', async () => {
    await here(one, 'tab-number-2', 'pages');
    await here(one, 'tab-number-3', 'pages');
    await one.database.query(
      "update presence set seen_at = now() - interval '2 minutes' where client = 'tab-number-3'",
    );
    const stream = await events(two);
    expect(JSON.stringify((await stream.next('presence')).data)).toContain('tab-number-2');
    expect(JSON.stringify(stream.events)).not.toContain('tab-number-3');
    await stream.close();
  });

  it('cannot speak for somebody else’s tab', async () => {
    const reviewer = await one.member('reviewer');
    const stream = await events(two);
    await here(one, 'tab-number-4', 'guide');
    await here(one, 'tab-number-4', 'release', reviewer);
    await one.send('delete', '/api/sites/tolvane/presence/tab-number-4', undefined, reviewer).expect(204);
    const rows: { station: string }[] = await one.database.query(
      "select place->>'station' as station from presence where client = 'tab-number-4'",
    );
    expect(rows).toEqual([{ station: 'guide' }]);
    // Nor does anybody hear of the attempt; what comes after it is heard.
    await here(one, 'tab-number-5', 'guide');
    await stream.next('presence', it => JSON.stringify(it).includes('tab-number-5'));
    const heard = stream.events.filter(it => JSON.stringify(it.data).includes('tab-number-4'));
    expect(heard.map(it => it.data)).toMatchObject([[{ place: { station: 'guide' } }]]);
    await stream.close();
  });
});

describe('who may no longer listen', () => {
  it('is cut off at every process: a member taken out', async () => {
    const keeper = await one.member('keeper');
    const streams = [await events(one, keeper), await events(two, keeper)];
    const members: { account: string; role: string }[] = (await one.get('/api/sites/tolvane/members')).body;
    for (const { account, role } of members)
      if (role === 'keeper') await one.send('delete', `/api/sites/tolvane/members/${account}`).expect(204);
    for (const stream of streams) {
      await stream.next('gone');
      await stream.end();
    }
  });
  it('is cut off at every process: a session that ended', async () => {
    const cookie = await one.signIn('demo@tolvane.example', 'ferries-at-dawn');
    const [ending, staying] = [await events(two, cookie), await events(two)];
    await one.send('delete', '/api/session', undefined, cookie).expect(204);
    await ending.end();
    await one.change(rename('After')).expect(200);
    await staying.next('change', it => JSON.stringify(it).includes('After'));
    await staying.close();
  });
  it('is told apart from who has another role now: those stay and hear that something changed', async () => {
    const keeper = await one.member('keeper');
    const stream = await events(two, keeper);
    await one.send('put', '/api/sites/tolvane/keeper', { keeperMay: 'choice' }).expect(204);
    await stream.next('members');
    await stream.close();
  });
});

describe('two processes', () => {
  it('accept from both sides at once in one order, and hold the same site in the end', async () => {
    const { seq } = (await one.get('/api/sites/tolvane')).body;
    const answers = await Promise.all(
      Array.from({ length: 40 }, (_, n) =>
        (n % 2 ? one : two).change(rename(`Side ${n}`), { id: `from-both-${n}` }),
      ),
    );
    const numbers = answers.map(it => it.body.seq).sort((a, b) => a - b);
    expect(numbers).toEqual(Array.from({ length: 40 }, (_, n) => seq + n + 1));
    const tokens = await Promise.all(
      [one, two].map(async it => (await it.get('/api/sites/tolvane/tokens')).text),
    );
    expect(tokens[0]).toBe(tokens[1]);
  });
});
