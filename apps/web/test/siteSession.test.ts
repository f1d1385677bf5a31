import { allRecords, applyChange, type Change, type Edit, type Site } from '@cove/core';
import { tolvane } from '@cove/core/starters';
import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { SiteSession } from '../src/session/siteSession.ts';
import type { Accepted, MadeChange, Presence } from '../src/session/streamMessages.ts';
import { TabStores } from './support/stores.ts';

/** A server in a few lines: keeps a site, refuses or stays away when told to. */
class FakeServer {
  private site = tolvane(() => 'abcdef0123456789.webp');
  private readonly log: Accepted[] = [];
  /** How many changes were sent, accepted or not. */
  sent = 0;
  /** What was sent from here and accepted. */
  readonly accepted: Change[] = [];
  away = false;
  /** A status and a body with which every change is answered. */
  failing: { status: number; body: unknown } | null = null;
  refuse: string | null = null;
  refuseOnce = false;
  readonly notices: string[] = [];
  /** What was sent and did not arrive. */
  readonly attempts: Change[] = [];
  private events: FakeEvents | null = null;

  readonly fetch = async (request: Request): Promise<Response> => {
    const { method } = request;
    const body = await request.text();
    if (this.away && body) this.attempts.push(JSON.parse(body));
    if (this.away) throw new TypeError('Failed to fetch');
    const answer = (status: number, body: unknown) =>
      ({
        ok: status < 400,
        status,
        headers: new Headers({ 'x-request-id': 'r1' }),
        text: async () => JSON.stringify(body),
      }) as Response;
    const { pathname, searchParams } = new URL(request.url);
    if (method === 'GET' && pathname.endsWith('/tolvane'))
      return answer(200, { seq: this.seq, records: [...allRecords(this.site)] });
    if (method === 'GET') return answer(200, this.log.slice(Number(searchParams.get('after')) - 1));
    this.sent++;
    if (this.failing) return answer(this.failing.status, this.failing.body);
    const change: MadeChange = JSON.parse(body);
    if (this.refuse) {
      const message = this.refuse;
      if (this.refuseOnce) this.refuse = null;
      return answer(422, { code: 'dangling', message });
    }
    const known = this.log.find(it => it.id === change.id);
    if (known) return answer(200, { seq: known.seq, dropped: [] });
    this.accepted.push(change);
    const dropped = this.keep(change);
    return answer(200, { seq: this.seq, dropped });
  };

  get seq(): number {
    return this.log.length + 1;
  }

  /** Takes a change in; the numbers of its edits that met nothing. */
  private keep(change: MadeChange): number[] {
    const applied = applyChange(this.site, change);
    if (!applied.ok) throw new Error(applied.problem.message);
    this.site = applied.value.site;
    this.log.push({ ...change, seq: this.seq + 1, by: 'Somebody' });
    return change.edits.flatMap((edit, i) => (applied.value.dropped.includes(edit) ? [i] : []));
  }

  listen(events: FakeEvents) {
    this.events = events;
  }
  /** Somebody else's change, made when they had seen all up to `base`; `quiet` where nobody is told of it. */
  other(id: string, edits: Edit[], { base = this.seq, quiet = false } = {}) {
    this.keep({ id, edits, base });
    if (!quiet) this.tell('change', this.log.at(-1));
  }
  tell(name: string, data: unknown) {
    this.events?.tell(name, data);
  }
  /** The program itself makes the site another one, which nobody can replay. */
  reset(resets: 'upgrade' | 'restore') {
    this.log.push({ id: resets, base: this.seq, seq: this.seq + 1, by: null, resets, edits: [] });
    this.tell('reset', { seq: this.seq });
  }
}

class FakeEvents {
  private readonly listeners = new Map<string, (event: { data: string }) => void>();
  constructor() {
    server.listen(this);
  }
  addEventListener(name: string, listener: (event: { data: string }) => void) {
    this.listeners.set(name, listener);
  }
  tell(name: string, data: unknown) {
    this.listeners.get(name)?.({ data: JSON.stringify(data) });
  }
  close() {}
}

