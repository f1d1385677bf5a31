import {
  addWidget,
  allRecords,
  applyChange,
  type Change,
  type Edit,
  getRecord,
  isNode,
  nudge,
  type Site,
} from '@cove/core';
import { SiteBuilder } from '@cove/core/starters';
import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { type Random, seeded } from '../../../packages/core/test/support/random.ts';
import { SiteSession } from '../src/session/siteSession.ts';

/** More on demand: COVE_SEEDS=1000 ./cove test web */
const SEEDS = Number(process.env.COVE_SEEDS ?? 60);
const CLIENTS = 3;

function smallSite(): Site {
  const b = new SiteBuilder();
  b.token('color', 'sea', 'Brand', 'Sea', '#204060');
  b.token('color', 'foam', 'Brand', 'Foam', '#f0f8ff');
  b.token('dimension', 'base', 'Text', 'Base', '1rem');
  b.token('number', 'ratio', 'Text', 'Ratio', '1.25');
  b.scheme('day', 'Day', 'light', { surface: 'foam', text: 'sea' });
  b.settings({
    name: 'Small',
    language: 'en',
    home: 'home',
    defaultScheme: 'day',
    mediumTo: 900,
    narrowTo: 600,
    fluidFrom: 360,
    fluidTo: 1280,
    textBase: 'base',
    textRatio: 'ratio',
  });
  b.page('home', '', 'Home', '');
  for (const section of ['one', 'two']) {
    b.section(section, 'home', section);
    for (const n of [1, 2, 3]) b.widget(`${section}-${n}`, section, 'button', { label: `${section} ${n}` });
  }
  return b.site();
}

const bytes = (site: Site): string =>
  JSON.stringify(
    [...allRecords(site)].sort((a, b) => (a.id < b.id ? -1 : 1)),
    (_, it) =>
      it && typeof it === 'object' && !Array.isArray(it)
        ? Object.fromEntries(Object.entries(it).sort(([a], [b]) => (a < b ? -1 : 1)))
        : it,
  );

interface Stream {
  send(change: Change & { seq: number }): void;
}

/** A server that accepts like ours, behind a line that delays, doubles, reorders and cuts. */
class Line {
  site = smallSite();
  seq = 0;
  readonly log: (Change & { seq: number })[] = [];
  readonly streams = new Set<Stream>();
  calm = false;

  constructor(readonly random: Random) {}

  later(act: () => void): void {
    setTimeout(act, this.calm ? 1 : this.random.int(400));
  }

  private accept(change: Change): { status: number; body: unknown } {
    const known = this.log.find(it => it.id === change.id);
    if (known) return { status: 200, body: { seq: known.seq } };
    const applied = applyChange(this.site, change);
    if (!applied.ok) return { status: 422, body: applied.problem };
    this.site = applied.value.site;
    const accepted = { ...change, seq: ++this.seq };
    this.log.push(accepted);
    for (const stream of this.streams) {
      const times = !this.calm && this.random.int(5) === 0 ? 2 : 1;
      for (let i = 0; i < times; i++) this.later(() => stream.send(accepted));
    }
    return { status: 200, body: { seq: accepted.seq } };
  }

  readonly fetch = (_: string, init: { method: string; body?: string }): Promise<Response> =>
    new Promise((resolve, reject) => {
      const cut = () => reject(new TypeError('the line is cut'));
      const answer = ({ status, body }: { status: number; body: unknown }) =>
        this.later(() =>
          !this.calm && this.random.int(6) === 0
            ? cut()
            : resolve({ ok: status < 400, status, text: async () => JSON.stringify(body) } as Response),
        );
      this.later(() => {
        if (!this.calm && this.random.int(6) === 0) cut();
        else if (init.method === 'GET')
          answer({ status: 200, body: { seq: this.seq, records: [...allRecords(this.site)] } });
        else answer(this.accept(JSON.parse(init.body ?? '')));
      });
    });
}

let line: Line;
class LineEvents {
  private tell: (event: { data: string }) => void = () => {};
  private readonly stream: Stream = { send: change => this.tell({ data: JSON.stringify(change) }) };
  constructor(address: string) {
    const after = Number(new URL(address, 'http://line').searchParams.get('after'));
    line.streams.add(this.stream);
    for (const change of line.log) if (change.seq > after) line.later(() => this.stream.send(change));
  }
  addEventListener(name: string, listener: (event: { data: string }) => void) {
    if (name === 'change') this.tell = listener;
  }
  close() {
    line.streams.delete(this.stream);
  }
}

function act(session: SiteSession, random: Random): void {
  const { site } = session;
  const nodes = [...site.kinds.widget.keys(), ...site.kinds.section.keys()];
  const some = nodes.length > 0 ? random.pick(nodes) : 'one';
  const commit = (edits: readonly Edit[]) => session.commit(edits, 'Act');
  switch (random.int(8)) {
    case 0:
      session.undo();
      break;
    case 1:
      session.redo();
      break;
    case 2:
      commit([{ op: 'remove', id: some }]);
      break;
    case 3:
      if (site.kinds.section.size > 0)
        commit(addWidget(site, random.pick([...site.kinds.section.keys()]), random.int(3), 'button').edits);
      break;
    case 4: {
      const moved = nudge(site, some, random.pick(['up', 'down']));
      if (moved.ok) commit(moved.value);
      break;
    }
    case 5:
      if (isNode(getRecord(site, some)))
        commit([
          {
            op: 'set',
            id: some,
            path: ['styles', 'box/opacity'],
            value: { type: 'number', value: random.int(100) / 100 },
          },
        ]);
      break;
    default:
      commit([
        { op: 'set', id: random.pick(['sea', 'foam']), path: ['name'], value: `Name ${random.int(1000)}` },
      ]);
  }
}

beforeEach(() => {
  jest.useFakeTimers();
});
afterEach(() => {
  jest.useRealTimers();
});

describe('several people at one site, over a line that delays, doubles, reorders and cuts', () => {
  it(`end with the same bytes on every client and the server, ${SEEDS} seeds`, async () => {
    let accepted = 0;
    for (let seed = 1; seed <= SEEDS; seed++) {
      const random = seeded(seed);
      line = new Line(random);
      line.calm = true;
      Object.assign(globalThis, { fetch: line.fetch, EventSource: LineEvents });
      const opening = Promise.all(Array.from({ length: CLIENTS }, () => SiteSession.open('small', () => {})));
      await jest.advanceTimersByTimeAsync(20);
      const sessions = await opening;
      line.calm = false;
      for (let i = 0; i < 24; i++) {
        act(random.pick(sessions), random);
        await jest.advanceTimersByTimeAsync(random.int(300));
      }
      line.calm = true;
      await jest.advanceTimersByTimeAsync(20_000);
      const found = sessions.map(session => ({
        seed,
        waiting: session.store.getState().waiting,
        same: bytes(session.site) === bytes(line.site),
      }));
      expect(found).toEqual(sessions.map(() => ({ seed, waiting: 0, same: true })));
      const ids = line.log.map(change => change.id);
      expect(new Set(ids).size).toBe(ids.length);
      for (const session of sessions) session.close();
      accepted += ids.length;
    }
    expect(accepted).toBeGreaterThan(SEEDS * 8);
  }, 300_000);
});
