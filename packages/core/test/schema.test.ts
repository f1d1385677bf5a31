import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from '@jest/globals';
import {
  allRecords,
  applyChange,
  type Edit,
  getRecord,
  History,
  isRichText,
  must,
  nodesUnder,
  plainOf,
  printContent,
  type RawFieldEdit,
  readClip,
  readEdits,
  readGuideData,
  readRecord,
  readRecords,
  richText,
  SCHEMA,
  type Site,
  type SiteRecord,
  type StoredHistory,
  siteOf,
  stableText,
  UPGRADES,
  upgradeEdits,
  upgradeHistory,
  upgradeRecord,
  upgradeWith,
} from '../src/index.ts';
import { demoSite } from './support/demo.ts';

/** What each store held under a schema, as it was written then. Never altered: every later program has to read it. */
const stored = (schema: number, name: string) =>
  readFileSync(join(import.meta.dirname, `fixtures/schema${schema}/${name}.json`), 'utf8');

const upgraded = (schema = 1) => {
  const { records, unreadable } = readRecords(JSON.parse(stored(schema, 'site')), schema);
  return { records, unreadable, site: siteOf(records) };
};
const find = (id: string) => getRecord(upgraded().site, id);

describe('the number of the schema', () => {
  it('is that of the last upgrade, and none is missing', () => {
    expect(UPGRADES.map(it => it.to)).toEqual(UPGRADES.map((_, i) => i + 2));
    expect(SCHEMA).toBe(UPGRADES.length + 1);
  });

  it.each(UPGRADES.map(it => [it.to, it] as const))('%i says in a sentence what is other', (_, upgrade) => {
    expect(upgrade.about).toMatch(/^[A-Z].+\.$/);
  });
});

describe('a site as schema 1 left it', () => {
  it('is read whole, and holds to every invariant', () => {
    const { records, unreadable } = upgraded();
    expect(unreadable).toEqual([]);
    const before: SiteRecord[] = JSON.parse(stored(1, 'site'));
    expect(new Set(records.map(it => it.id)).size).toBe(records.length);
    expect(before.filter(it => !records.some(({ id }) => id === it.id))).toEqual([]);
    const edits = records.map((record): Edit => ({ op: 'put', record }));
    must(applyChange(siteOf([]), { edits }));
  });

  it('keeps everything but the declarations that are taken no longer', () => {
    const before: SiteRecord[] = JSON.parse(stored(1, 'site'));
    const { site } = upgraded();
    const other = before.filter(it => stableText(getRecord(site, it.id)) !== stableText(it));
    // Since schema 4 the entries of a list and the rows of a table are records of their own.
    expect(other.map(it => it.id).sort()).toEqual(['before', 'book', 'fares-with', 'sailings-table']);
    expect(site.kinds.widget.get('book')?.declarations).toEqual({ 'box/tab-size': '4' });
    expect(site.kinds.section.get('before')).not.toHaveProperty('declarations');
  });

  it('could not be read without the upgrade', () => {
    const { unreadable } = readRecords(JSON.parse(stored(1, 'site')), SCHEMA);
    expect(unreadable.map(it => it.id).sort()).toEqual(['before', 'book', 'fares-with', 'sailings-table']);
    expect(unreadable.every(it => it.why !== '')).toBe(true);
  });

  it('is the very same where nothing is other', () => {
    for (const record of allRecords(demoSite())) {
      const [same, ...made] = upgradeRecord(record, 1);
      expect(same).toBe(record);
      expect(made).toEqual([]);
    }
  });
});

describe('a guide, and a section, as schema 1 left them', () => {
  it('a kept guide is read whole', () => {
    const raw = JSON.parse(stored(1, 'guide'));
    expect(must(readGuideData(raw, 1)).records.length).toBe(raw.records.length);
    expect(readGuideData(raw, SCHEMA).ok).toBe(false);
  });

  it('a kept section, or what is on a clipboard, is read whole', () => {
    const text = stored(1, 'section');
    const clip = readClip(text);
    expect(clip?.things.map(it => it.length)).toEqual(
      JSON.parse(text).things.map((it: readonly unknown[]) => it.length),
    );
    expect(stableText(clip)).not.toContain('box/columns');
  });

  it('what a later program has copied is not taken for anything', () => {
    const later = { ...JSON.parse(stored(1, 'section')), schema: SCHEMA + 1 };
    expect(readClip(JSON.stringify(later))).toBeNull();
  });
});