let server: FakeServer;
let session: SiteSession;
const nameOf = (site: Site, id: string) => site.kinds.token.get(id)?.name;
const rename = (id: string, name: string): Edit => ({ op: 'set', id, path: ['name'], value: name });
const settle = async () => {
  for (let i = 0; i < 20; i++) await jest.advanceTimersByTimeAsync(300);
};

beforeEach(async () => {
  jest.useFakeTimers();
  server = new FakeServer();
  Object.assign(globalThis, { fetch: server.fetch, EventSource: FakeEvents });
  session = await SiteSession.open('tolvane', message => server.notices.push(message));
});
afterEach(() => {
  session.close();
  jest.useRealTimers();
});

describe('an edit', () => {
  it('shows at once, and is kept when the server has it', async () => {
    session.commit([rename('hull', 'Keel')], 'Rename');
    expect(nameOf(session.site, 'hull')).toBe('Keel');
    expect(session.store.getState().sync).toBe('sending');
    await settle();
    expect(session.store.getState()).toMatchObject({ sync: 'kept', waiting: 0, seq: 2 });
    expect(server.accepted).toHaveLength(1);
  });
  it('that sets what is so already is none', () => {
    session.commit([rename('hull', 'Hull')], 'Rename');
    expect(session.store.getState()).toMatchObject({ waiting: 0, undoLabel: null });
  });
  it('that breaks an invariant is not made, and told', () => {
    expect(session.commit([{ op: 'remove', id: 'rope' }], 'Delete').ok).toBe(false);
    expect(server.notices).toHaveLength(1);
    expect(session.site.kinds.token.has('rope')).toBe(true);
  });
  it('that the server refuses is taken back with a word', async () => {
    server.refuse = 'It cannot be.';
    session.commit([rename('hull', 'Keel')], 'Rename');
    await settle();
    expect(nameOf(session.site, 'hull')).toBe('Hull');
    expect(server.notices).toEqual(['Taken back: It cannot be.']);
    expect(session.store.getState().undoLabel).toBeNull();
  });
  it('that the server fails at three times is set aside with a word, and what came after it goes on', async () => {
    server.failing = { status: 500, body: { code: 'failed', message: 'Something went wrong.' } };
    session.commit([rename('hull', 'Keel')], 'Rename');
    session.commit([rename('rope', 'Line')], 'Rename');
    for (let i = 0; i < 60 && server.notices.length === 0; i++) await jest.advanceTimersByTimeAsync(500);
    expect(server.notices).toEqual([expect.stringMatching(/^Set aside: .* 3 times \(request r1\)/)]);
    expect(server.sent).toBeGreaterThanOrEqual(3);
    server.failing = null;
    await settle();
    expect(server.accepted).toHaveLength(1);
    expect(nameOf(session.site, 'hull')).toBe('Hull');
    expect(nameOf(session.site, 'rope')).toBe('Line');
    expect(session.store.getState()).toMatchObject({ sync: 'kept', waiting: 0 });
  });
  it('waits while the server is away, and is sent once, in order, when it is back', async () => {
    server.away = true;
    session.commit([rename('hull', 'A')], 'Rename');
    session.commit([rename('hull', 'B')], 'Rename');
    await settle();
    expect(session.store.getState()).toMatchObject({ sync: 'away', waiting: 2 });
    server.away = false;
    await settle();
    expect(session.store.getState()).toMatchObject({ sync: 'kept', waiting: 0 });
    expect(server.accepted.map(({ edits }) => edits[0])).toEqual([rename('hull', 'A'), rename('hull', 'B')]);
  });
});

describe('a refusal after a failure', () => {
  it('does not hold up what waits behind it', async () => {
    server.away = true;
    session.commit([rename('hull', 'A')], 'Rename');
    session.commit([rename('lamp', 'B')], 'Rename');
    await jest.advanceTimersByTimeAsync(100);
    server.away = false;
    server.refuse = 'It cannot be.';
    server.refuseOnce = true;
    await settle();
    expect(session.store.getState()).toMatchObject({ sync: 'kept', waiting: 0 });
    expect(server.accepted.map(({ edits }) => edits[0])).toEqual([rename('lamp', 'B')]);
  });
});

