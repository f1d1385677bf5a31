import {
  addWidget,
  allRecords,
  applyChange,
  type Change,
  type Edit,
  referencesOf,
  SCHEMA,
  type Site,
  type SiteRecord,
  siteOf,
} from '@cove/core';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import pg from 'pg';
import { howMuch, type Random, seeded } from '../packages/core/test/support/random.ts';
import { type Scratch, startScratch } from '../scripts/lib/scratch.mjs';

const ROUNDS = howMuch(8, 40);
const WRITERS = 6;
const SITE = '/api/sites/tolvane';

type Numbered = Change & { seq: number };

let scratch: Scratch;
let cookie = '';
beforeAll(async () => {
  scratch = await startScratch({ durable: true, environment: { COVE_LOG_LEVEL: 'fatal' } });
  const response = await send('POST', '/api/session', {
    email: 'demo@tolvane.example',
    password: 'ferries-at-dawn',
  });
  cookie = response.headers.getSetCookie()[0]?.split(';')[0] ?? '';
}, 60_000);
afterAll(() => scratch.end(), 30_000);

const send = (method: 'GET' | 'POST', path: string, body?: object): Promise<Response> =>
  fetch(scratch.program.address + path, {
    method,
    headers: {
      cookie,
      'cove-schema': String(SCHEMA),
      origin: scratch.program.address,
      ...(body ? { 'content-type': 'application/json' } : {}),
    },
    signal: AbortSignal.timeout(5000),
    ...(body ? { body: JSON.stringify(body) } : {}),
  });
const read = async <T>(path: string): Promise<T> => (await send('GET', path)).json();
const pause = (ms: number) => new Promise(resolve => setTimeout(resolve, ms));

/** One who edits without rest, and like the program tries again with the same change until an answer comes. */
class Writer {
  readonly acknowledged = new Map<string, number>();
  private readonly own: string[] = [];
  private made = 0;
  private stopped = false;

  constructor(
    private readonly name: string,
    private readonly site: Site,
    private readonly random: Random,
  ) {}

  private edits(): Edit[] {
    const { random } = this;
    const [id] = this.own;
    switch (random.int(4)) {
      case 0: {
        const { id: added, edits } = addWidget(this.site, 'before', 0, 'button');
        this.own.push(added);
        return [...edits];
      }
      case 1:
        if (this.own.length > 3 && id) {
          this.own.shift();
          return [{ op: 'remove', id }];
        }
        return [{ op: 'set', id: 'lamp', path: ['name'], value: `${this.name} ${this.made}` }];
      case 2:
        return id
          ? [{ op: 'set', id, path: ['content', 'label'], value: `Board ${this.made}` }]
          : [{ op: 'set', id: 'rope', path: ['name'], value: `${this.name} ${this.made}` }];
      default:
        return [
          { op: 'set', id: 'hull', path: ['name'], value: `${this.name} ${this.made}` },
          { op: 'set', id: 'fog', path: ['name'], value: `${this.name} ${this.made}` },
        ];
    }
  }

  async write(): Promise<void> {
    while (!this.stopped) {
      const change = { id: `storm-${this.name}-${++this.made}`, base: 0, edits: this.edits() };
      this.acknowledged.set(change.id, await this.sendUntilAnswered(change));
    }
  }

  private async sendUntilAnswered(change: Change & { base: number }): Promise<number> {
    for (;;) {
      const response = await send('POST', `${SITE}/changes`, change).catch(() => null);
      if (response?.ok) {
        const { seq }: { seq: number } = await response.json();
        return seq;
      }
      if (response && response.status < 500) throw new Error(`${response.status} ${await response.text()}`);
      await pause(20);
    }
  }

  stop(): void {
    this.stopped = true;
  }
}

async function allChanges(): Promise<Numbered[]> {
  const changes: Numbered[] = [];
  for (;;) {
    const more = await read<Numbered[]>(`${SITE}/changes?after=${changes.at(-1)?.seq ?? 0}&limit=500`);
    if (more.length === 0) return changes;
    changes.push(...more);
  }
}

/** The same text for the same records, whatever their order and the order of their fields. */
const canonical = (records: Iterable<SiteRecord>): string =>
  JSON.stringify(
    [...records].sort((a, b) => (a.id < b.id ? -1 : 1)),
    (_, it) =>
      it && typeof it === 'object' && !Array.isArray(it)
        ? Object.fromEntries(Object.entries(it).sort(([a], [b]) => (a < b ? -1 : 1)))
        : it,
  );

describe('pulling the plug in the midst of a storm of edits', () => {
  it(
    `of the server and of the database in turn, ${ROUNDS} times, loses no acknowledged change and doubles none`,
    async () => {
      const random = seeded(7);
      const { records } = await read<{ records: SiteRecord[] }>(SITE);
      const start = siteOf(records);
      const writers = Array.from({ length: WRITERS }, (_, i) => new Writer(`w${i}`, start, random));
      const storm = Promise.all(writers.map(writer => writer.write()));
      const whileAway: number[] = [];
      for (let round = 0; round < ROUNDS; round++) {
        await pause(150 + random.int(350));
        if (round % 2 === 0) {
          const { child } = scratch.program;
          const ended = new Promise(resolve => child.once('exit', resolve));
          child.kill('SIGKILL');
          await ended;
          await scratch.program.restart();
        } else {
          await scratch.database.kill();
          whileAway.push((await send('GET', SITE)).status);
          await scratch.restartDatabase();
        }
      }
      await pause(500);
      for (const writer of writers) writer.stop();
      await storm;

      // With the database away the server says so, and is there again by itself when the database is.
      expect(new Set(whileAway)).toEqual(new Set([503]));

      const changes = await allChanges();
      expect(changes.map(({ seq }) => seq)).toEqual(changes.map((_, i) => i + 1));
      const found = new Map(
        changes.filter(({ id }) => id.startsWith('storm-')).map(({ id, seq }) => [id, seq]),
      );
      const acknowledged = writers.flatMap(writer => [...writer.acknowledged]);
      expect(acknowledged.length).toBeGreaterThan(ROUNDS);
      expect([...found].sort()).toEqual(acknowledged.sort());

      let replayed = siteOf([]);
      for (const change of changes) {
        const applied = applyChange(replayed, change);
        if (!applied.ok) throw new Error(`${change.seq}: ${applied.problem.message}`);
        replayed = applied.value.site;
      }
      const now = await read<{ seq: number; records: SiteRecord[] }>(SITE);
      expect(now.seq).toBe(changes.length);
      expect(canonical(now.records)).toBe(canonical(allRecords(replayed)));

      const client = new pg.Client({ connectionString: scratch.database.url });
      await client.connect();
      const { rows } = await client.query<{ key: string }>(
        `select concat_ws(' ', from_id, path, to_id) as key from record_references where site_id = 'tolvane'`,
      );
      await client.end();
      const wanted = now.records.flatMap(record =>
        referencesOf(record).map(({ path, to }) => `${record.id} ${path} ${to}`),
      );
      expect(new Set(rows.map(({ key }) => key))).toEqual(new Set(wanted));
    },
    30_000 + ROUNDS * 10_000,
  );
});
