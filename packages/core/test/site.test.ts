import { describe, expect, it } from '@jest/globals';
import {
  addSection,
  addWidget,
  duplicateNode,
  makePreset,
  moveNode,
  nudge,
  placeWear,
  removePreset,
  switchPreset,
  wearPreset,
} from '../src/commands/index.ts';
import {
  allRecords,
  applyChange,
  childrenOf,
  type Edit,
  getRecord,
  isNode,
  isOrderKey,
  keyBetween,
  keysBetween,
  readRecord,
  referencesOf,
  type Site,
} from '../src/site/index.ts';
import { demoSite } from './support/demo.ts';
import { type Random, seeded } from './support/random.ts';

const snapshot = (site: Site) =>
  JSON.stringify(
    [...allRecords(site)].map(record => JSON.stringify(record, Object.keys(record).sort())).sort(),
  );
const deep = (site: Site) =>
  JSON.stringify(
    [...allRecords(site)].sort((a, b) => (a.id < b.id ? -1 : 1)),
    (_, it) =>
      it && typeof it === 'object' && !Array.isArray(it)
        ? Object.fromEntries(Object.entries(it).sort(([a], [b]) => (a < b ? -1 : 1)))
        : it,
  );

function must<T>(result: { ok: true; value: T } | { ok: false; problem: { message: string } }): T {
  if (!result.ok) throw new Error(result.problem.message);
  return result.value;
}

/** One random act of the kind people do. */
function randomEdits(site: Site, random: Random): Edit[] {
  const widgets = [...site.kinds.widget.keys()];
  const sections = [...site.kinds.section.keys()];
  const nodes = [...widgets, ...sections];
  const some = random.pick(nodes);
  switch (random.int(10)) {
    case 0:
      return addSection(site, random.pick([...site.kinds.page.keys()]), random.int(4)).edits;
    case 1:
      return addWidget(
        site,
        random.pick(sections),
        random.int(3),
        random.pick(['button', 'text', 'group', 'divider']),
      ).edits;
    case 2:
      return [{ op: 'remove', id: some }];
    case 3: {
      const made = duplicateNode(site, some);
      return made.ok ? made.value.edits : [];
    }
    case 4: {
      const moved = nudge(site, some, random.pick(['up', 'down', 'in', 'out']));
      return moved.ok ? moved.value : [];
    }
    case 5: {
      const moved = moveNode(site, some, random.pick(nodes), random.int(3));
      return moved.ok ? moved.value : [];
    }
    case 6: {
      const worn = wearPreset(site, some, random.pick([...site.kinds.preset.keys()]));
      return worn.ok ? worn.value : [];
    }
    case 7: {
      const made = makePreset(site, some, 'Made');
      return made.ok ? made.value.edits : [];
    }
    case 8:
      return [
        {
          op: 'set',
          id: 'hull',
          path: ['value'],
          value: { type: 'color', value: { space: 'oklch', coords: [random.next(), 0.1, 200], alpha: 1 } },
        },
      ];
    default:
      return isNode(getRecord(site, some)) ? [{ op: 'set', id: some, path: ['styles'], value: {} }] : [];
  }
}

describe('a change', () => {
  it('and then its inverse leave the site as it was, byte for byte, through 120 random acts (seed 31)', () => {
    const random = seeded(31);
    let site = demoSite();
    let made = 0;
    for (let i = 0; i < 120; i++) {
      const edits = randomEdits(site, random);
      const applied = applyChange(site, { edits });
      if (!applied.ok) continue;
      made++;
      const back = must(applyChange(applied.value.site, { edits: applied.value.inverse }));
      expect(deep(back.site)).toBe(deep(site));
      expect(back.dropped).toEqual([]);
      ({ site } = applied.value);
      for (const record of allRecords(site)) {
        expect(readRecord(JSON.parse(JSON.stringify(record))).ok).toBe(true);
        for (const { to } of referencesOf(record)) expect(getRecord(site, to)).toBeDefined();
      }
    }
    expect(made).toBeGreaterThan(70);
  });

  it('never alters the site it was given', () => {
    const site = demoSite();
    const before = snapshot(site);
    must(
      applyChange(site, {
        edits: [
          { op: 'remove', id: 'before' },
          { op: 'set', id: 'hull', path: ['name'], value: 'Keel' },
        ],
      }),
    );
    expect(snapshot(site)).toBe(before);
  });

  it('keeps the identity of what it does not touch', () => {
    const site = demoSite();
    const { site: next } = must(
      applyChange(site, { edits: [{ op: 'set', id: 'hull', path: ['name'], value: 'Keel' }] }),
    );
    expect(next.kinds.widget).toBe(site.kinds.widget);
    expect(next.children).toBe(site.children);
    expect(next.kinds.token.get('lamp')).toBe(site.kinds.token.get('lamp'));
  });

  it('takes out a subtree and puts it back in place', () => {
    const site = demoSite();
    const removed = must(applyChange(site, { edits: [{ op: 'remove', id: 'before' }] }));
    expect(getRecord(removed.site, 'feature-dogs')).toBeUndefined();
    const { site: back } = must(applyChange(removed.site, { edits: removed.inverse }));
    expect(back.children.get('home')).toEqual(site.children.get('home'));
  });

  it('may remove what is used together with its last mention', () => {
    const site = demoSite();
    expect(applyChange(site, { edits: [{ op: 'remove', id: 'ticket' }] })).toMatchObject({
      ok: false,
      problem: { code: 'in-use', found: 'ticket' },
    });
    expect(applyChange(site, { edits: removePreset(site, 'ticket') }).ok).toBe(true);
  });

  it.each<[string, Edit[], string]>([
    ['settings removed', [{ op: 'remove', id: 'settings' }], 'needed'],
    ['a kind changed', [{ op: 'set', id: 'hull', path: ['kind'], value: 'scheme' }], 'bad-path'],
    [
      'a variant of another element chosen',
      [{ op: 'set', id: 'book', path: ['variants', 'kind'], value: 'look-h1' }],
      'wrong-variant',
    ],
    [
      'a script for an address',
      [
        {
          op: 'set',
          id: 'book',
          path: ['content', 'link'],
          value: { type: 'url', href: 'javascript:alert(1)' },
        },
      ],
      'bad-field',
    ],
    [
      'a rebinding in a circle',
      [{ op: 'set', id: 'home', path: ['rebind', 'hull'], value: { type: 'token', token: 'hull-deep' } }],
      'circular',
    ],
    [
      'a second default for one element',
      [{ op: 'put', record: { id: 'another', kind: 'default', element: 'button', place: null, styles: {} } }],
      'bad-id',
    ],
    ['a page without an address', [{ op: 'set', id: 'fares', path: ['path'], value: '' }], 'bad-address'],
    [
      'widths the wrong way round',
      [{ op: 'set', id: 'settings', path: ['narrowTo'], value: 3000 }],
      'bad-field',
    ],
    [
      'a slot spelt the long way',
      [
        {
          op: 'set',
          id: 'book',
          path: ['styles', 'box:rest@wide/color'],
          value: { type: 'role', role: 'text' },
        },
      ],
      'bad-field',
    ],
  ])('is refused with %s', (_, edits, code) => {
    expect(applyChange(demoSite(), { edits })).toMatchObject({ ok: false, problem: { code } });
  });
});