describe('an answer whose turn has not come', () => {
  it('is waited for without sending again, and the site is read anew where what is missing does not come', async () => {
    server.other('theirs', [rename('lamp', 'Theirs')], { quiet: true });
    session.commit([rename('hull', 'A')], 'Rename');
    await settle();
    expect(session.store.getState()).toMatchObject({ sync: 'kept', waiting: 0, seq: 3 });
    expect(nameOf(session.site, 'lamp')).toBe('Theirs');
    expect(nameOf(session.site, 'hull')).toBe('A');
    expect(server.sent).toBe(1);
  });
});

describe('the stream', () => {
  it('can tell of an edit before its own answer comes; then it is kept all the same', async () => {
    server.away = true;
    session.commit([rename('hull', 'A')], 'Rename');
    await settle();
    const [sent] = server.attempts;
    if (!sent) throw new Error('nothing was sent');
    server.other(sent.id, [...sent.edits]);
    expect(session.store.getState()).toMatchObject({ sync: 'kept', waiting: 0 });
    expect(nameOf(session.site, 'hull')).toBe('A');
  });
});

describe('what somebody else does', () => {
  it('shows here, below what was made here since', async () => {
    server.away = true;
    session.commit([rename('hull', 'Mine')], 'Rename');
    server.other('theirs', [rename('hull', 'Theirs'), rename('lamp', 'Lantern')]);
    expect(nameOf(session.site, 'hull')).toBe('Mine');
    expect(nameOf(session.site, 'lamp')).toBe('Lantern');
  });
  it('is not taken back by an undo', async () => {
    session.commit([rename('hull', 'Mine'), rename('lamp', 'Mine too')], 'Rename');
    await settle();
    server.other('theirs', [rename('hull', 'Theirs')]);
    session.undo();
    expect(nameOf(session.site, 'hull')).toBe('Theirs');
    expect(nameOf(session.site, 'lamp')).toBe('Lamp');
    expect(server.notices.at(-1)).toContain('1 part stayed');
  });
});

describe('closing the browser', () => {
  it('forgets nothing that was not sent, and sends it once when the site is opened again', async () => {
    const stores = new TabStores();
    const first = await SiteSession.open('tolvane', () => {}, { pending: stores.pending });
    server.away = true;
    first.commit([rename('hull', 'A')], 'Rename');
    first.commit([rename('lamp', 'B')], 'Rename');
    await settle();
    first.close();
    expect(stores.waiting).toHaveLength(2);

    server.away = false;
    const second = await SiteSession.open('tolvane', () => {}, { pending: stores.pending });
    expect(nameOf(second.site, 'hull')).toBe('A');
    await settle();
    expect(second.store.getState()).toMatchObject({ sync: 'kept', waiting: 0 });
    expect(server.accepted.map(({ edits }) => edits[0])).toEqual([rename('hull', 'A'), rename('lamp', 'B')]);
    expect(stores.waiting).toEqual([]);
    second.close();
  });
  it('does no harm where the server had it already and only its answer was lost', async () => {
    const sent = { id: 'sent-before', base: 1, edits: [rename('hull', 'A')] };
    server.other(sent.id, sent.edits, { quiet: true });
    const again = await SiteSession.open('tolvane', () => {}, {
      pending: { load: async () => [sent], save: async () => {}, close: () => {} },
    });
    await settle();
    expect(again.store.getState()).toMatchObject({ sync: 'kept', waiting: 0, seq: 2 });
    expect(server.accepted).toHaveLength(0);
    again.close();
  });
});

