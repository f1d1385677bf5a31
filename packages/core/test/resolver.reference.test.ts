import { describe, expect, it } from '@jest/globals';
import { compareIncoming, takeIncoming } from '../src/commands/index.ts';
import { resolver } from '../src/exports/designTokens.ts';
import { type Incoming, readTokens, type SourceFile } from '../src/incoming/index.ts';
import { schemeContrasts } from '../src/measure/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type Edit, type Site } from '../src/site/index.ts';
import { tokenPath } from '../src/tokens/index.ts';
import { demoSite } from './support/demo.ts';
import { noticedIn, tokensIn } from './support/incoming.ts';
import { tiny } from './support/tiny.ts';

const json = (name: string, it: unknown): SourceFile => ({ name, text: JSON.stringify(it, null, 2) });
const read = (...files: SourceFile[]): Incoming => must(readTokens(files));
const after = (site: Site, edits: Edit[]): Site => must(applyChange(site, { edits })).site;
const rgb = (...components: number[]) => ({ $type: 'color', $value: { colorSpace: 'srgb', components } });

/** Written from the Resolver Module 2025.10, sections 4 and 5: sets of files, modifiers with contexts, an order. */
const DOCUMENT = json('brand/quay.resolver.json', {
  version: '2025.10',
  sets: {
    base: { sources: [{ $ref: 'base.json' }, { $ref: './shapes/corners.json' }] },
    aliases: { sources: [{ surface: { $value: '{sea.pale}' }, ink: { $value: '{sea.deep}' } }] },
  },
  modifiers: {
    theme: {
      contexts: { day: [], dusk: [{ $ref: 'dusk.json' }], night: [{ $ref: 'night.json' }] },
      default: 'day',
    },
  },
  resolutionOrder: [{ $ref: '#/sets/base' }, { $ref: '#/sets/aliases' }, { $ref: '#/modifiers/theme' }],
});
const FILES = [
  json('brand/base.json', { sea: { deep: rgb(0.05, 0.1, 0.2), pale: rgb(0.95, 0.98, 1) } }),
  json('brand/shapes/corners.json', { corner: { $type: 'dimension', $value: { value: 6, unit: 'px' } } }),
  json('brand/dusk.json', {
    sea: { pale: rgb(0.1, 0.12, 0.2), deep: rgb(0.9, 0.93, 1) },
    corner: { $type: 'dimension', $value: { value: 2, unit: 'px' } },
  }),
];

