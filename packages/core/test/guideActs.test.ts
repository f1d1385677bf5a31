import { describe, expect, it } from '@jest/globals';
import {
  addPreset,
  addRamp,
  addRole,
  addTextStyle,
  addToken,
  addVariant,
  beginWithVariant,
  duplicatePreset,
  duplicateScheme,
  duplicateTextStyle,
  duplicateToken,
  duplicateVariant,
  excludePreset,
  generateScheme,
  includePreset,
  letGo,
  makePreset,
  moveScheme,
  moveTextStyle,
  moveToken,
  moveVariant,
  placeWear,
  removePreset,
  removeRole,
  removeScheme,
  removeTextStyle,
  removeToken,
  removeVariant,
  renameGroup,
  resetAllElements,
  resetGuide,
  schemesInOrder,
  setDefaultScheme,
  setEntrance,
  setSlot,
  switchPreset,
  wearPreset,
} from '../src/commands/index.ts';
import { planGuide, takeGuide } from '../src/guide/index.ts';
import { publishSite } from '../src/render/index.ts';
import type { Result } from '../src/result/index.ts';
import { must } from '../src/result/index.ts';
import {
  allRecords,
  applyChange,
  byOrder,
  type Edit,
  type Place,
  type Site,
  stableText,
} from '../src/site/index.ts';
import { READY_GUIDES, READY_LOOKS, readyGuide, takeLook } from '../src/starters/index.ts';
import { demoSite } from './support/demo.ts';
import { howMuch, type Random, seeded, seedsFrom } from './support/random.ts';

type Act = (site: Site, random: Random) => Edit[] | Result<Edit[] | { edits: Edit[] }>;

const ids = (
  site: Site,
  kind: 'token' | 'textStyle' | 'scheme' | 'variant' | 'preset' | 'role' | 'widget' | 'section',
) => [...site.kinds[kind].keys()];
const some = <T>(random: Random, list: readonly T[]): T | undefined =>
  list.length > 0 ? random.pick(list) : undefined;
/** An act on one record of a kind; none where there is none. */
const onOne =
  (kind: Parameters<typeof ids>[1], act: (site: Site, id: string, random: Random) => ReturnType<Act>): Act =>
  (site, random) => {
    const id = some(random, ids(site, kind));
    return id === undefined ? [] : act(site, id, random);
  };

const placesIn = (site: Site): readonly (Place | null)[] => [
  null,
  { type: 'area', area: 'footer' },
  { type: 'longForm' },
  { type: 'branch', page: 'fares' },
  ...ids(site, 'scheme').map(scheme => ({ type: 'scheme', scheme }) as const),
];

/** What a designer does in the guide, each with whatever it meets. */
const ACTS: Readonly<Record<string, Act>> = {
  'add a swatch': (site, random) =>
    addToken(site, {
      type: 'color',
      group: random.pick(['Brand', 'New']),
      name: 'Sand',
      value: { type: 'color', value: { space: 'oklch', coords: [random.next(), 0.1, 70], alpha: 1 } },
    }).edits,
  'add a ramp': onOne('token', (site, id) => addRamp(site, id, 5)),
  'duplicate a token': onOne('token', duplicateToken),
  'move a token': onOne('token', (site, id, random) =>
    moveToken(site, id, random.pick(['Brand', 'Neutral', 'Elsewhere']), random.int(6)),
  ),
  'rename a group': site => renameGroup(site, 'color', 'Neutral', 'Greys'),
  'delete a token, another in its place': onOne('token', (site, id, random) =>
    removeToken(site, id, some(random, ids(site, 'token')) ?? null),
  ),
  'make a scheme': onOne('token', (site, id) => generateScheme(site, 'Made', { surface: id })),
  'duplicate a scheme': onOne('scheme', duplicateScheme),
  'move a scheme': onOne('scheme', (site, id, random) => moveScheme(site, id, random.int(6))),
  'make a scheme the site’s': onOne('scheme', (_, id) => setDefaultScheme(id)),
  'delete a scheme': onOne('scheme', (site, id, random) =>
    removeScheme(site, id, random.pick(schemesInOrder(site)).id),
  ),
  'add a role': (site, random) => addRole(site, 'Ticket edge', 'line', random.pick(['surface', null])).edits,
  'delete a role': onOne('role', removeRole),
  'add a variant': (site, random) => addVariant(site, 'button', random.pick(['kind', 'size']), 'New').edits,
  'duplicate a variant': onOne('variant', duplicateVariant),
  'move a variant': onOne('variant', (site, id, random) => moveVariant(site, id, random.int(5))),
  'begin with a variant': onOne('variant', (site, id, random) =>
    beginWithVariant(site, id, random.int(2) === 0),
  ),
  'delete a variant': onOne('variant', (site, id, random) => {
    const { element = '', axis = '' } = site.kinds.variant.get(id) ?? {};
    const alike = [...site.kinds.variant.values()].filter(
      it => it.id !== id && it.element === element && it.axis === axis,
    );
    return removeVariant(site, id, random.int(2) === 0 ? null : (some(random, alike)?.id ?? null));
  }),
  'take a ready look': (site, random) => takeLook(site, random.pick(READY_LOOKS)).edits,
  'add a text style': site => addTextStyle(site, 'Log').edits,
  'duplicate a text style': onOne('textStyle', duplicateTextStyle),
  'move a text style': onOne('textStyle', (site, id, random) => moveTextStyle(site, id, random.int(20))),
  'delete a text style': onOne('textStyle', (site, id, random) =>
    removeTextStyle(site, id, random.pick([null, ...ids(site, 'textStyle').filter(it => it !== id)])),
  ),
  'set a default': (site, random) => {
    const target = { type: 'default', element: random.pick(['button', 'feature', 'section']) } as const;
    const value = { type: 'number', value: random.int(100) / 100 } as const;
    return setSlot(site, { ...target, place: random.pick(placesIn(site)) }, 'box/opacity', value);
  },
  'reset an element': (site, random) =>
    random.int(9) === 0
      ? resetAllElements(site)
      : resetGuide(site, { type: 'element', element: random.pick(['button', 'feature', 'section']) }),
  'add a preset': site => addPreset(site, 'Tarred').edits,
  'duplicate a preset': onOne('preset', duplicatePreset),
  'put a preset into another': onOne('preset', (site, id, random) =>
    includePreset(site, id, random.pick(ids(site, 'preset'))),
  ),
  'take a preset out of another': onOne('preset', (site, id, random) =>
    excludePreset(site, id, random.pick(ids(site, 'preset'))),
  ),
  'delete a preset': onOne('preset', (site, id, random) =>
    removePreset(
      site,
      id,
      random.pick([
        { type: 'takeOff' },
        { type: 'letGo' },
        {
          type: 'replace',
          by: random.pick(
            ids(site, 'preset')
              .filter(it => it !== id)
              .concat(id),
          ),
        },
      ] as const),
    ),
  ),
  'wear a preset': onOne('widget', (site, id, random) => {
    const preset = some(random, ids(site, 'preset'));
    return preset === undefined ? [] : wearPreset(site, id, preset);
  }),
  'make a preset of a widget': onOne('widget', (site, id) => makePreset(site, id, 'Made')),
  'turn, switch or let go what is worn': (site, random) => {
    const worn = [...site.kinds.widget.values()].flatMap(it =>
      Object.keys(it.wears).map(wear => [it.id, wear] as const),
    );
    const [node, wear] = some(random, worn) ?? ['', ''];
    return random.pick([
      () => placeWear(site, node, wear, random.int(3)),
      () => switchPreset(site, node, wear),
      () => letGo(site, node, wear),
    ])();
  },
  'set how sections come in': (site, random) =>
    setEntrance(site, random.pick(['rise', 'settle', null] as const)),
  'take a ready-made guide': (site, random) =>
    takeGuide(
      site,
      planGuide(site, readyGuide(random.pick(READY_GUIDES)), random.pick(['light', 'dark', null])),
    ),
};