describe('undo and redo', () => {
  it('go back and forth through all that was made here', () => {
    for (const name of ['A', 'B', 'C']) session.commit([rename('hull', name)], `Rename to ${name}`);
    expect(session.store.getState().undoLabel).toBe('Rename to C');
    for (const name of ['B', 'A', 'Hull']) {
      session.undo();
      expect(nameOf(session.site, 'hull')).toBe(name);
    }
    for (const name of ['A', 'B', 'C']) {
      session.redo();
      expect(nameOf(session.site, 'hull')).toBe(name);
    }
    expect(session.store.getState().redoLabel).toBeNull();
  });
});

describe('a reload', () => {
  const opened = (stores: TabStores, tab = 'tab') =>
    SiteSession.open('tolvane', message => server.notices.push(message), { tab, ...stores });

  it('leaves what was made here to be taken back and done again', async () => {
    const stores = new TabStores();
    const first = await opened(stores);
    first.commit([rename('hull', 'A')], 'Rename to A');
    first.commit([rename('hull', 'B')], 'Rename to B');
    first.undo();
    await settle();
    first.close();

    const second = await opened(stores);
    expect(second.store.getState()).toMatchObject({ undoLabel: 'Rename to A', redoLabel: 'Rename to B' });
    second.redo();
    expect(nameOf(second.site, 'hull')).toBe('B');
    second.undo();
    second.undo();
    expect(nameOf(second.site, 'hull')).toBe('Hull');
    second.close();
  });
  it('takes back nothing that others wrote while the tab was closed', async () => {
    const stores = new TabStores();
    const first = await opened(stores);
    first.commit([rename('hull', 'Mine'), rename('lamp', 'Mine too')], 'Rename');
    await settle();
    first.close();
    server.other('theirs', [rename('hull', 'Theirs')], { quiet: true });

    const second = await opened(stores);
    second.undo();
    expect(nameOf(second.site, 'hull')).toBe('Theirs');
    expect(nameOf(second.site, 'lamp')).toBe('Lamp');
    second.close();
  });
  it('in another tab undoes nothing of the first', async () => {
    const first = await opened(new TabStores());
    first.commit([rename('hull', 'A')], 'Rename');
    await settle();
    const second = await opened(new TabStores(), 'other-tab');
    expect(second.store.getState().undoLabel).toBeNull();
    first.close();
    second.close();
  });
});

describe('what no longer stands', () => {
  const losses = () => session.store.getState().losses.map(({ how, by, edit }) => ({ how, by, edit }));
  /** A button, and words for it. */
  const written = () => {
    const id = [...session.site.kinds.widget.values()].find(it => it.widget === 'button')?.id ?? '';
    const edit: Edit = { op: 'set', id, path: ['content', 'label'], value: 'Words of mine' };
    return { id, edit };
  };

  it('is told with who wrote over it, where they had not seen it, and can be brought back', async () => {
    const mine = rename('hull', 'Mine');
    session.commit([mine], 'Rename');
    await settle();
    server.other('theirs', [rename('hull', 'Theirs')], { base: 1 });
    expect(losses()).toEqual([{ how: 'overwritten', by: 'Somebody', edit: mine }]);
    const [loss] = session.store.getState().losses;
    if (!loss) throw new Error('nothing was told');
    session.bringBack(loss);
    expect(nameOf(session.site, 'hull')).toBe('Mine');
    expect(losses()).toEqual([]);
    session.undo();
    expect(nameOf(session.site, 'hull')).toBe('Theirs');
  });
  it('is not told where they had seen it and meant to, or wrote the same', async () => {
    session.commit([rename('hull', 'Mine')], 'Rename');
    session.commit([rename('lamp', 'Same')], 'Rename');
    await settle();
    server.other('theirs', [rename('hull', 'Theirs')]);
    server.other('as-well', [rename('lamp', 'Same')], { base: 1 });
    expect(losses()).toEqual([]);
  });
  it('is not told to the one who wrote last', async () => {
    server.away = true;
    session.commit([rename('hull', 'Mine')], 'Rename');
    server.other('theirs', [rename('hull', 'Theirs')]);
    server.away = false;
    await settle();
    expect(nameOf(session.site, 'hull')).toBe('Mine');
    expect(losses()).toEqual([]);
  });
  it('is told where what it was for has been removed, before it was sent or after', async () => {
    const { id, edit } = written();
    session.commit([edit], 'Write');
    await settle();
    server.other('theirs', [{ op: 'remove', id }], { base: 1 });
    expect(losses()).toEqual([{ how: 'removed', by: 'Somebody', edit }]);
  });
  it('is told once, where the server dropped it', async () => {
    const { id, edit } = written();
    server.other('theirs', [{ op: 'remove', id }], { quiet: true });
    session.commit([edit], 'Write');
    await settle();
    expect(losses()).toEqual([{ how: 'removed', by: '', edit }]);
  });
  it('keeps words that were refused', async () => {
    server.refuse = 'It cannot be.';
    const { edit } = written();
    session.commit([edit], 'Write');
    await settle();
    expect(losses()).toEqual([{ how: 'refused', by: '', edit }]);
  });
});

