import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from '@jest/globals';
import {
  allRecords,
  applyChange,
  type Edit,
  getRecord,
  History,
  must,
  type RawFieldEdit,
  readClip,
  readEdits,
  readGuideData,
  readRecord,
  readRecords,
  SCHEMA,
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

const upgraded = () => {
  const { records, unreadable } = readRecords(JSON.parse(stored(1, 'site')), 1);
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
    expect(records.length).toBe(JSON.parse(stored(1, 'site')).length);
    const edits = records.map((record): Edit => ({ op: 'put', record }));
    must(applyChange(siteOf([]), { edits }));
  });

  it('keeps everything but the declarations that are taken no longer', () => {
    const before: SiteRecord[] = JSON.parse(stored(1, 'site'));
    const { site } = upgraded();
    const other = before.filter(it => stableText(getRecord(site, it.id)) !== stableText(it));
    expect(other.map(it => it.id).sort()).toEqual(['before', 'book']);
    expect(site.kinds.widget.get('book')?.declarations).toEqual({ 'box/tab-size': '4' });
    expect(site.kinds.section.get('before')).not.toHaveProperty('declarations');
  });

  it('could not be read without the upgrade', () => {
    const { unreadable } = readRecords(JSON.parse(stored(1, 'site')), SCHEMA);
    expect(unreadable.map(it => it.id).sort()).toEqual(['before', 'book']);
    expect(unreadable.every(it => it.why !== '')).toBe(true);
  });

  it('is the very same where nothing is other', () => {
    for (const record of allRecords(demoSite())) expect(upgradeRecord(record, 1)).toBe(record);
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
        if (record.kind !== 'page' || !('name' in record)) return record;
        const { name, ...rest } = record;
        return { ...rest, title: name };
      },
      edit: (edit, record): readonly RawFieldEdit[] =>
        record?.kind === 'page' && edit.path[0] === 'name' ? [{ ...edit, path: ['title'] }] : [edit],
    },
  ]);
  const button = { id: 'b', kind: 'widget', widget: 'button', styles: { 'label/color': 1, 'box/filter': 2 } };
  const page = { id: 'p', kind: 'page', title: 'Home' };
  const there = (id: string) => (id === 'b' ? button : id === 'p' ? page : undefined);

  it('take a record through all that came since', () => {
    expect(next.upgradeRecord(button, 1)).toEqual({ ...button, styles: { 'text/color': 1 } });
    expect(next.upgradeRecord({ id: 'p', kind: 'page', name: 'Home' }, 1)).toEqual(page);
    expect(next.upgradeRecord({ id: 'p', kind: 'page', name: 'Home' }, 3)).toHaveProperty('name');
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
