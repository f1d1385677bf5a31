import { allRecords, type Change, type Edit, type Site } from '@cove/core';
import { tolvane } from '@cove/core/starters';
import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { SiteSession } from '../src/session/siteSession.ts';
import type { MadeChange } from '../src/session/streamMessages.ts';

/** A server in a few lines: counts changes, refuses or stays away when told to. */
class FakeServer {
  seq = 1;
  readonly accepted: Change[] = [];
  away = false;
  refuse: string | null = null;
  refuseOnce = false;
  readonly notices: string[] = [];
  /** What was sent and did not arrive. */
  readonly attempts: Change[] = [];
  private events: FakeEvents | null = null;

  readonly fetch = async (path: string, init: { method: string; body?: string }): Promise<Response> => {
    if (this.away && init.body) this.attempts.push(JSON.parse(init.body));
    if (this.away) throw new TypeError('Failed to fetch');
    const answer = (status: number, body: unknown) =>
      ({ ok: status < 400, status, text: async () => JSON.stringify(body) }) as Response;
    if (init.method === 'GET' && path.endsWith('/tolvane'))
      return answer(200, { seq: this.seq, records: [...allRecords(tolvane(() => 'abcdef0123456789.webp'))] });
    const change: Change = JSON.parse(init.body ?? '');
    if (this.refuse) {
      const message = this.refuse;
      if (this.refuseOnce) this.refuse = null;
      return answer(422, { code: 'dangling', message });
    }
    const known = this.accepted.findIndex(it => it.id === change.id);
    if (known < 0) this.accepted.push(change);
    this.seq = known < 0 ? this.seq + 1 : this.seq;
    return answer(200, { seq: known < 0 ? this.seq : known + 2, dropped: [] });
  };

  listen(events: FakeEvents) {
    this.events = events;
  }
  /** Somebody else's change. */
  other(id: string, edits: Edit[]) {
    this.seq++;
    this.events?.tell('change', { id, edits, seq: this.seq, by: 'Somebody' });
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
    let kept: readonly MadeChange[] = [];
    const store = {
      load: async () => kept,
      async save(pending: readonly MadeChange[]) {
        kept = pending;
      },
    };
    const first = await SiteSession.open('tolvane', () => {}, { pending: store });
    server.away = true;
    first.commit([rename('hull', 'A')], 'Rename');
    first.commit([rename('lamp', 'B')], 'Rename');
    await settle();
    first.close();
    expect(kept).toHaveLength(2);

    server.away = false;
    const second = await SiteSession.open('tolvane', () => {}, { pending: store });
    expect(nameOf(second.site, 'hull')).toBe('A');
    await settle();
    expect(second.store.getState()).toMatchObject({ sync: 'kept', waiting: 0 });
    expect(server.accepted.map(({ edits }) => edits[0])).toEqual([rename('hull', 'A'), rename('lamp', 'B')]);
    expect(kept).toEqual([]);
    second.close();
  });
  it('does no harm where the server had it already and only its answer was lost', async () => {
    const sent = { id: 'sent-before', base: 1, edits: [rename('hull', 'A')] };
    server.accepted.push(sent);
    server.seq = 2;
    const again = await SiteSession.open('tolvane', () => {}, {
      pending: { load: async () => [sent], save: async () => {} },
    });
    await settle();
    expect(again.store.getState()).toMatchObject({ sync: 'kept', waiting: 0 });
    expect(server.accepted).toHaveLength(1);
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
