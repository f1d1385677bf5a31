import { describe, expect, it } from '@jest/globals';
import { must } from '../src/result/index.ts';
import {
  allRecords,
  applyChange,
  differenceTo,
  type Edit,
  fieldEdits,
  getRecord,
  readEdits,
  type Site,
  stableText,
} from '../src/site/index.ts';
import { readValue } from '../src/values/index.ts';
import { demoSite } from './support/demo.ts';
import { seeded } from './support/random.ts';

const demo = demoSite();
const textOf = (site: Site): string =>
  stableText(Object.fromEntries([...allRecords(site)].map(record => [record.id, record])));

describe('edits that come from outside', () => {
  const GOOD: readonly Edit[] = [
    { op: 'set', id: 'hull', path: ['name'], value: 'Keel' },
    { op: 'unset', id: 'book', path: ['styles', 'box/color'] },
    { op: 'remove', id: 'before' },
    { op: 'put', record: demo.kinds.preset.get('ticket') ?? never() },
  ];
  it('are read as they are, and nothing beside them is kept', () => {
    const sent: unknown = JSON.parse(JSON.stringify(GOOD.map(edit => ({ ...edit, more: 1 }))));
    expect(must(readEdits(sent))).toEqual(GOOD);
    expect(must(readEdits([]))).toEqual([]);
  });
  it.each([
    [null, 'edits'],
    ['remove', 'edits'],
    [[null], 'edits.0.'],
    [[{ op: 'move', id: 'hull' }], 'edits.0.op'],
    [[{ op: 'remove' }], 'edits.0.id'],
    [[{ op: 'remove', id: 'a b' }], 'edits.0.id'],
    [[{ op: 'remove', id: '__proto__' }], 'edits.0.id'],
    [[{ op: 'set', id: 'hull', value: 1 }], 'edits.0.path'],
    [[{ op: 'set', id: 'hull', path: [], value: 1 }], 'edits.0.path'],
    [[{ op: 'set', id: 'hull', path: ['a', 'b', 'c'], value: 1 }], 'edits.0.path'],
    [[{ op: 'set', id: 'hull', path: [1], value: 1 }], 'edits.0.path'],
    [[{ op: 'set', id: 'hull', path: ['x'.repeat(201)], value: 1 }], 'edits.0.path'],
    [[{ op: 'set', id: 'hull', path: ['name'] }], 'edits.0.value'],
    [[GOOD[0], { op: 'unset', id: 'hull', path: 'name' }], 'edits.1.path'],
  ])('%j is refused with its place', (sent, path) => {
    const read = readEdits(sent);
    expect(read).toMatchObject({ ok: false, problem: { code: 'bad-edit', path } });
  });
  it('hold whole records to their tables', () => {
    const read = readEdits([{ op: 'put', record: { ...demo.kinds.preset.get('ticket'), name: 7 } }]);
    expect(read).toMatchObject({ ok: false, problem: { path: 'name' } });
  });
});

function never(): never {
  throw new Error('the demo has it');
}

describe('the difference of two sites', () => {
  it('made of the one gives the other, from either side, after random removals and edits (40 seeds)', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const random = seeded(seed);
      let other = demo;
      for (let i = 0; i < 6; i++) {
        const ids = [...other.kinds.widget.keys(), ...other.kinds.preset.keys(), ...other.kinds.token.keys()];
        const id = random.pick(ids);
        const record = getRecord(other, id);
        const edit: Edit =
          random.int(2) === 0
            ? { op: 'remove', id }
            : record && 'name' in record
              ? { op: 'set', id, path: ['name'], value: `Name ${seed} ${i}` }
              : { op: 'set', id, path: ['styles'], value: {} };
        const applied = applyChange(other, { edits: [edit] });
        if (applied.ok) other = applied.value.site;
      }
      for (const [from, to] of [
        [demo, other],
        [other, demo],
      ] as const)
        expect({
          seed,
          text: textOf(must(applyChange(from, { edits: differenceTo(from, to) })).site),
        }).toEqual({
          seed,
          text: textOf(to),
        });
    }
  });
  it('of a site and itself is nothing', () => {
    expect(differenceTo(demo, demoSite())).toEqual([]);
  });
  it('takes away only what stands in nothing else that goes', () => {
    const { site } = must(applyChange(demo, { edits: [{ op: 'remove', id: 'before' }] }));
    expect(differenceTo(demo, site)).toEqual([{ op: 'remove', id: 'before' }]);
  });
  it('of two records is told field by field', () => {
    const ticket = demo.kinds.preset.get('ticket') ?? never();
    expect(fieldEdits(ticket, { ...ticket, note: 'For fares', name: 'Fare' })).toEqual([
      { op: 'set', id: 'ticket', path: ['name'], value: 'Fare' },
      { op: 'set', id: 'ticket', path: ['note'], value: 'For fares' },
    ]);
    expect(fieldEdits({ ...ticket, note: 'For fares' }, ticket)).toEqual([
      { op: 'unset', id: 'ticket', path: ['note'] },
    ]);
  });
  it('asks for content, not for the order in which fields were written', () => {
    expect(stableText({ a: { y: 1, x: [2, 1] }, b: 0 })).toBe(stableText({ b: 0, a: { x: [2, 1], y: 1 } }));
    expect(stableText([1, 2])).not.toBe(stableText([2, 1]));
  });
});