describe('why edits wait', () => {
  it.each([
    ['network', null],
    ['database', { status: 503, body: { code: 'database-away', message: 'The database is away.' } }],
    ['signed-out', { status: 401, body: { code: 'signed-out', message: 'Sign in first.' } }],
    ['not-a-member', { status: 404, body: { code: 'not-found', message: 'There is no such site.' } }],
    ['failing', { status: 503, body: { code: 'too-busy', message: 'Too much to do.' } }],
  ] as const)('is told: %s', async (away, failing) => {
    server.away = failing === null;
    server.failing = failing;
    session.commit([rename('hull', 'A')], 'Rename');
    await settle();
    expect(session.store.getState()).toMatchObject({ sync: 'away', away, waiting: 1 });
    expect(nameOf(session.site, 'hull')).toBe('A');
    server.away = false;
    server.failing = null;
    session.sendNow();
    await settle();
    expect(session.store.getState()).toMatchObject({ sync: 'kept', away: null, waiting: 0 });
  });
  it('that outlive nothing are told to live in this tab alone', async () => {
    server.away = true;
    session.commit([rename('hull', 'A')], 'Rename');
    await settle();
    expect(session.store.getState().keptInBrowser).toBe(false);
  });
});

describe('a keeper', () => {
  const button = () => [...session.site.kinds.widget.values()].find(it => it.widget === 'button')?.id ?? '';
  const style: () => Edit = () => ({
    op: 'set',
    id: button(),
    path: ['styles', 'box/opacity'],
    value: { type: 'number', value: 0.5 },
  });

  it('makes no edit, and sees no preview, of what they may not change', () => {
    session.setRights({ role: 'keeper', keeperMay: 'content' });
    const before = session.site;
    session.show([style()]);
    expect(session.site).toBe(before);
    expect(session.commit([style()], 'Fade').ok).toBe(false);
    expect(session.store.getState().waiting).toBe(0);
    expect(server.notices).toEqual(['Your role on this site cannot set styles of single items.']);
    expect(session.mayMake([style()])).toBe(false);
  });
  it('may change the words, and does not undo what they may no longer do', () => {
    session.commit([style()], 'Fade');
    session.setRights({ role: 'keeper', keeperMay: 'content' });
    session.undo();
    expect(session.site.kinds.widget.get(button())?.styles).toHaveProperty(['box/opacity']);
    expect(
      session.commit([{ op: 'set', id: button(), path: ['content', 'label'], value: 'Words' }], 'Write').ok,
    ).toBe(true);
  });
});

describe('others at the site', () => {
  const there: Presence = { client: 'c2', name: 'Ines', account: 'a2', place: { station: 'guide' } };
  const people = () => session.store.getState().people.map(({ client }) => client);

  it('are there until they leave, or have not been heard of for a minute', async () => {
    server.tell('presence', [there, { ...there, client: 'c3' }, { ...there, client: session.tab }]);
    expect(people()).toEqual(['c2', 'c3']);
    server.tell('presence', [{ ...there, place: null }]);
    expect(people()).toEqual(['c3']);
    await jest.advanceTimersByTimeAsync(59_000);
    expect(people()).toEqual(['c3']);
    await jest.advanceTimersByTimeAsync(2000);
    expect(people()).toEqual([]);
  });
});

