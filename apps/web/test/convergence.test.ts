import {
  addWidget,
  allRecords,
  applyChange,
  type Edit,
  getRecord,
  isNode,
  nudge,
  type Site,
} from '@cove/core';
import { SiteBuilder } from '@cove/core/starters';
import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { howMuch, type Random, seeded, seedsFrom } from '../../../packages/core/test/support/random.ts';
import { SiteSession } from '../src/session/siteSession.ts';
import type { Accepted, MadeChange } from '../src/session/streamMessages.ts';
import { TabStores } from './support/stores.ts';

const SEEDS = seedsFrom(1, howMuch(60, 1000));
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
  send(change: Accepted): void;
}

/** A server that accepts like ours, behind a line that delays, doubles, reorders and cuts. */
class Line {
  site = smallSite();
  seq = 0;
  readonly log: Accepted[] = [];
  readonly streams = new Set<Stream>();
  calm = false;

  constructor(readonly random: Random) {}

  later(act: () => void): void {
    setTimeout(act, this.calm ? 1 : this.random.int(400));
  }

  private accept(change: MadeChange): { status: number; body: unknown } {
    const known = this.log.find(it => it.id === change.id);
    if (known) return { status: 200, body: { seq: known.seq, dropped: [] } };
    const applied = applyChange(this.site, change);
    if (!applied.ok) return { status: 422, body: applied.problem };
    this.site = applied.value.site;
    const accepted = { ...change, seq: ++this.seq };
    this.log.push(accepted);
    for (const stream of this.streams) {
      const times = !this.calm && this.random.int(5) === 0 ? 2 : 1;
      for (let i = 0; i < times; i++) this.later(() => stream.send(accepted));
    }
    const dropped = change.edits.flatMap((edit, i) => (applied.value.dropped.includes(edit) ? [i] : []));
    return { status: 200, body: { seq: accepted.seq, dropped } };
  }

  private read(path: string): unknown {
    const { pathname, searchParams } = new URL(path, 'http://line');
    if (!pathname.endsWith('/changes')) return { seq: this.seq, records: [...allRecords(this.site)] };
    const after = Number(searchParams.get('after'));
    return this.log.slice(after, after + Number(searchParams.get('limit')));
  }

  readonly fetch = async (request: Request): Promise<Response> => {
    const sent = await request.text();
    return new Promise((resolve, reject) => {
      const cut = () => reject(new TypeError('the line is cut'));
      const answer = ({ status, body }: { status: number; body: unknown }) =>
        this.later(() =>
          !this.calm && this.random.int(6) === 0
            ? cut()
            : resolve({
                ok: status < 400,
                status,
                headers: new Headers(),
                text: async () => JSON.stringify(body),
              } as Response),
        );
      this.later(() => {
        if (!this.calm && this.random.int(6) === 0) cut();
        else if (request.method === 'GET') answer({ status: 200, body: this.read(request.url) });
        else answer(this.accept(JSON.parse(sent)));
      });
    });
  };
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

/** One of several people: a tab that can be closed in the midst of things and opened again. */
class Client {
  private readonly stores = new TabStores();
  private session: SiteSession | null = null;

  constructor(private readonly tab: string) {}

  async open(): Promise<void> {
    const { pending, history } = this.stores;
    for (;;) {
      try {
        this.session = await SiteSession.open('small', () => {}, { tab: this.tab, pending, history });
        return;
      } catch {
        // The line was cut while the site was read: the person loads the page again.
      }
    }
  }

  async reload(): Promise<void> {
    if (!this.session) return;
    this.close();
    await this.open();
  }

  close(): void {
    this.session?.close();
    this.session = null;
  }

  /** Does something at random; nothing while the site is still being read. */
  act(random: Random): void {
    if (this.session) act(this.session, random);
  }

  get found() {
    const { session } = this;
    return {
      waiting: session?.store.getState().waiting,
      same: session && bytes(session.site) === bytes(line.site),
    };
  }
}

/** Lets faked time pass until something is done. */
async function passUntil(done: Promise<unknown>): Promise<void> {
  let isDone = false;
  void done.then(() => {
    isDone = true;
  });
  while (!isDone) await jest.advanceTimersByTimeAsync(20);
}

async function live(seed: number): Promise<number> {
  const random = seeded(seed);
  line = new Line(random);
  line.calm = true;
  Object.assign(globalThis, { fetch: line.fetch, EventSource: LineEvents });
  const clients = Array.from({ length: CLIENTS }, (_, i) => new Client(`t${i}`));
  await passUntil(Promise.all(clients.map(client => client.open())));
  line.calm = false;
  const reloads: Promise<void>[] = [];
  for (let i = 0; i < 24; i++) {
    const client = random.pick(clients);
    if (random.int(10) === 0) reloads.push(client.reload());
    else client.act(random);
    await jest.advanceTimersByTimeAsync(random.int(300));
  }
  line.calm = true;
  await passUntil(Promise.all(reloads));
  await jest.advanceTimersByTimeAsync(20_000);
  expect({ seed, found: clients.map(client => client.found) }).toEqual({
    seed,
    found: clients.map(() => ({ waiting: 0, same: true })),
  });
  const ids = line.log.map(change => change.id);
  expect(new Set(ids).size).toBe(ids.length);
  for (const client of clients) client.close();
  return ids.length;
}

describe('several people at one site, over a line that delays, doubles, reorders and cuts, and tabs that are reloaded', () => {
  it(
    `end with the same bytes on every client and the server, ${SEEDS.length} seeds`,
    async () => {
      let accepted = 0;
      for (const seed of SEEDS) accepted += await live(seed);
      expect(accepted).toBeGreaterThan(SEEDS.length * 7);
    },
    60_000 + SEEDS.length * 1000,
  );
});