describe('what waited in a browser under schema 1', () => {
  const pending: { id: string; edits: unknown[] }[] = JSON.parse(stored(1, 'pending'));

  it('is what was meant, as far as there is still such a thing', () => {
    const texts = pending.map(({ edits }) => JSON.stringify(must(readEdits(upgradeEdits(edits, 1, find)))));
    expect(texts[0]).toBe('[]');
    expect(texts[1]).toContain('Lamp light');
    expect(texts[2]).toContain('"box/tab-size":"2"');
    expect(texts.join()).not.toMatch(/columns|border-image|text-indent/);
  });

  it('can be applied to the upgraded site', () => {
    let { site } = upgraded();
    for (const { edits } of pending)
      ({ site } = must(applyChange(site, { edits: must(readEdits(upgradeEdits(edits, 1, find))) })));
    expect(site.kinds.widget.get('book')?.declarations).toEqual({ 'box/tab-size': '8' });
    expect(site.kinds.widget.has('today')).toBe(false);
    expect(site.kinds.widget.get('book2')?.declarations).toEqual({ 'box/tab-size': '2' });
  });

  it('steps of undo are read, and can be taken', () => {
    const kept: StoredHistory = JSON.parse(stored(1, 'history'));
    const { history: now, unreadable } = upgradeHistory(kept, find);
    expect(unreadable).toEqual([]);
    const history = new History(now);
    let { site } = upgraded();
    for (const step of now.undo.toReversed()) {
      const { edits } = history.applicable(step, id => getRecord(site, id));
      ({ site } = must(applyChange(site, { edits })));
    }
    expect(site.kinds.widget.has('book3')).toBe(true);
    expect(site.kinds.token.get('lamp')?.name).toBe('Lamp');
  });

  it('a step that nobody can read any more is told by its name', () => {
    const step = {
      n: 1,
      change: 'c',
      label: 'Old',
      inverse: [{ op: 'put', record: { id: 'x', kind: 'gone' } }],
    };
    const stored: StoredHistory = JSON.parse(
      JSON.stringify({ undo: [step], redo: [], overtaken: [], count: 1 }),
    );
    expect(upgradeHistory(stored, find)).toMatchObject({ history: { undo: [] }, unreadable: ['Old'] });
  });

  it('steps of now are kept as they are', () => {
    const step = { n: 1, change: 'c', label: 'New', inverse: [], schema: SCHEMA };
    const stored = {
      undo: [step],
      redo: [],
      overtaken: [['book name', 1]],
      count: 1,
      schema: SCHEMA,
    } as const;
    const { history } = upgradeHistory(stored, find);
    expect(history.overtaken).toBe(stored.overtaken);
    expect(history.undo).toEqual([{ n: 1, change: 'c', label: 'New', inverse: [] }]);
  });
});