describe('dragging', () => {
  it('shows without keeping, and is one step of undo when it ends', async () => {
    const edit = (name: string) => [rename('hull', name)];
    session.show(edit('1'));
    session.show(edit('2'));
    expect(nameOf(session.site, 'hull')).toBe('2');
    expect(session.store.getState().waiting).toBe(0);
    session.commit(edit('3'), 'Drag');
    await settle();
    expect(server.accepted).toHaveLength(1);
    session.undo();
    expect(nameOf(session.site, 'hull')).toBe('Hull');
  });
  it('leaves nothing behind when it is given up', () => {
    session.show([rename('hull', '1')]);
    session.show(null);
    expect(nameOf(session.site, 'hull')).toBe('Hull');
  });
});

describe('what was kept under an earlier schema', () => {
  const made = (edits: readonly unknown[]) =>
    JSON.parse(JSON.stringify([{ id: 'tab-before-1', base: 1, edits }]));
  const open = async (stores: TabStores) => {
    session.close();
    session = await SiteSession.open('tolvane', message => server.notices.push(message), stores);
  };

  it('is shown as it is meant now, and kept and sent as it was made', async () => {
    const edits = [
      rename('hull', 'Keel'),
      { op: 'set', id: 'book', path: ['declarations', 'box/columns'], value: '2' },
    ];
    const stores = new TabStores();
    await stores.pending.save(made(edits));
    server.away = true;
    await open(stores).catch(() => {});
    server.away = false;
    await open(stores);
    expect(nameOf(session.site, 'hull')).toBe('Keel');
    expect(session.site.kinds.widget.get('book')).not.toHaveProperty('declarations');
    expect(stores.waiting).toEqual([{ id: 'tab-before-1', base: 1, schema: 1, edits }]);
    server.failing = { status: 503, body: { code: 'renewed', message: 'Reload.' } };
    await settle();
    expect(session.store.getState()).toMatchObject({ away: 'renewed', waiting: 1 });
    expect(server.notices).toEqual([]);
  });

  it('alters nothing here where nobody can read it, and the server has the word', async () => {
    const stores = new TabStores();
    await stores.pending.save(made([{ op: 'put', record: { id: 'x', kind: 'gone' } }]));
    server.refuse = 'It cannot be read.';
    server.refuseOnce = true;
    await open(stores);
    await settle();
    expect(session.store.getState()).toMatchObject({ waiting: 0, sync: 'kept' });
    expect(server.notices).toEqual(['Taken back: It cannot be read.']);
  });

  it('steps of undo are told that cannot be read', async () => {
    const stores = new TabStores();
    const step = {
      n: 1,
      change: 'c',
      label: 'Delete a sphinx',
      inverse: [{ op: 'put', record: { id: 'x' } }],
    };
    const good = { n: 2, change: 'd', label: 'Rename', inverse: [rename('hull', 'Keel')] };
    stores.keepHistory({ seq: 1, history: { undo: [step, good], redo: [], overtaken: [], count: 2 } });
    await open(stores);
    expect(server.notices).toEqual([expect.stringContaining('“Delete a sphinx” can no longer be undone')]);
    expect(session.store.getState().undoLabel).toBe('Rename');
  });
});

describe('a site that is another since', () => {
  const resets = async (how: 'upgrade' | 'restore') => {
    session.commit([rename('hull', 'Keel')], 'Rename');
    await settle();
    server.reset(how);
    await settle();
    return session.store.getState();
  };
  it('by an upgrade, keeps what can be undone', async () => {
    expect(await resets('upgrade')).toMatchObject({ undoLabel: 'Rename', seq: 3 });
  });
  it('by a backup that was restored, has nothing to undo any more', async () => {
    expect(await resets('restore')).toMatchObject({ undoLabel: null, seq: 3 });
  });
});
