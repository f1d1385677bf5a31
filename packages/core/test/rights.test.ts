import { describe, expect, it } from '@jest/globals';
import {
  allRecords,
  applyChange,
  type Edit,
  elementNamed,
  type FieldOf,
  type Id,
  isItem,
  KINDS,
  type Kind,
  lookupOf,
  mayEdit,
  must,
  newId,
  placedId,
  type Right,
  rightsFor,
  type Site,
  type SiteRecord,
} from '../src/index.ts';
import { demoSite } from './support/demo.ts';

/** What each act on each kind of record needs. Without a line for every kind and field this does not compile. */
const EXPECTED: {
  [K in Kind]: { put: Right; remove: Right; fields: Record<FieldOf<K>, Right> };
} = {
  settings: {
    put: 'guide',
    remove: 'guide',
    fields: {
      name: 'guide',
      language: 'guide',
      home: 'guide',
      defaultScheme: 'guide',
      narrowTo: 'guide',
      mediumTo: 'guide',
      fluidFrom: 'guide',
      fluidTo: 'guide',
      textBase: 'guide',
      textRatio: 'guide',
      iconSet: 'guide',
      tabIcon: 'guide',
      logo: 'guide',
      darkLogo: 'guide',
      awayInNewTab: 'guide',
      wideColors: 'guide',
      darkVersion: 'guide',
      openGuide: 'guide',
      address: 'guide',
      phrases: 'guide',
      headerScrolls: 'guide',
      headerColors: 'guide',
    },
  },
  token: {
    put: 'guide',
    remove: 'guide',
    fields: {
      type: 'guide',
      name: 'guide',
      group: 'guide',
      order: 'guide',
      value: 'guide',
      purpose: 'guide',
      carried: 'guide',
      note: 'guide',
    },
  },
  tokenGroup: {
    put: 'guide',
    remove: 'guide',
    fields: { name: 'guide', purpose: 'guide', extends: 'guide', note: 'guide' },
  },
  role: {
    put: 'guide',
    remove: 'guide',
    fields: { name: 'guide', order: 'guide', fallback: 'guide', on: 'guide', note: 'guide' },
  },
  scheme: {
    put: 'guide',
    remove: 'guide',
    fields: {
      name: 'guide',
      face: 'guide',
      order: 'guide',
      roles: 'guide',
      action: 'guide',
      headings: 'guide',
      solved: 'guide',
      pinned: 'guide',
      counterpart: 'guide',
      note: 'guide',
    },
  },
  textStyle: {
    put: 'guide',
    remove: 'guide',
    fields: { name: 'guide', order: 'guide', styles: 'guide', note: 'guide' },
  },
  default: {
    put: 'guide',
    remove: 'guide',
    fields: { element: 'guide', place: 'guide', styles: 'guide', declarations: 'guide' },
  },
  variant: {
    put: 'guide',
    remove: 'guide',
    fields: {
      element: 'guide',
      axis: 'guide',
      name: 'guide',
      order: 'guide',
      styles: 'guide',
      note: 'guide',
      begins: 'guide',
      declarations: 'guide',
    },
  },
  variantRule: {
    put: 'guide',
    remove: 'guide',
    fields: { variant: 'guide', place: 'guide', styles: 'guide', declarations: 'guide' },
  },
  preset: {
    put: 'guide',
    remove: 'guide',
    fields: {
      name: 'guide',
      order: 'guide',
      styles: 'guide',
      note: 'guide',
      set: 'guide',
      includes: 'guide',
      instead: 'guide',
      use: 'guide',
      begins: 'guide',
    },
  },
  page: {
    put: 'choice',
    remove: 'choice',
    fields: {
      pageKind: 'choice',
      title: 'content',
      path: 'content',
      description: 'content',
      at: 'choice',
      scheme: 'choice',
      rebind: 'style',
      off: 'choice',
      unlisted: 'choice',
      unindexed: 'choice',
      sharePicture: 'content',
      shortName: 'content',
      icon: 'content',
      areas: 'choice',
      headerScrolls: 'choice',
      headerColors: 'choice',
    },
  },
  section: {
    put: 'choice',
    remove: 'choice',
    fields: {
      area: 'guide',
      name: 'content',
      at: 'choice',
      scheme: 'choice',
      rebind: 'style',
      variants: 'choice',
      wears: 'choice',
      styles: 'style',
      declarations: 'style',
    },
  },
  widget: {
    put: 'choice',
    remove: 'choice',
    fields: {
      widget: 'choice',
      content: 'content',
      at: 'choice',
      variants: 'choice',
      wears: 'choice',
      styles: 'style',
      declarations: 'style',
      parked: 'choice',
    },
  },
  drawing: {
    put: 'guide',
    remove: 'guide',
    fields: {
      name: 'guide',
      order: 'guide',
      use: 'guide',
      width: 'guide',
      height: 'guide',
      paths: 'guide',
      note: 'guide',
    },
  },
  note: {
    put: 'guide',
    remove: 'guide',
    fields: { name: 'guide', order: 'guide', text: 'guide', pictures: 'guide', status: 'content' },
  },
  font: {
    put: 'guide',
    remove: 'guide',
    fields: {
      family: 'guide',
      category: 'guide',
      cut: 'guide',
      weightFrom: 'guide',
      weightTo: 'guide',
      file: 'guide',
      format: 'guide',
      bytes: 'guide',
      metrics: 'guide',
    },
  },
  asset: {
    put: 'content',
    remove: 'content',
    fields: {
      name: 'content',
      alt: 'content',
      focus: 'content',
      file: 'guide',
      mime: 'guide',
      width: 'guide',
      height: 'guide',
    },
  },
};

