import { describe, expect, it } from '@jest/globals';
import { must } from '../src/result/index.ts';
import { SCHEMA } from '../src/schema/index.ts';
import { tolvaneLarge } from '../src/starters/index.ts';
import { printWholeSite, readWholeSite } from '../src/wholeSite/index.ts';
import { demoSite } from './support/demo.ts';

const demo = demoSite();
const text = printWholeSite(demo);
const problemOf = (it: string) => {
  const read = readWholeSite(it);
  return read.ok ? null : read.problem;
};

describe('a whole site as JSON', () => {
  it('read and written again is the same text, whatever the order in which its records stand', () => {
    expect(printWholeSite(must(readWholeSite(text)).site)).toBe(text);
    const parsed = JSON.parse(text);
    const shuffled = JSON.stringify({ ...parsed, records: parsed.records.toReversed() });
    expect(printWholeSite(must(readWholeSite(shuffled)).site)).toBe(text);
  });
  it('of a hundred pages as well', () => {
    const large = printWholeSite(tolvaneLarge(() => 'abcdef0123456789.webp'));
    expect(printWholeSite(must(readWholeSite(large)).site)).toBe(large);
  });
  it('names every picture and font that it has', () => {
    const { files } = must(readWholeSite(text));
    const named = [
      ...[...demo.kinds.asset.values()].map(it => `assets/${it.file}`),
      ...[...demo.kinds.font.values()].map(it => `fonts/${it.file}`),
    ];
    expect(files).toEqual([...new Set(named)].sort());
  });

  it.each<
    [string, (it: { format: string; schema: number; records: Record<string, unknown>[] }) => unknown, RegExp]
  >([
    ['of another program', it => ({ ...it, format: 'x' }), /not a site of this program/],
    ['of a newer version', it => ({ ...it, schema: SCHEMA + 1 }), /newer version/],
    ['of no version', it => ({ ...it, schema: 'x' }), /which version/],
    ['without records', it => ({ ...it, records: 1 }), /no records/],
    [
      'without settings',
      it => ({ ...it, records: it.records.filter(one => one.kind !== 'settings') }),
      /no settings/,
    ],
    [
      'with a record of no kind',
      it => ({ ...it, records: [...it.records, { id: 'x', kind: 'constructor' }] }),
      /constructor x cannot be read/,
    ],
    [
      'with a record that says nothing of itself',
      it => ({ ...it, records: [...it.records.slice(0, 2), {}] }),
      /^Record 3 of the file cannot be read: A record needs an id/,
    ],
    [
      'with an id that stands twice',
      it => ({ ...it, records: [...it.records, it.records[0]] }),
      /stands twice/,
    ],
    [
      'with a field of the wrong type',
      it => ({ ...it, records: it.records.map(one => (one.id === 'hull' ? { ...one, name: 3 } : one)) }),
      /token hull cannot be read.*name/,
    ],
    [
      'with a field that nobody asked for',
      it => ({ ...it, records: it.records.map(one => (one.id === 'hull' ? { ...one, onload: 'x' } : one)) }),
      /token hull cannot be read.*onload/,
    ],
    [
      'with text that cannot be stored',
      it => ({
        ...it,
        records: it.records.map(one => (one.id === 'hull' ? { ...one, name: 'a\u0000b' } : one)),
      }),
      /cannot be stored/,
    ],
  ])('%s is refused whole, and says what is wrong', (_, spoil, message) => {
    expect(problemOf(JSON.stringify(spoil(JSON.parse(text))))?.message).toMatch(message);
  });
  it('that is no JSON is told with its line', () => {
    expect(problemOf(text.replace('"records"', 'records'))?.message).toMatch(/line 4/);
  });
});
