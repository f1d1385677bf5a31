import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import request from 'supertest';
import { ORIGIN, startProcess, startWorld, type World } from './support/world';

let world: World;
beforeAll(async () => {
  world = await startWorld('people');
});
afterAll(() => world.close());

const PASSWORD = 'harbour-at-noon';

interface Letter {
  recipient: string;
  subject: string;
  body: string;
}
/** What a link in the newest letter to an address holds after its #. */
async function secretTo(email: string): Promise<string> {
  const [letter]: Letter[] = await world.database.query(
    'select recipient, subject, body from outbox where recipient = $1 order by id desc limit 1',
    [email],
  );
  return /#([\w-]{43})/.exec(letter?.body ?? '')?.[1] ?? '';
}
const anonymous = (method: 'post' | 'get', path: string, body?: object) =>
  request(world.http)[method](path).set('origin', ORIGIN).send(body);
const cookieOf = (response: request.Response) => response.get('set-cookie')?.[0]?.split(';')[0] ?? '';

async function signUp(name: string): Promise<{ email: string; cookie: string }> {
  const email = `${name}@tolvane.example`;
  await anonymous('post', '/api/account/link', { email }).expect(202);
  const made = await anonymous('post', '/api/account', {
    secret: await secretTo(email),
    name,
    password: PASSWORD,
  }).expect(201);
  return { email, cookie: cookieOf(made) };
}
async function accountOf(email: string): Promise<string> {
  const rows: { id: string }[] = await world.database.query('select id from accounts where email = $1', [
    email,
  ]);
  return rows[0]?.id ?? '';
}

describe('signing up', () => {
  it('goes by a link that is mailed, works once, and signs in', async () => {
    const email = 'ines@tolvane.example';
    await anonymous('post', '/api/account/link', { email: 'Ines@Tolvane.example' }).expect(202);
    const secret = await secretTo(email);
    expect((await anonymous('post', '/api/account/link/look', { secret }).expect(200)).body).toEqual({
      email,
      known: false,
      name: '',
    });
    const body = { secret, name: 'Ines', password: PASSWORD };
    const cookie = cookieOf(await anonymous('post', '/api/account', body).expect(201));
    expect((await world.get('/api/session', cookie).expect(200)).body).toEqual({ email, name: 'Ines' });
    expect((await anonymous('post', '/api/account', body).expect(410)).body.code).toBe('spent-link');
    await world.signIn(email, PASSWORD);
  });

  it('answers the same for an address that has an account, whose letter offers a new password', async () => {
    const { email, cookie } = await signUp('jon');
    const known = await anonymous('post', '/api/account/link', { email });
    const unknown = await anonymous('post', '/api/account/link', { email: 'nobody-yet@tolvane.example' });
    expect([known.status, known.body]).toEqual([unknown.status, unknown.body]);
    const secret = await secretTo(email);
    expect((await anonymous('post', '/api/account/link/look', { secret })).body).toMatchObject({
      known: true,
    });
    await anonymous('post', '/api/account', { secret, name: 'Jon', password: 'another-harbour' }).expect(201);
    await world.get('/api/session', cookie).expect(401);
    await world.signIn(email, 'another-harbour');
  });

  it('does not work with a link that is too old, or made up', async () => {
    const email = 'late@tolvane.example';
    await anonymous('post', '/api/account/link', { email }).expect(202);
    await world.database.query("update account_links set expires_at = now() - interval '1 second'");
    const body = { secret: await secretTo(email), name: 'Late', password: PASSWORD };
    await anonymous('post', '/api/account', body).expect(410);
    await anonymous('post', '/api/account', { ...body, secret: 'x'.repeat(43) }).expect(410);
  });

  it('keeps links as hashes alone', async () => {
    await anonymous('post', '/api/account/link', { email: 'hash@tolvane.example' }).expect(202);
    const rows: { length: number }[] = await world.database.query(
      'select length(token_hash) as length from account_links',
    );
    expect(new Set(rows.map(it => it.length))).toEqual(new Set([32]));
  });
});