/** The demo, with an empty page and a record of each kind that it has none of. */
function siteOfAll(): Site {
  const site = demoSite();
  const [variant] = site.kinds.variant.keys();
  const rule = {
    kind: 'variantRule',
    variant: variant ?? '',
    place: { type: 'area', area: 'footer' },
  } as const;
  const home = site.kinds.page.get('home');
  if (!home) throw new Error('the demo has no home');
  const edits: Edit[] = [{ op: 'put', record: { ...home, id: 'empty', path: 'empty', rebind: {} } }];
  const role: SiteRecord = {
    id: 'ownRole',
    kind: 'role',
    name: 'Own',
    order: 'V',
    fallback: 'text',
    on: null,
  };
  edits.push({ op: 'put', record: role });
  edits.push({
    op: 'put',
    record: {
      id: 'ownGroup',
      kind: 'tokenGroup',
      name: 'Brand',
      purpose: 'identity',
      extends: 'Neutral',
      note: 'Ours',
    },
  });
  const font: SiteRecord = {
    id: 'ownFont',
    kind: 'font',
    family: 'Own Face',
    category: 'sans',
    cut: 'normal',
    weightFrom: 400,
    weightTo: 700,
    file: 'abcdef0123456789.woff2',
    format: 'woff2',
    bytes: 10,
    metrics: { ascent: 900, descent: -200, lineGap: 0, unitsPerEm: 1000, xWidthAvg: 450 },
  };
  edits.push({ op: 'put', record: font });
  edits.push({
    op: 'put',
    record: {
      id: 'ownMark',
      kind: 'drawing',
      name: 'Knot',
      order: 'V',
      use: 'mark',
      width: 10,
      height: 10,
      paths: [{ d: 'M0 0L10 10', fill: null, stroke: { type: 'keyword', value: 'currentcolor' }, width: 1 }],
    },
  });
  edits.push({
    op: 'put',
    record: { id: 'ownNote', kind: 'note', name: 'Tone', order: 'V', text: 'Plain.', status: 'open' },
  });
  if (!site.kinds.variantRule.has(placedId(rule)))
    edits.push({ op: 'put', record: { id: placedId(rule), ...rule, styles: {} } });
  return must(applyChange(site, { edits })).site;
}

const isPlain = (record: SiteRecord) =>
  !('styles' in record && Object.keys(record.styles).length > 0) &&
  !('rebind' in record && Object.keys(record.rebind).length > 0);