describe('a site as schema 3 left it', () => {
  const { site, records, unreadable } = upgraded(3);
  const there = (id: string) => getRecord(site, id);
  const words = (it: Site, holder: string) =>
    nodesUnder(it, holder).map(id => it.kinds.widget.get(id)?.content);
  const textsOf = (it: Site, holder: string) =>
    words(it, holder).map(content => (isRichText(content?.text) ? plainOf(content.text) : null));

  it('is read whole, and holds to every invariant', () => {
    expect(unreadable).toEqual([]);
    must(applyChange(siteOf([]), { edits: records.map((record): Edit => ({ op: 'put', record })) }));
  });

  it('has an item for each entry of a list, with its emphasis and links, and keeps what is said of their looks', () => {
    const list = site.kinds.widget.get('bring');
    expect(list?.content).toEqual({ order: 'numbered' });
    expect(list?.styles).toHaveProperty('number/color');
    expect(site.kinds.variant.get('ticked')?.styles).toHaveProperty('item/marginBottom');
    expect(site.kinds.variant.get('ticked')?.declarations).toEqual({ 'item/tab-size': '4' });
    expect(words(site, 'bring').map(it => it?.text)).toEqual([
      [
        [
          { text: 'A ' },
          { text: 'ticket', link: { type: 'page', page: 'sailings' } },
          { text: ' and ' },
          { text: 'a coat', strong: true },
        ],
      ],
      [[{ text: 'Something for the ' }, { text: 'dog', marked: true }]],
      [[]],
    ]);
    expect(nodesUnder(site, 'bare')).toEqual([]);
  });

  it('has an item for each row of a table, and its first row for the columns', () => {
    expect(site.kinds.widget.get('times')?.content).toEqual({
      caption: 'Saturdays',
      head: 'row and column',
      columns: {
        columns: [
          { heading: richText('To'), kind: 'words' },
          { heading: richText('Leaves'), kind: 'figures' },
          // One of its cells was left out, so it was never read down as figures.
          { heading: richText('Shells'), kind: 'words' },
        ],
      },
    });
    expect(
      words(site, 'times').map(it => printContent({ type: 'cells', label: '' }, it?.cells ?? null)),
    ).toEqual(['Hesk | 07:10 | 6', 'Carrow | 07:55', 'Sant Bree | 09:20 | 8']);
    expect(words(site, 'words')).toEqual([]);
  });

  it('keeps the words of a table that was wider than one can be, and takes no more room than they do', () => {
    const table = (rows: string) => ({
      id: 'wide',
      kind: 'widget',
      widget: 'table',
      at: { parent: 'old', order: 'V' },
      content: { rows },
      variants: {},
      wears: {},
      styles: {},
    });
    const line = (letter: string) => Array.from({ length: 100 }, (_, i) => `${letter}${i}`).join(' | ');
    const [wide, row] = upgradeRecord(table(`${line('h')}\n${line('c')}`), 3).map(it => must(readRecord(it)));
    expect(JSON.stringify(wide)).toContain('h59 | h60');
    expect(JSON.stringify(row)).toContain('c98 | c99');
    const hostile = upgradeRecord(table(`${'h|'.repeat(5000)}\n${'a\n'.repeat(5000)}`), 3);
    expect(hostile).toHaveLength(5001);
    expect(JSON.stringify(hostile).length).toBeLessThan(2_000_000);
  });

  it('has an item for each choice of a field', () => {
    expect(words(site, 'which')).toEqual([
      { label: 'Morning boat' },
      { label: 'Noon boat' },
      { label: 'Evening boat' },
    ]);
    expect(site.kinds.widget.get('which')?.content).not.toHaveProperty('choices');
  });

  it('a kept section and a kept guide are read with them', () => {
    const clip = readClip(stored(3, 'section'));
    expect(clip?.things[0]?.filter(it => it.kind === 'widget' && it.at.parent === 'bring')).toHaveLength(3);
    const raw = JSON.parse(stored(3, 'guide'));
    expect(must(readGuideData(raw, 3)).records.length).toBe(raw.records.length);
  });

  const pending: { edits: unknown[] }[] = JSON.parse(stored(3, 'pending'));
  const meant = (it: Site, { edits }: { edits: unknown[] }) =>
    must(applyChange(it, { edits: must(readEdits(upgradeEdits(edits, 3, id => getRecord(it, id)))) })).site;

  it('what waited alters, makes and takes away those items', () => {
    const after = pending.reduce(meant, site);
    expect(textsOf(after, 'bring')).toEqual(['A ticket', 'A warm coat', 'Tea', 'A torch']);
    expect(nodesUnder(after, 'bring').slice(0, 3)).toEqual(nodesUnder(site, 'bring'));
    expect(words(after, 'times')).toEqual([{ cells: { cells: [richText('Hesk'), richText('07:15')] } }]);
    expect(after.kinds.widget.get('times')?.content.caption).toBe('Sundays');
    expect(textsOf(after, 'more')).toEqual(['One', 'Two', 'Three']);
    expect(words(after, 'which')).toEqual([{ label: 'Noon boat' }]);
  });

  it('what waited leaves alone what has been made or moved since', () => {
    const own: Edit = {
      op: 'put',
      record: {
        id: 'since',
        kind: 'widget',
        widget: 'listItem',
        at: { parent: 'bring', order: 'zz' },
        content: { text: richText('Made since') },
        variants: {},
        wears: {},
        styles: {},
      },
    };
    const moved: Edit = {
      op: 'set',
      id: nodesUnder(site, 'bring')[1] ?? '',
      path: ['at'],
      value: { parent: 'fares-with', order: 'zz' },
    };
    const since = must(applyChange(site, { edits: [own, moved] })).site;
    const [first] = pending;
    if (!first) throw new Error('nothing waits');
    const after = meant(since, first);
    expect(textsOf(after, 'bring')).toEqual(['A ticket', 'Tea', 'A torch', 'Made since']);
    expect(textsOf(after, 'fares-with')).toContain('A warm coat');
  });

  it('steps of undo can be taken', () => {
    const gone = must(applyChange(site, { edits: [{ op: 'remove', id: 'sailings-table' }] })).site;
    const kept: StoredHistory = JSON.parse(stored(3, 'history'));
    const { history: now, unreadable: lost } = upgradeHistory(kept, id => getRecord(gone, id));
    expect(lost).toEqual([]);
    const history = new History(now);
    let it = gone;
    for (const step of now.undo.toReversed()) {
      const { edits } = history.applicable(step, id => getRecord(it, id));
      it = must(applyChange(it, { edits })).site;
    }
    expect(nodesUnder(it, 'sailings-table')).toHaveLength(3);
    expect(nodesUnder(it, 'bring')).toHaveLength(3);
  });

  it('each step is meant for what those taken before it have left', () => {
    const step = (n: number, ...texts: string[]) => ({
      n,
      change: `c${n}`,
      label: 'Edit list',
      schema: 3,
      inverse: [
        { op: 'set' as const, id: 'bring', path: ['content', 'items'] as const, value: richText(...texts) },
      ],
    });
    const kept = { undo: [step(1, 'A', 'B', 'C'), step(2, 'D')], redo: [], overtaken: [], count: 2 };
    const { history: now } = upgradeHistory(kept, there);
    const history = new History(now);
    let it = site;
    for (const texts of [['D'], ['A', 'B', 'C']]) {
      const last = history.undo.pop();
      if (!last) throw new Error('no step');
      it = must(applyChange(it, { edits: last.inverse })).site;
      expect(textsOf(it, 'bring')).toEqual(texts);
    }
  });

  it('ids of items are the same for whoever upgrades, and can be read however long that of their holder is', () => {
    const list = (id: string) => ({
      id,
      kind: 'widget',
      widget: 'list',
      at: { parent: 'old', order: 'V' },
      content: { items: richText('One') },
      variants: {},
      wears: {},
      styles: {},
    });
    const longest = 'x'.repeat(64);
    const made = (id: string) => upgradeRecord(list(id), 3)[1];
    expect(made(longest)).toEqual(made(longest));
    expect(readRecord(made(longest)).ok).toBe(true);
    expect(made(longest)).not.toEqual(made(`${'x'.repeat(63)}y`));
  });

  it('is upgraded in time however much an edit names', () => {
    const edits = Array.from({ length: 20_000 }, () => ({
      op: 'set',
      id: 'bring',
      path: ['content', 'items'],
      value: Array.from({ length: 500 }, () => []),
    }));
    expect(readEdits(upgradeEdits(edits, 3, there)).ok).toBe(false);
  });
});

