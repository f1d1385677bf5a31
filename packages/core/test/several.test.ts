import { describe, expect, it } from '@jest/globals';
import {
  duplicateNodes,
  groupNodes,
  moveNodes,
  outermost,
  removeNodes,
  ungroup,
} from '../src/commands/index.ts';
import { sectionsIn } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import {
  applyChange,
  type Edit,
  type Id,
  nodesIn,
  nodesUnder,
  type Site,
  stableText,
} from '../src/site/index.ts';
import { demoSite } from './support/demo.ts';
import { howMuch, seeded, seedsFrom } from './support/random.ts';

const demo = demoSite();
const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const cards = ['feature-cars', 'feature-dogs', 'feature-bikes'] as const;
const holder = demo.kinds.widget.get('feature-cars')?.at.parent ?? '';

describe('several things', () => {
  it('are taken without those that stand in others, in the order in which they stand', () => {
    expect(outermost(demo, ['feature-bikes', 'welcome-title', holder, 'feature-cars', 'nobody'])).toEqual([
      'welcome-title',
      holder,
    ]);
  });
  it('move together and keep their order', () => {
    const parent = sectionsIn(demo, 'home', 'main')[2]?.id ?? '';
    const moved = after(demo, must(moveNodes(demo, ['feature-bikes', 'feature-cars'], parent, 1)));
    expect(nodesUnder(moved, parent).slice(1, 3)).toEqual(['feature-cars', 'feature-bikes']);
    expect(nodesUnder(moved, holder)).toEqual(['feature-dogs']);
    expect(must(moveNodes(moved, ['feature-cars', 'feature-bikes'], parent, 1))).toEqual([]);
  });
  it('cannot go into one of themselves, or where one of them cannot stand', () => {
    expect(moveNodes(demo, [holder], 'feature-cars', 0)).toMatchObject({
      ok: false,
      problem: { code: 'bad-parent' },
    });
    expect(moveNodes(demo, ['feature-cars'], 'home', 0)).toMatchObject({
      ok: false,
      problem: { code: 'bad-parent' },
    });
  });
  it('are copied each right after itself, and go together', () => {
    const { edits, ids } = must(duplicateNodes(demo, ['feature-dogs', 'feature-cars']));
    expect(nodesUnder(after(demo, edits), holder)).toEqual([
      'feature-cars',
      ids[0],
      'feature-dogs',
      ids[1],
      'feature-bikes',
    ]);
    expect(nodesUnder(after(demo, removeNodes(demo, [...cards])), holder)).toEqual([]);
  });
});

describe('a group', () => {
  it('stands where the first of its widgets stood, and leaves them there when it goes', () => {
    const { id, edits } = must(groupNodes(demo, ['feature-bikes', 'feature-cars']));
    const grouped = after(demo, edits);
    expect(nodesUnder(grouped, holder)).toEqual([id, 'feature-dogs']);
    expect(nodesUnder(grouped, id)).toEqual(['feature-cars', 'feature-bikes']);
    const taken = must(ungroup(grouped, id));
    expect(nodesUnder(after(grouped, taken.edits), holder)).toEqual([
      'feature-cars',
      'feature-bikes',
      'feature-dogs',
    ]);
  });
  it('gathers widgets from several sections, but no sections', () => {
    const { id, edits } = must(groupNodes(demo, ['welcome-title', 'feature-dogs']));
    expect(nodesUnder(after(demo, edits), id)).toEqual(['welcome-title', 'feature-dogs']);
    const [section = ''] = nodesUnder(demo, 'home');
    expect(groupNodes(demo, [section]).ok).toBe(false);
    expect(ungroup(demo, 'welcome-title')).toMatchObject({ ok: false, problem: { code: 'no-group' } });
  });
});

/** Acts on structure at random; those that cannot be done are passed over. */
function randomAct(site: Site, next: ReturnType<typeof seeded>): Edit[] | null {
  const all: Id[] = [...site.kinds.page.keys(), 'settings'].flatMap(page => nodesIn(site, page));
  const some = [next.pick(all), next.pick(all), next.pick(all)];
  const acts = [
    () => moveNodes(site, some, next.pick(all), next.int(4)),
    () => {
      const it = groupNodes(site, some);
      return it.ok ? { ok: true as const, value: it.value.edits } : it;
    },
    () => {
      const it = ungroup(site, some[0] ?? '');
      return it.ok ? { ok: true as const, value: it.value.edits } : it;
    },
    () => {
      const it = duplicateNodes(site, some.slice(0, 2));
      return it.ok ? { ok: true as const, value: it.value.edits } : it;
    },
    () => ({ ok: true as const, value: all.length > 20 ? removeNodes(site, some.slice(0, 1)) : [] }),
  ];
  const result = next.pick(acts)();
  return result.ok && result.value.length > 0 ? result.value : null;
}

describe('any run of moves, groups, copies and removals', () => {
  const seeds = seedsFrom(1, howMuch(12, 200));
  it.each(seeds)('keeps every invariant and undoes to the same bytes, seed %i', seed => {
    const next = seeded(seed);
    let site = demo;
    const undo: (readonly Edit[])[] = [];
    for (let i = 0; i < 30; i++) {
      const edits = randomAct(site, next);
      if (!edits) continue;
      const applied = must(applyChange(site, { edits }));
      undo.unshift(applied.inverse);
      site = applied.site;
    }
    expect(undo.length).toBeGreaterThan(8);
    for (const edits of undo) site = after(site, edits);
    expect(stableText(site)).toBe(stableText(demo));
  });
});
