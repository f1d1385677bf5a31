import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { SCHEMA } from '@cove/core';
import { describe, expect, it } from '@jest/globals';
import type { HTTPRequest } from 'puppeteer-core';
import { until, walkDemo } from './support/program.ts';

const demo = walkDemo();
const ACCOUNT = 'demo@tolvane.example';
/** What a store of the browser held under schema 1, frozen beside the core’s tests. */
const schema1 = (name: string): string =>
  readFileSync(join(import.meta.dirname, `../packages/core/test/fixtures/schema1/${name}.json`), 'utf8');

const site = () =>
  demo.walker.page.evaluate(
    async schema => (await fetch(`/api/sites/tolvane?schema=${schema}`)).json(),
    SCHEMA,
  ) as Promise<{ seq: number; records: { id: string; name?: string; declarations?: object }[] }>;
const record = async (id: string) => (await site()).records.find(it => it.id === id);

/** Writes entries into a database of the browser, as an earlier version of the program did. */
const write = (database: string, store: string, entries: [string, unknown][]) =>
  demo.walker.page.evaluate(
    (name, table, all) =>
      new Promise<void>((done, failed) => {
        const opening = indexedDB.open(name);
        opening.onerror = () => failed(opening.error);
        opening.onupgradeneeded = () => opening.result.createObjectStore(table);
        opening.onsuccess = () => {
          const act = opening.result.transaction(table, 'readwrite');
          for (const [key, value] of all) act.objectStore(table).put(value, key);
          act.oncomplete = () => {
            opening.result.close();
            done();
          };
        };
      }),
    database,
    store,
    entries,
  );

describe('what an earlier version of the program has left in the browser', () => {
  it('changes that waited are sent, as far as there still is such a thing', async () => {
    const { walker } = demo;
    const pending: { id: string }[] = JSON.parse(schema1('pending'));
    await walker.page.goto(`${walker.program}/`);
    await write('cove', 'pending', [
      [
        `${ACCOUNT} tolvane an-earlier-tab`,
        { at: 1, pending: pending.map(it => ({ ...it, id: `before-${it.id}` })) },
      ],
    ]);
    await walker.open('pages/home');
    await walker.frame('Page');
    await walker.kept();
    expect(await record('lamp')).toMatchObject({ name: 'Lamp light' });
    expect((await record('book'))?.declarations).toEqual({ 'box/tab-size': '8' });
    expect((await record('book2'))?.declarations).toEqual({ 'box/tab-size': '2' });
    expect(await record('today')).toBeUndefined();
  });

  it('steps can still be undone', async () => {
    const { walker } = demo;
    const { undo, ...history } = JSON.parse(schema1('history'));
    const { seq } = await site();
    await walker.page.goto(`${walker.program}/`);
    const tab = await walker.page.evaluate(() => sessionStorage.getItem('cove-tab'));
    expect(tab).not.toBeNull();
    const own = `${ACCOUNT} tolvane ${tab}`;
    const numbers = undo.map((it: { n: number }) => it.n);
    await write('cove-history', 'steps', [
      [`frame ${own}`, { ...history, at: Date.now() + 60_000, seq, undo: numbers, redo: [] }],
      ...undo.map((it: { n: number }): [string, unknown] => [`step ${own} ${it.n}`, it]),
    ]);
    await walker.open('pages/home');
    await walker.frame('Page');
    await walker.click('Undo');
    await walker.says('Undone: Rename Lamp');
    await until(
      () => record('lamp'),
      it => it?.name === 'Lamp',
      'the name is what it was',
    );
    await walker.click('Undo');
    await until(
      () => record('book3'),
      it => it !== undefined && it.declarations === undefined,
      'the button is back, without what is taken no longer',
    );
  });
});

describe('a page of an earlier version of the program', () => {
  it('is told to reload; what is made meanwhile is kept, and sent then', async () => {
    const { walker } = demo;
    await walker.open('guide?token=rope');
    await walker.frame('Specimen');
    await walker.page.setRequestInterception(true);
    const asAnother = (request: HTTPRequest) =>
      void request.continue(
        request.url().includes('/api/')
          ? { headers: { ...request.headers(), 'cove-schema': String(SCHEMA + 1) } }
          : {},
      );
    walker.page.on('request', asAnother);
    await walker.type('Name', 'Hawser');
    await walker.page.waitForSelector('::-p-aria([name="Reload for the new version"][role="button"])');
    expect(await walker.text()).toContain('1 edit waiting');
    expect(await walker.violations()).toEqual([]);
    walker.page.off('request', asAnother);
    await walker.page.setRequestInterception(false);
    await walker.click('Reload for the new version');
    await walker.frame('Specimen');
    await walker.kept();
    expect(await record('rope')).toMatchObject({ name: 'Hawser' });
  });

  it('throws no error on the way', () => {
    expect(demo.errors).toEqual([]);
  });
});