describe('upgrades to come', () => {
  /** What the next ones are likely to do: a part gets another name, a property goes, a field moves into a map. */
  const next = upgradeWith([
    {
      to: 2,
      about: 'The label of a button is called text; no filters.',
      slot: (slot, record) =>
        record.widget === 'button' && slot.startsWith('label')
          ? slot.replace(/^label/, 'text')
          : slot.endsWith('/filter')
            ? null
            : slot,
    },
    {
      to: 3,
      about: 'The name of a page is called title.',
      record: record => {
        if (record.kind !== 'page' || !('name' in record)) return [record];
        const { name, ...rest } = record;
        return [{ ...rest, title: name }];
      },
      edit: (edit, record): readonly RawFieldEdit[] =>
        record?.kind === 'page' && edit.path[0] === 'name' ? [{ ...edit, path: ['title'] }] : [edit],
    },
  ]);
  const button = { id: 'b', kind: 'widget', widget: 'button', styles: { 'label/color': 1, 'box/filter': 2 } };
  const page = { id: 'p', kind: 'page', title: 'Home' };
  const there = (id: string) => (id === 'b' ? button : id === 'p' ? page : undefined);

  it('take a record through all that came since', () => {
    expect(next.upgradeRecord(button, 1)).toEqual([{ ...button, styles: { 'text/color': 1 } }]);
    expect(next.upgradeRecord({ id: 'p', kind: 'page', name: 'Home' }, 1)).toEqual([page]);
    expect(next.upgradeRecord({ id: 'p', kind: 'page', name: 'Home' }, 3)[0]).toHaveProperty('name');
    expect(next.schema).toBe(3);
  });

  it('take a slot through them', () => {
    expect(next.upgradeSlot('label:hover/color', 1, button)).toBe('text:hover/color');
    expect(next.upgradeSlot('label/color', 2, button)).toBe('label/color');
    expect(next.upgradeSlot('box/filter', 1, button)).toBeNull();
  });

  it('take edits through them, by what they are about', () => {
    const edits = [
      { op: 'set', id: 'b', path: ['styles', 'label/color'], value: 1 },
      { op: 'unset', id: 'b', path: ['styles', 'box/filter'] },
      { op: 'set', id: 'b', path: ['styles'], value: { 'label/color': 1, 'box/filter': 1 } },
      { op: 'set', id: 'p', path: ['name'], value: 'Start' },
      { op: 'set', id: 'b', path: ['name'], value: 'Start' },
      { op: 'remove', id: 'p' },
    ];
    expect(next.upgradeEdits(edits, 1, there)).toEqual([
      { op: 'set', id: 'b', path: ['styles', 'text/color'], value: 1 },
      { op: 'set', id: 'b', path: ['styles'], value: { 'text/color': 1 } },
      { op: 'set', id: 'p', path: ['title'], value: 'Start' },
      { op: 'set', id: 'b', path: ['name'], value: 'Start' },
      { op: 'remove', id: 'p' },
    ]);
  });

  it('know what the same edits put before', () => {
    const edits = [
      { op: 'put', record: { ...button, id: 'new' } },
      { op: 'set', id: 'new', path: ['styles', 'label/color'], value: 3 },
    ];
    expect(next.upgradeEdits(edits, 1, there)).toEqual([
      { op: 'put', record: { ...button, id: 'new', styles: { 'text/color': 1 } } },
      { op: 'set', id: 'new', path: ['styles', 'text/color'], value: 3 },
    ]);
  });

  it.each<[string, unknown]>([
    ['no object', 'x'],
    ['an edit without a path', { op: 'set', id: 'b' }],
    ['a path of something else', { op: 'set', id: 'b', path: [1] }],
    ['a record that is none', { op: 'put', record: null }],
    ['a prototype', { op: 'set', id: 'b', path: ['styles', '__proto__'], value: {} }],
  ])('leave %s to the reader', (_, edit) => {
    expect(next.upgradeEdits([edit], 1, there)).toEqual([edit]);
  });
});

describe('a record that cannot be read', () => {
  it('is told with its reason', () => {
    const { records, unreadable } = readRecords(
      [{ id: 'x', kind: 'gone' }, 'text', ...allRecords(demoSite())],
      SCHEMA,
    );
    expect(unreadable.map(it => [it.id, it.kind])).toEqual([
      ['x', 'gone'],
      ['', ''],
    ]);
    expect(records.every(it => readRecord(it).ok)).toBe(true);
  });
});