/** Everything in a site, whatever the order in which it came. */
const bytes = (site: Site): string =>
  stableText([...allRecords(site)].sort((a, b) => (a.id < b.id ? -1 : 1)));

describe('random acts in the guide', () => {
  const demo = demoSite();
  const seeds = seedsFrom(1, howMuch(12, 200));

  it.each(seeds)('keep every invariant, can be published, and are undone to the byte, seed %i', seed => {
    const random = seeded(seed);
    let now = demo;
    const made: { name: string; before: string; inverse: readonly Edit[] }[] = [];
    const names = Object.keys(ACTS);
    for (let i = 0; i < 40; i++) {
      // The largest act is tried once in a while only: it sweeps away what the others made.
      const name = random.pick(names);
      if (name === 'take a ready-made guide' && random.int(3) > 0) continue;
      const done = ACTS[name]?.(now, random) ?? [];
      if (!Array.isArray(done) && !done.ok) continue;
      const value = Array.isArray(done) ? done : done.value;
      const edits = Array.isArray(value) ? value : value.edits;
      if (edits.length === 0) continue;
      const applied = applyChange(now, { edits });
      // An act that says it can be done must be: the invariants hold afterwards.
      if (!applied.ok) throw new Error(`${name}: ${applied.problem.message}`);
      made.push({ name, before: bytes(now), inverse: applied.value.inverse });
      now = applied.value.site;
    }
    expect(made.length).toBeGreaterThan(8);
    expect(publishSite(now).files.size).toBeGreaterThan(demo.kinds.page.size);
    for (const { name, before, inverse } of made.reverse()) {
      now = must(applyChange(now, { edits: inverse })).site;
      if (bytes(now) !== before) throw new Error(`${name} is not undone to the byte`);
    }
    expect(bytes(now)).toBe(bytes(demo));
  });

  it('meet every act at least once over all seeds', () => {
    const met = new Set<string>();
    for (const seed of seeds) {
      const random = seeded(seed);
      for (const [name, act] of Object.entries(ACTS))
        for (let tries = 0; tries < 40 && !met.has(name); tries++) {
          const done = act(demo, random);
          const value = Array.isArray(done) ? done : done.ok ? done.value : [];
          if ((Array.isArray(value) ? value : value.edits).length > 0) met.add(name);
        }
    }
    // The demo has no role of its own, and no preset within another.
    expect(Object.keys(ACTS).filter(name => !met.has(name))).toEqual([
      'delete a role',
      'take a preset out of another',
    ]);
  });

  it('leave lists in one order for everybody', () => {
    const random = seeded(99);
    let now = demo;
    for (let i = 0; i < 60; i++) {
      const id = random.pick(ids(now, 'scheme'));
      now = must(applyChange(now, { edits: moveScheme(now, id, random.int(5)) })).site;
      const orders = [...now.kinds.scheme.values()].sort(byOrder).map(it => it.order);
      expect(new Set(orders).size).toBe(orders.length);
    }
  });
});
