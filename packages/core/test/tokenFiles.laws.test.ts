import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { compareIncoming, takeIncoming } from '../src/commands/index.ts';
import { designTokens, resolver } from '../src/exports/designTokens.ts';
import { readTokens } from '../src/incoming/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type Site } from '../src/site/index.ts';
import { howMuch, seedOr } from './support/random.ts';
import { tiny } from './support/tiny.ts';

const share = fc.integer({ min: 0, max: 1000 }).map(n => n / 1000);
const px = fc.integer({ min: -64, max: 512 }).map(value => ({ value, unit: 'px' }));
const rem = fc.integer({ min: 1, max: 640 }).map(n => ({ value: n / 16, unit: 'rem' }));
const color = fc.record({
  colorSpace: fc.constantFrom('srgb', 'display-p3', 'oklab', 'srgb-linear'),
  components: fc.tuple(share, share, share),
  alpha: fc.constantFrom(1, 0.5, 0.04),
});
const family = fc.constantFrom('Literata', "Skipper's Hand", 'Fira Code', 'Überschrift 2');

/** Values of each type, as Format Module 2025.10 has them (sections 8 and 9). */
const VALUES = {
  color,
  dimension: fc.oneof(px, rem),
  number: fc.integer({ min: -400, max: 400 }).map(n => n / 8),
  fontWeight: fc.oneof(fc.integer({ min: 1, max: 1000 }), fc.constantFrom('thin', 'bold', 'extra-black')),
  duration: fc.record({ value: fc.integer({ min: 0, max: 4000 }), unit: fc.constantFrom('ms', 's') }),
  cubicBezier: fc.tuple(share, share, share, share),
  fontFamily: fc.oneof(family, fc.uniqueArray(family, { minLength: 1, maxLength: 3 })),
  shadow: fc.array(
    fc.record({
      color,
      offsetX: px,
      offsetY: px,
      blur: px.map(it => ({ ...it, value: Math.abs(it.value) })),
      spread: px,
    }),
    {
      minLength: 1,
      maxLength: 3,
    },
  ),
  gradient: fc.array(fc.record({ color, position: share }), { minLength: 2, maxLength: 5 }),
} as const;
type Type = keyof typeof VALUES;
const TYPES = Object.keys(VALUES) as Type[];

/** A file of groups by type, of which every third token refers to one before it. */
const file = fc
  .array(
    fc.constantFrom(...TYPES).chain(type =>
      fc.record({
        type: fc.constant(type),
        value: VALUES[type] as fc.Arbitrary<unknown>,
        alias: fc.nat(8),
        note: fc.constantFrom('', 'Seen from the quay'),
      }),
    ),
    { minLength: 1, maxLength: 24 },
  )
  .map(tokens => {
    const root: Record<string, Record<string, unknown>> = {};
    for (const [i, { type, value, alias, note }] of tokens.entries()) {
      const earlier = tokens.slice(0, i).flatMap((it, k) => (it.type === type ? [k] : []));
      const to = i % 3 === 0 ? earlier[alias % Math.max(1, earlier.length)] : undefined;
      const group = root[`${type}s`] ?? { $type: type };
      group[`t-${i}`] = {
        $value: to === undefined ? value : `{${type}s.t-${to}}`,
        ...(note !== '' && { $description: note }),
      };
      root[`${type}s`] = group;
    }
    return root;
  });

const taken = (site: Site, text: string): Site => {
  const compared = compareIncoming(site, must(readTokens([{ name: 'tokens.json', text }])));
  return must(applyChange(site, { edits: takeIncoming(site, compared).edits })).site;
};
const runs = { numRuns: howMuch(60, 600), seed: seedOr(2025) };

describe('a token file that is right', () => {
  it('is read without a finding, every token of it', () => {
    fc.assert(
      fc.property(file, root => {
        const read = must(readTokens([{ name: 'tokens.json', text: JSON.stringify(root) }]));
        expect(read.findings).toEqual([]);
        const wanted = Object.values(root).reduce((sum, it) => sum + Object.keys(it).length - 1, 0);
        expect(read.items).toHaveLength(wanted);
      }),
      runs,
    );
  });

  it('read, written and read again comes to the same, and taking it twice alters nothing', () => {
    fc.assert(
      fc.property(file, root => {
        const site = taken(tiny(), JSON.stringify(root));
        for (const { print } of [designTokens, resolver]) {
          const text = print(site);
          const again = compareIncoming(site, must(readTokens([{ name: 'tokens.json', text }])));
          expect(again.items.filter(it => it.state !== 'same').map(it => it.name)).toEqual([]);
          expect(again.schemes.filter(it => it.state !== 'same')).toEqual([]);
          expect(print(taken(site, text))).toBe(text);
        }
      }),
      runs,
    );
  });

  it('of which one token is spoiled is read but for that and what refers to it', () => {
    fc.assert(
      fc.property(file, fc.nat(), (root, which) => {
        const names = Object.entries(root).flatMap(([group, its]) =>
          Object.keys(its).flatMap(key => (key.startsWith('$') ? [] : [[group, key] as const])),
        );
        const [group, key] = names[which % names.length] ?? ['', ''];
        const spoiled = { ...root, [group]: { ...root[group], [key]: { $value: { soup: true } } } };
        const read = must(readTokens([{ name: 'tokens.json', text: JSON.stringify(spoiled) }]));
        const unread = new Set(read.findings.flatMap(it => (it.kind === 'unread' ? [it.name] : [])));
        expect(unread.has(`${group}.${key}`)).toBe(true);
        expect(read.items.length + unread.size).toBe(names.length);
      }),
      runs,
    );
  });
});