describe('sessions', () => {
  it('are listed without what opens them, and end one by one or all others at once', async () => {
    const { email, cookie } = await signUp('kit');
    const [second, third] = [await world.signIn(email, PASSWORD), await world.signIn(email, PASSWORD)];
    const list: { id: string; current: boolean }[] = (await world.get('/api/account/sessions', cookie)).body;
    expect(list.filter(it => it.current)).toHaveLength(1);
    expect(Object.keys(list[0] ?? {}).sort()).toEqual(['agent', 'createdAt', 'current', 'id', 'seenAt']);
    const [other] = (await world.get('/api/account/sessions', second)).body.filter(
      (it: { current: boolean }) => it.current,
    );
    await world.send('delete', `/api/account/sessions/${other.id}`, undefined, cookie).expect(204);
    await world.get('/api/session', second).expect(401);
    await world.get('/api/session', third).expect(200);
    await world.send('delete', '/api/account/sessions', undefined, cookie).expect(204);
    await world.get('/api/session', third).expect(401);
    await world.get('/api/session', cookie).expect(200);
  });

  it('of others cannot be ended', async () => {
    const { cookie } = await signUp('lea');
    const [theirs] = (await world.get('/api/account/sessions')).body;
    await world.send('delete', `/api/account/sessions/${theirs.id}`, undefined, cookie).expect(404);
    await world.get('/api/session').expect(200);
  });

  it('end by themselves after a time', async () => {
    const { email, cookie } = await signUp('max');
    const rows: { days: number }[] = await world.database.query(
      'select round(extract(epoch from s.expires_at - now()) / 86400)::int as days from sessions s join accounts a on a.id = s.account_id where a.email = $1',
      [email],
    );
    expect(rows).toEqual([{ days: 14 }]);
    await world.database.query(
      'update sessions set expires_at = now() where account_id = (select id from accounts where email = $1)',
      [email],
    );
    await world.get('/api/session', cookie).expect(401);
  });

  it('end everywhere else when the password is changed, which needs the present one', async () => {
    const { email, cookie } = await signUp('nia');
    const other = await world.signIn(email, PASSWORD);
    const change = (current: string) =>
      world.send('put', '/api/account/password', { current, password: 'quay-after-dark' }, cookie);
    expect((await change('not-that-one').expect(422)).body.code).toBe('wrong-password');
    await world.get('/api/session', other).expect(200);
    await change(PASSWORD).expect(204);
    await world.get('/api/session', other).expect(401);
    await world.get('/api/session', cookie).expect(200);
    await world.signIn(email, 'quay-after-dark');
  });
});

describe('too many tries', () => {
  it('with wrong passwords are stopped for one address from one place, also with the right one; others go on', async () => {
    const { email } = await signUp('olaf');
    const tried = (address: string, password: string) =>
      anonymous('post', '/api/session', { email: address, password });
    for (let i = 0; i < 10; i++) await tried(email, 'wrong').expect(401);
    expect((await tried(email, PASSWORD).expect(429)).body).toMatchObject({
      code: 'too-many-tries',
      message: expect.stringContaining('minutes'),
    });
    await world.signIn('demo@tolvane.example', 'ferries-at-dawn');
  });

  it('are counted for addresses without an account too, so that the answer tells nothing', async () => {
    const tried = () => anonymous('post', '/api/session', { email: 'ghost@tolvane.example', password: 'x' });
    for (let i = 0; i < 10; i++) await tried().expect(401);
    await tried().expect(429);
  });

  it('are counted together by all processes', async () => {
    const beside = await startProcess('people', world.url);
    const { status } = await request(beside.http)
      .post('/api/session')
      .set('origin', beside.config.COVE_ORIGIN)
      .send({ email: 'ghost@tolvane.example', password: 'x' });
    expect(status).toBe(429);
    await beside.close();
  });

  it('to have letters sent are stopped', async () => {
    const ask = () => anonymous('post', '/api/account/link', { email: 'flood@tolvane.example' });
    for (let i = 0; i < 5; i++) await ask().expect(202);
    await ask().expect(429);
  });
});

describe('an invitation', () => {
  const invite = (email: string, role: string) =>
    world.send('post', '/api/sites/tolvane/invitations', { email, role }).expect(201);

  it('is a link that makes whoever opens it a member, once', async () => {
    const { cookie } = await signUp('pia');
    await world.get('/api/sites/tolvane', cookie).expect(404);
    const { link } = (await invite('pia@tolvane.example', 'keeper')).body;
    const secret = link.split('#')[1];
    expect((await anonymous('post', '/api/invitations/look', { secret }).expect(200)).body).toEqual({
      site: 'tolvane',
      name: 'Tolvane Ferries',
      role: 'keeper',
      email: 'pia@tolvane.example',
    });
    await world.send('post', '/api/invitations/accept', { secret }, cookie).expect(200);
    await world.get('/api/sites/tolvane', cookie).expect(200);
    const other = await signUp('quinn');
    await world.send('post', '/api/invitations/accept', { secret }, other.cookie).expect(410);
    await world.get('/api/sites/tolvane', other.cookie).expect(404);
  });

  it('can be taken back, and grows old', async () => {
    const { cookie } = await signUp('rosa');
    const secrets: string[] = [];
    for (let i = 0; i < 2; i++)
      secrets.push((await invite('rosa@tolvane.example', 'reviewer')).body.link.split('#')[1]);
    const open: { id: string }[] = (await world.get('/api/sites/tolvane/invitations')).body;
    await world.send('delete', `/api/sites/tolvane/invitations/${open[0]?.id}`).expect(204);
    await world.database.query("update invitations set expires_at = now() - interval '1 second'");
    expect((await world.get('/api/sites/tolvane/invitations')).body).toEqual([]);
    for (const secret of secrets)
      await world.send('post', '/api/invitations/accept', { secret }, cookie).expect(410);
  });

  it('does not lower the role of one who is a member already', async () => {
    const { link } = (await invite('demo@tolvane.example', 'reviewer')).body;
    await world.send('post', '/api/invitations/accept', { secret: link.split('#')[1] }).expect(200);
    const members: { email: string; role: string }[] = (await world.get('/api/sites/tolvane/members')).body;
    expect(members.find(it => it.email === 'demo@tolvane.example')?.role).toBe('designer');
  });
});