const site = siteOfAll();
const lookup = lookupOf(site);
const rightOf = (...edits: Edit[]): Right | undefined => rightsFor(edits, lookup).at(-1);
const samples = KINDS.map(kind => {
  const all = [...site.kinds[kind].values()];
  return {
    kind,
    record: all.find(it => isPlain(it) && (site.children.get(it.id) ?? []).length === 0) ?? all[0],
  };
});

describe('the right an edit needs', () => {
  it('is held to a record of every kind', () => {
    expect(samples.filter(it => !it.record)).toEqual([]);
  });

  it('is that to style for putting something that sets values of its own', () => {
    const value = { type: 'number', value: 0.5 } as const;
    const [section, widget, page] = [
      [...site.kinds.section.values()].find(isPlain),
      [...site.kinds.widget.values()].find(isPlain),
      [...site.kinds.page.values()].find(isPlain),
    ];
    if (!section || !widget || !page) throw new Error('no sample');
    const color = { type: 'token', token: 'hull' } as const;
    for (const record of [
      { ...section, id: 'x', styles: { 'box/opacity': value } },
      { ...section, id: 'x', rebind: { lamp: color } },
      { ...section, id: 'x', declarations: { 'box/tab-size': '4' } },
      { ...widget, id: 'x', styles: { 'box/opacity': value } },
      { ...widget, id: 'x', declarations: { 'box/tab-size': '4' } },
      { ...page, id: 'x', rebind: { lamp: color } },
    ])
      expect(rightOf({ op: 'put', record })).toBe('style');
  });

  it('is the least for what meets nothing', () => {
    expect(rightOf({ op: 'remove', id: 'nothing' })).toBe('content');
    expect(rightOf({ op: 'set', id: 'nothing', path: ['name'], value: 'x' })).toBe('content');
  });

  it.each(['constructor', '__proto__', 'toString', 'noSuchField'])(
    'is the most there is for %s, which is no field',
    field => {
      for (const { record } of samples)
        expect(rightOf({ op: 'set', id: record?.id ?? '', path: [field], value: 'x' })).toBe('guide');
    },
  );

  it.each(
    samples.flatMap(({ kind, record }) =>
      Object.entries(EXPECTED[kind].fields).map(
        ([field, right]) => [kind, field, right, record?.id ?? ''] as const,
      ),
    ),
  )('to set or unset %s.%s is %s', (_, field, right, id) => {
    expect(rightOf({ op: 'set', id, path: [field], value: 'x' })).toBe(right);
    expect(rightOf({ op: 'set', id, path: [field, 'key'], value: 'x' })).toBe(right);
    expect(rightOf({ op: 'unset', id, path: [field, 'key'] })).toBe(right);
  });

  it.each(samples.map(({ kind, record }) => [kind, record] as const))(
    'to put and to remove %s',
    (kind, record) => {
      if (!record) throw new Error('no sample');
      const plain = isPlain(record) ? record : null;
      if (plain)
        expect(rightOf({ op: 'put', record: { ...plain, id: newId('x') } })).toBe(EXPECTED[kind].put);
      expect(rightOf({ op: 'remove', id: record.id })).toBe(EXPECTED[kind].remove);
    },
  );

  it('for a field nobody has thought of is the highest', () => {
    expect(rightOf({ op: 'set', id: 'book', path: ['more'], value: 1 })).toBe('guide');
  });

  it('to place what brings styles or rebindings of its own is that of styling', () => {
    const book = site.kinds.widget.get('book');
    const home = site.kinds.page.get('home');
    if (!book || !home) throw new Error('not there');
    const styles = { 'box/color': { type: 'role', role: 'text' } } as const;
    expect(rightOf({ op: 'put', record: { ...book, id: newId('w'), styles } })).toBe('style');
    const rebind = { hull: { type: 'token', token: 'rope' } } as const;
    expect(rightOf({ op: 'put', record: { ...home, id: newId('p'), rebind } })).toBe('style');
  });

  it('to remove is that of putting back all that goes, so that an undo is never refused', () => {
    for (const record of allRecords(site)) {
      if (record.kind !== 'section' && record.kind !== 'widget') continue;
      const gone: Id[] = [record.id];
      for (const id of gone) gone.push(...lookup.childrenOf(id));
      const styled = gone.some(id => {
        const it = lookup.get(id);
        return it && !isPlain(it);
      });
      const items = gone.every(id => {
        const it = lookup.get(id);
        const parent = it && 'at' in it ? lookup.get(it.at.parent) : undefined;
        return [it, parent].some(one => one?.kind === 'widget' && isItem(elementNamed(one.widget)));
      });
      expect(`${record.id} ${rightOf({ op: 'remove', id: record.id })}`).toBe(
        `${record.id} ${styled ? 'style' : items ? 'content' : 'choice'}`,
      );
    }
    expect(rightOf({ op: 'remove', id: 'feature-dogs' })).toBe('style');
  });

  it('for items within their holder is that for content, while nothing is said of how they look', () => {
    const entry = site.kinds.widget.get('asked-fog');
    const text = site.kinds.widget.get('asked-fog-text');
    if (!entry || !text) throw new Error('not there');
    const id = newId('w');
    const put = { op: 'put', record: { ...entry, id } } as const;
    expect(rightOf(put)).toBe('content');
    expect(
      rightOf(put, { op: 'put', record: { ...text, id: newId('w'), at: { parent: id, order: 'V' } } }),
    ).toBe('content');
    expect(rightOf({ op: 'remove', id: 'asked-fog' })).toBe('content');
    expect(
      rightOf({ op: 'set', id: 'asked-fog', path: ['at'], value: { parent: 'asked', order: 'Z' } }),
    ).toBe('content');
    expect(
      rightOf({ op: 'set', id: 'asked-fog', path: ['at'], value: { parent: 'asked-decks', order: 'Z' } }),
    ).toBe('choice');
    expect(
      rightOf({
        op: 'set',
        id: 'asked-fog',
        path: ['styles', 'bar/opacity'],
        value: { type: 'number', value: 0 },
      }),
    ).toBe('style');
    expect(
      rightOf({
        op: 'put',
        record: { ...entry, id, styles: { 'bar/opacity': { type: 'number', value: 0 } } },
      }),
    ).toBe('style');
    expect(rightOf({ op: 'set', id: 'asked-fog', path: ['at', 'parent'], value: 'asked' })).toBe('choice');
    // Further in or out in one list is still a matter of what the list says; out of it, or into a circle, is none.
    const into = (id: Id, parent: Id): Edit => ({
      op: 'set',
      id,
      path: ['at'],
      value: { parent, order: 'V' },
    });
    expect(rightOf(into('fares-with-bag', 'fares-with-prams'))).toBe('content');
    expect(rightOf(into('fares-with-milk', 'fares-with'))).toBe('content');
    expect(rightOf(into('fares-with-milk', 'foot-nav'))).toBe('choice');
    const circle = { ...entry, id: 'around', at: { parent: 'around', order: 'V' } };
    expect(rightOf({ op: 'put', record: circle }, into('fares-with-milk', 'around'))).toBe('choice');
  });

  it('cannot be lowered by putting a record first and altering it in the same change', () => {
    const book = site.kinds.widget.get('book');
    if (!book) throw new Error('not there');
    const id = newId('w');
    expect(
      rightOf(
        { op: 'put', record: { ...book, id, styles: {} } },
        { op: 'set', id, path: ['styles', 'box/opacity'], value: { type: 'number', value: 0 } },
      ),
    ).toBe('style');
  });

  it('cannot be lowered by moving a thing first and removing what it was moved into', () => {
    expect(
      rightOf(
        { op: 'set', id: 'feature-dogs', path: ['at'], value: { parent: 'crossing', order: 'V' } },
        { op: 'remove', id: 'today' },
      ),
    ).toBe('style');
  });
});

describe('who may', () => {
  const rights: readonly Right[] = ['content', 'choice', 'style', 'guide'];
  it.each([
    ['designer', 'content', 4],
    ['keeper', 'content', 1],
    ['keeper', 'choice', 2],
    ['keeper', 'style', 3],
    ['reviewer', 'style', 0],
  ] as const)('a %s of a site that gives keepers %s has the first %i rights', (role, keeperMay, count) => {
    expect(rights.filter(right => mayEdit(role, keeperMay, right))).toEqual(rights.slice(0, count));
  });
});