describe('a value out of JSON', () => {
  const red = { type: 'color', value: { space: 'srgb', coords: [1, 0, 0], alpha: 1 } };
  const px = { value: 1, unit: 'px' };
  const layer = { x: px, y: px, blur: px, spread: px, inset: false, color: red };
  const stops = [
    { color: red, at: 0 },
    { color: { type: 'role', role: 'accent' }, at: 1 },
  ];
  it.each([
    red,
    { type: 'dimension', value: { value: 1.5, unit: 'rem' } },
    { type: 'fluid', min: px, max: { value: 2, unit: 'rem' } },
    { type: 'number', value: 400 },
    { type: 'duration', value: 90 },
    { type: 'cubicBezier', value: [0.2, -1, 0.1, 2] },
    { type: 'shadow', value: [layer, { ...layer, inset: true }] },
    { type: 'gradient', shape: 'radial', angle: 0, stops },
    { type: 'keyword', value: 'inline-block' },
    { type: 'token', token: 'hull' },
    { type: 'derived', derivation: { op: 'tint', from: ['hull'], by: [0.2] } },
  ])('is read as it was written: %j', it => {
    expect(readValue({ ...it, more: '<script>' })).toEqual(it);
  });
  it.each([
    null,
    'red',
    [red],
    { type: 'colour', value: red.value },
    { type: 'color', value: { ...red.value, space: 'nowhere' } },
    { type: 'color', value: { ...red.value, coords: [1, 0] } },
    { type: 'color', value: { ...red.value, coords: [1, 0, '0'] } },
    { type: 'color', value: { ...red.value, alpha: 1.01 } },
    { type: 'dimension', value: { value: 1, unit: 'furlong' } },
    { type: 'dimension', value: { value: Number.NaN, unit: 'px' } },
    { type: 'fluid', min: px, max: { value: 2, unit: 'vw' } },
    { type: 'number', value: Number.POSITIVE_INFINITY },
    { type: 'cubicBezier', value: [1.2, 0, 0, 1] },
    { type: 'cubicBezier', value: [0, 0, 1] },
    { type: 'fontFamily', value: ['a;}'] },
    { type: 'fontFamily', value: [1] },
    { type: 'shadow', value: [] },
    { type: 'shadow', value: Array.from({ length: 9 }, () => layer) },
    { type: 'shadow', value: [{ ...layer, blur: 4 }] },
    { type: 'shadow', value: [{ ...layer, color: { type: 'number', value: 1 } }] },
    { type: 'gradient', shape: 'conic', angle: 0, stops },
    { type: 'gradient', shape: 'linear', angle: 0, stops: stops.slice(1) },
    { type: 'gradient', shape: 'linear', angle: 0, stops: [...stops, { color: red, at: 1.1 }] },
    { type: 'keyword', value: 'red;}' },
    { type: 'token', token: '../hull' },
    { type: 'role', role: 3 },
    { type: 'derived', derivation: { op: 'tint', from: ['hull', 1], by: [] } },
    { type: 'derived', derivation: { op: 'tint', from: ['hull'], by: ['1'] } },
  ])('is none: %j', it => {
    expect(readValue(it)).toBeNull();
  });
});