describe('order keys', () => {
  it('always lie between their neighbours, are never equal, and stay short (seed 41)', () => {
    const random = seeded(41);
    const keys: string[] = [];
    for (let i = 0; i < 2000; i++) {
      const at = random.int(keys.length + 1);
      keys.splice(at, 0, keyBetween(keys[at - 1] ?? null, keys[at] ?? null));
    }
    expect([...keys].sort()).toEqual(keys);
    expect(new Set(keys).size).toBe(keys.length);
    expect(Math.max(...keys.map(key => key.length))).toBeLessThan(16);
  });
  it('refuse neighbours in the wrong order', () => {
    expect(() => keyBetween('b', 'a')).toThrow();
    expect(keysBetween(null, null, 5)).toHaveLength(5);
    for (const count of [1, 2, 61, 62, 63, 3843, 3844, 5000]) {
      const keys = keysBetween(null, null, count);
      expect(keys).toHaveLength(count);
      expect(keys.every(isOrderKey)).toBe(true);
      expect(keys.every((key, i) => i === 0 || (keys[i - 1] ?? '') < key)).toBe(true);
      // There is room before the first, after the last, and between any two.
      expect(keyBetween(null, keys[0] ?? null) < (keys[0] ?? '')).toBe(true);
      expect(keyBetween(keys.at(-1) ?? null, null) > (keys.at(-1) ?? '')).toBe(true);
    }
  });
});

describe('presets', () => {
  it('are made of what a widget sets, by kind of part, and worn in its place', () => {
    const site = demoSite();
    const { edits, preset } = must(makePreset(site, 'feature-dogs', 'Wet dog'));
    const { site: next } = must(applyChange(site, { edits }));
    expect(next.kinds.widget.get('feature-dogs')?.styles).toEqual({});
    expect(Object.keys(next.kinds.preset.get(preset)?.styles ?? {}).sort()).toEqual([
      'box/backgroundColor',
      'box@narrow/paddingTop',
      'heading:hover/color',
    ]);
    expect(
      Object.values(next.kinds.widget.get('feature-dogs')?.wears ?? {}).map(wear => wear.preset),
    ).toContain(preset);
  });
  it('are not made of nothing', () => {
    expect(makePreset(demoSite(), 'book', 'Empty')).toMatchObject({
      ok: false,
      problem: { code: 'nothing-set' },
    });
  });
  it('can be switched off and moved, and are worn once each', () => {
    let site = demoSite();
    site = must(applyChange(site, { edits: must(wearPreset(site, 'feature-dogs', 'low-tide')) })).site;
    expect(wearPreset(site, 'feature-dogs', 'low-tide')).toMatchObject({
      ok: false,
      problem: { code: 'worn' },
    });
    const order = () =>
      Object.entries(site.kinds.widget.get('feature-dogs')?.wears ?? {}).sort(([, a], [, b]) =>
        a.order < b.order ? -1 : 1,
      );
    expect(order().map(([, wear]) => wear.preset)).toEqual(['ticket', 'low-tide']);
    site = must(applyChange(site, { edits: placeWear(site, 'feature-dogs', order()[1]?.[0] ?? '', 0) })).site;
    expect(order().map(([, wear]) => wear.preset)).toEqual(['low-tide', 'ticket']);
    site = must(applyChange(site, { edits: switchPreset(site, 'feature-dogs', order()[0]?.[0] ?? '') })).site;
    expect(order().map(([, wear]) => wear.on)).toEqual([false, true]);
  });
});

describe('moving by keys', () => {
  it('goes on into the next section from the end of one', () => {
    const site = demoSite();
    const { site: next } = must(applyChange(site, { edits: must(nudge(site, 'before-row', 'down')) }));
    expect(childrenOf(next, 'crossing')[0]).toBe('before-row');
  });
  it('does not go where nothing is', () => {
    expect(nudge(demoSite(), 'welcome', 'up')).toMatchObject({ ok: false, problem: { code: 'nowhere' } });
  });
});