describe('a resolver document, against the Resolver Module 2025.10', () => {
  it('has its sets in order, aliases across files, and contexts as schemes beside what usually holds', () => {
    const incoming = read(DOCUMENT, ...FILES);
    expect(incoming.sources).toEqual([
      { file: 'brand/quay.resolver.json', dialect: 'Resolver document (2025.10)' },
    ]);
    expect(incoming.items.map(it => [it.name, it.place?.file])).toEqual([
      ['sea.deep', 'brand/base.json'],
      ['sea.pale', 'brand/base.json'],
      ['corner', 'brand/shapes/corners.json'],
      ['surface', 'brand/quay.resolver.json'],
      ['ink', 'brand/quay.resolver.json'],
      ['sea.pale (Dusk)', 'brand/dusk.json'],
      ['sea.deep (Dusk)', 'brand/dusk.json'],
      ['corner (Dusk)', 'brand/dusk.json'],
    ]);
    expect(noticedIn(incoming, 'unread')).toEqual([
      expect.stringMatching(
        /There is no file night\.json among those opened\..*brand\/quay\.resolver\.json, line/,
      ),
    ]);
    // What follows a colour follows the other one there: the surface is an alias, and said nowhere to be another.
    expect(incoming.schemes.map(it => [it.name, it.colors.length])).toEqual([['Dusk', 4]]);
  });

  it('makes a scheme whose surface and text are those of the context, and can be read (WCAG 2.2, 1.4.3)', () => {
    const demo = demoSite();
    const taken = takeIncoming(demo, compareIncoming(demo, read(DOCUMENT, ...FILES)));
    const site = after(demo, taken.edits);
    const dusk = [...site.kinds.scheme.values()].find(it => it.name === 'Dusk');
    const named = (role: string) => {
      const bound = dusk?.roles[role];
      return bound?.type === 'token' ? tokenPath(site.kinds.token, bound.token) : null;
    };
    expect([dusk?.face, named('surface'), named('text')]).toEqual([
      'dark',
      'color.sea.pale-dusk',
      'color.sea.deep-dusk',
    ]);
    const ratios = schemeContrasts(site, dusk?.id ?? '').filter(
      it => it.role === 'text' && it.on === 'surface',
    );
    expect(ratios.map(it => it.ratio >= 4.5)).toEqual([true]);
    expect(compareIncoming(site, read(DOCUMENT, ...FILES)).schemes.map(it => it.state)).toEqual(['same']);
  });

  it('that we wrote comes back as it left: nothing in the guide is another', () => {
    const demo = demoSite();
    const compared = compareIncoming(
      demo,
      read({ name: 'tokens.resolver.json', text: resolver.print(demo) }),
    );
    expect(compared.schemes.map(it => it.state)).toEqual(Array(compared.schemes.length).fill('same'));
    expect(compared.schemes).toHaveLength(demo.kinds.scheme.size);
    expect(compared.items.filter(it => it.state !== 'same').map(it => [it.name, it.state])).toEqual([]);
  });

  it('that we wrote, taken into another guide, brings every scheme with its roles', () => {
    const demo = demoSite();
    const incoming = read({ name: 'tokens.resolver.json', text: resolver.print(demo) });
    const site = after(tiny(), takeIncoming(tiny(), compareIncoming(tiny(), incoming)).edits);
    for (const { name, roles, face } of demo.kinds.scheme.values()) {
      const twin = [...site.kinds.scheme.values()].find(it => it.name.toLowerCase() === name.toLowerCase());
      expect([name, twin?.face]).toEqual([name, face]);
      for (const [role, bound] of Object.entries(roles)) {
        const its = twin?.roles[role];
        if (bound.type === 'token' && its?.type === 'token')
          expect(tokenPath(site.kinds.token, its.token)).toBe(tokenPath(demo.kinds.token, bound.token));
      }
    }
  });

  it('whose sets refer to one another in a circle, or to nothing, is told', () => {
    const circle = read(
      json('a.json', {
        version: '2025.10',
        sets: { a: { sources: [{ $ref: '#/sets/nowhere' }] } },
        resolutionOrder: [{ $ref: '#/sets/a' }, { $ref: '#/modifiers/none' }],
      }),
    );
    expect(noticedIn(circle, 'unread').join()).toMatch(
      /nothing at #\/sets\/nowhere.*nothing at #\/modifiers\/none/,
    );
    const round = readTokens([
      json('a.json', {
        version: '2025.10',
        sets: { a: { sources: [{ $ref: '#/sets/b' }] }, b: { sources: [{ $ref: '#/sets/a' }] } },
        resolutionOrder: [{ $ref: '#/sets/a' }],
      }),
    ]);
    expect(!round.ok && round.problem.message).toMatch(/in a circle/);
  });
});

describe('files that are faces of one another', () => {
  it('become one guide and a scheme, without a document that says so', () => {
    const incoming = read(
      json('dark.json', { bg: rgb(0.1, 0.1, 0.1), fg: rgb(1, 1, 1), link: { $value: '{fg}' } }),
      json('light.json', { bg: rgb(1, 1, 1), fg: rgb(0.1, 0.1, 0.1), link: { $value: '{fg}' } }),
    );
    expect(incoming.schemes.map(it => [it.name, it.colors.length])).toEqual([['Dark', 3]]);
    const tokens = tokensIn(incoming);
    const link = tokens.find(it => it.name === 'Link dark');
    const fg = tokens.find(it => it.name === 'Fg dark');
    expect(link?.value).toEqual({ type: 'token', token: fg?.id });
  });
});