describe('the simulated mail', () => {
  it('is read by whom it is for, and by designers of the site it was sent for', async () => {
    const sam = await signUp('sam');
    await world
      .send('post', '/api/sites/tolvane/invitations', { email: sam.email, role: 'keeper' })
      .expect(201);
    const read = async (cookie?: string): Promise<string[]> =>
      (await world.get('/api/outbox', cookie)).body.map((it: Letter) => it.recipient);
    expect(new Set(await read(sam.cookie))).toEqual(new Set([sam.email]));
    const designer = await read();
    expect(designer).toContain(sam.email);
    const letters: Letter[] = (await world.get('/api/outbox')).body;
    expect(letters.some(it => it.subject.startsWith('Your account'))).toBe(false);
    const stranger = await signUp('tove');
    expect(new Set(await read(stranger.cookie))).toEqual(new Set([stranger.email]));
  });

  it('is read by everyone only where the configuration says so', async () => {
    await anonymous('get', '/api/outbox/open').expect(404);
    const open = await startProcess('people', world.url, { COVE_OUTBOX: 'open' });
    const { body } = await request(open.http).get('/api/outbox/open').expect(200);
    expect(body.length).toBeGreaterThan(3);
    await open.close();
  });
});

describe('members', () => {
  it('are given other roles, and taken out, by designers', async () => {
    const { email, cookie } = await signUp('una');
    const { link } = (
      await world.send('post', '/api/sites/tolvane/invitations', { email, role: 'reviewer' }).expect(201)
    ).body;
    await world.send('post', '/api/invitations/accept', { secret: link.split('#')[1] }, cookie).expect(200);
    const rename = (cookie_: string, name: string) =>
      world.change([{ op: 'set', id: 'hull', path: ['name'], value: name }], { cookie: cookie_ });
    await rename(cookie, 'Prow').expect(403);
    const account = await accountOf(email);
    await world.send('put', `/api/sites/tolvane/members/${account}`, { role: 'designer' }).expect(204);
    await rename(cookie, 'Prow').expect(200);
    await world.send('delete', `/api/sites/tolvane/members/${account}`).expect(204);
    await rename(cookie, 'Stern').expect(404);
  });

  it('always have a designer among them: the last one can neither go nor step down', async () => {
    const rows: { id: string }[] = await world.database.query(
      "select account_id as id from members where site_id = 'tolvane' and role = 'designer'",
    );
    expect(rows).toHaveLength(1);
    const [{ id } = { id: '' }] = rows;
    for (const call of [
      world.send('put', `/api/sites/tolvane/members/${id}`, { role: 'keeper' }),
      world.send('delete', `/api/sites/tolvane/members/${id}`),
      world.send('delete', '/api/sites/tolvane/members/me'),
    ])
      expect((await call.expect(409)).body.code).toBe('last-designer');
  });

  it('cannot both step down at the same moment', async () => {
    const { email, cookie } = await signUp('vera');
    const account = await accountOf(email);
    await world.database.query(
      "insert into members (site_id, account_id, role) values ('tolvane', $1, 'designer')",
      [account],
    );
    const answers = await Promise.all([
      world.send('delete', '/api/sites/tolvane/members/me'),
      world.send('delete', '/api/sites/tolvane/members/me', undefined, cookie),
    ]);
    expect(answers.map(it => it.status).sort()).toEqual([204, 409]);
    await world.database.query(
      "insert into members (site_id, account_id, role) select 'tolvane', id, 'designer' from accounts where email = 'demo@tolvane.example' on conflict do nothing",
    );
  });
});

describe('a body', () => {
  it('that is no JSON is refused with a clear answer', async () => {
    const response = await request(world.http)
      .post('/api/session')
      .set('origin', ORIGIN)
      .set('content-type', 'application/json')
      .send('{"email": ');
    expect([response.status, response.body]).toEqual([
      400,
      expect.objectContaining({ code: 'bad-json', message: expect.stringContaining('JSON') }),
    ]);
  });
  it('that is too large is refused with a clear answer: small where little is expected, 20 MB for changes', async () => {
    const large = await anonymous('post', '/api/session', {
      email: 'a@b.example',
      password: 'x'.repeat(70_000),
    });
    expect([large.status, large.body]).toEqual([
      413,
      expect.objectContaining({ code: 'too-large', message: expect.stringContaining('too large') }),
    ]);
    const edit = { op: 'set', id: 'feature-dogs', path: ['content', 'text'], value: 'x'.repeat(80_000) };
    expect((await world.change([edit])).status).toBe(422);
    expect((await world.change([{ ...edit, value: 'x'.repeat(21_000_000) }])).status).toBe(413);
  });
});
