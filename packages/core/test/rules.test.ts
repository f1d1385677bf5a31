import { describe, expect, it } from '@jest/globals';
import { placeAmong } from '../src/commands/order/order.ts';
import {
  allRecords,
  applyChange,
  type DefaultRecord,
  type Edit,
  type Id,
  type Kind,
  LIMITS,
  must,
  type PageRecord,
  parseDeclarations,
  parseTokenValue,
  type Result,
  readEdits,
  readRecord,
  referencesOf,
  type SectionRecord,
  type Site,
  type SiteRecord,
  scanJson,
  type TokenRecord,
  type WidgetRecord,
} from '../src/index.ts';
import { tiny } from './support/tiny.ts';

/** One short test for each rule, so that an error planted in any of them is found out at once. */
const put = (record: SiteRecord): Edit => ({ op: 'put', record });
const set = (id: Id, path: readonly [string] | readonly [string, string], value: unknown): Edit => ({
  op: 'set',
  id,
  path,
  value,
});
const codeOf = (result: Result<unknown>) => (result.ok ? 'ok' : result.problem.code);

const at = { parent: 'one', order: 'V' };
const widget = (id: Id, more: Partial<WidgetRecord> = {}): WidgetRecord => ({
  ...{ id, kind: 'widget', widget: 'group', at, content: {}, variants: {}, wears: {}, styles: {} },
  ...more,
});
const section = (id: Id, more: Partial<SectionRecord> = {}): SectionRecord => ({
  ...{ id, kind: 'section', area: 'main', name: id, at: { parent: 'home', order: 'V' }, scheme: null },
  ...{ rebind: {}, variants: {}, wears: {}, styles: {} },
  ...more,
});
const page = (id: Id, more: Partial<PageRecord> = {}): PageRecord => ({
  ...{ id, kind: 'page', pageKind: 'page', title: id, path: id, description: '' },
  ...{ at: { parent: 'settings', order: 'V' }, scheme: null, rebind: {} },
  ...more,
});
const token = (id: Id, value: TokenRecord['value']): TokenRecord => ({
  ...{ id, kind: 'token', type: 'color', name: id, group: 'More', order: 'V', value },
});
const follows = (to: Id): TokenRecord['value'] => ({ type: 'token', token: to });
const asset = (id: Id): SiteRecord =>
  ({
    ...{
      id,
      kind: 'asset',
      name: id,
      file: 'abcdef0123456789.webp',
      mime: 'image/webp',
      width: 1,
      height: 1,
      alt: '',
    },
  }) as SiteRecord;
const drawing = (id: Id): SiteRecord =>
  ({
    ...{ id, kind: 'drawing', name: id, order: 'V', use: 'mark', width: 1, height: 1 },
    paths: [{ d: 'M0 0', fill: follows('sea'), stroke: null, width: 1 }],
  }) as SiteRecord;
const preset = (id: Id, more: object = {}): SiteRecord =>
  ({ id, kind: 'preset', name: id, order: 'V', styles: {}, ...more }) as SiteRecord;
const style: SiteRecord = { id: 'loud', kind: 'textStyle', name: 'Loud', order: 'V', styles: {} };
const role: SiteRecord = { id: 'own', kind: 'role', name: 'Own', order: 'V', fallback: 'text', on: null };

const site: Site = must(
  applyChange(tiny(), {
    edits: [asset('quay'), drawing('knot'), preset('calm'), style, role, page('fares'), section('two')].map(
      put,
    ),
  }),
).site;
const tried = (...edits: Edit[]) => codeOf(applyChange(site, { edits }));

/** Each mention there can be: the record that makes it, its path, and what may be mentioned there. */
const MENTIONS: [string, SiteRecord, string, Kind[]][] = [
  [
    'a text style in styles',
    widget('w', { styles: { 'box/textStyle': { type: 'textStyle', style: 'loud' } } }),
    'styles.box/textStyle',
    ['textStyle'],
  ],
  [
    'an own role in styles',
    widget('w', { styles: { 'box/color': { type: 'role', role: 'own' } } }),
    'styles.box/color',
    ['role'],
  ],
  [
    'a token in styles',
    widget('w', { styles: { 'box/color': follows('sea') } }),
    'styles.box/color',
    ['token'],
  ],
  [
    'a picture in styles',
    widget('w', { styles: { 'box/backgroundImage': { type: 'picture', asset: 'quay', tint: null } } }),
    'styles.box/backgroundImage',
    ['asset'],
  ],
  [
    'a drawing in styles',
    widget('w', {
      styles: {
        'box/backgroundImage': { type: 'pattern', drawing: 'knot', ink: follows('sea'), tint: null },
      },
    }),
    'styles.box/backgroundImage',
    ['drawing', 'token'],
  ],
  [
    'a variant',
    widget('w', {
      widget: 'button',
      content: { label: '', link: null, icon: null },
      variants: { kind: 'outlined' },
    }),
    'variants.kind',
    ['variant'],
  ],
  [
    'a preset that is worn',
    widget('w', { wears: { x: { preset: 'calm', order: 'V', on: true } } }),
    'wears.x.preset',
    ['preset'],
  ],
  ['the place of a widget', widget('w'), 'at.parent', ['section', 'widget']],
  ['the place of a section', section('s'), 'at.parent', ['page', 'section']],
  [
    'the place of a shared section',
    section('s', { area: 'footer', at: { parent: 'settings', order: 'V' } }),
    'at.parent',
    ['settings', 'page', 'section'],
  ],
  ['the place of a page', page('p'), 'at.parent', ['settings', 'page']],
  ['the scheme of a section', section('s', { scheme: 'day' }), 'scheme', ['scheme']],
  ['the scheme of a page', page('p', { scheme: 'day' }), 'scheme', ['scheme']],
  ['a token bound anew', page('p', { rebind: { sea: follows('foam') } }), 'rebind.sea', ['token']],
  ['a share picture', page('p', { sharePicture: 'quay' }), 'sharePicture', ['asset']],
  [
    'a link to a page',
    widget('w', {
      widget: 'button',
      content: { label: '', icon: null, link: { type: 'page', page: 'fares' } },
    }),
    'content.link',
    ['page'],
  ],
  [
    'a link to a section',
    widget('w', {
      widget: 'button',
      content: { label: '', icon: null, link: { type: 'section', page: 'home', section: 'one' } },
    }),
    'content.link',
    ['page', 'section'],
  ],
  [
    'a link to a file',
    widget('w', {
      widget: 'button',
      content: { label: '', icon: null, link: { type: 'file', asset: 'quay' } },
    }),
    'content.link',
    ['asset'],
  ],
  [
    'an icon of one’s own',
    widget('w', { widget: 'button', content: { label: '', link: null, icon: 'knot' } }),
    'content.icon',
    ['asset', 'drawing'],
  ],
  ['a picture', widget('w', { widget: 'picture', content: { asset: 'quay' } }), 'content.asset', ['asset']],
  [
    'a rule of a page',
    {
      id: 'default-button-page-fares',
      kind: 'default',
      element: 'button',
      place: { type: 'page', page: 'fares' },
      styles: {},
    },
    'place.page',
    ['page'],
  ],
  [
    'a rule of a scheme',
    {
      id: 'default-button-scheme-day',
      kind: 'default',
      element: 'button',
      place: { type: 'scheme', scheme: 'day' },
      styles: {},
    },
    'place.scheme',
    ['scheme'],
  ],
  [
    'a rule of a section',
    {
      id: 'default-button-section-one',
      kind: 'default',
      element: 'button',
      place: { type: 'section', section: 'one' },
      styles: {},
    },
    'place.section',
    ['section'],
  ],
  [
    'a rule of a variant',
    {
      id: 'rule-outlined-area-footer',
      kind: 'variantRule',
      variant: 'outlined',
      place: { type: 'area', area: 'footer' },
      styles: {},
    },
    'variant',
    ['variant'],
  ],
  [
    'a preset in a preset',
    preset('busy', { includes: { x: { preset: 'calm', order: 'V' } } }),
    'includes.x',
    ['preset'],
  ],
  ['a token that is followed', token('t', follows('sea')), 'value', ['token']],
  ['a role fallen back on', { ...role, id: 'further', fallback: 'own' } as SiteRecord, 'fallback', ['role']],
  [
    'a pinned picture',
    { id: 'n', kind: 'note', name: 'N', order: 'V', text: '', pictures: { quay: 'V' } },
    'pictures.quay',
    ['asset'],
  ],
  ['a swatch in a drawing', drawing('other'), 'paths.0', ['token']],
];
const kindsAt = (record: SiteRecord, path: string): string[] =>
  [
    ...new Set(
      referencesOf(record)
        .filter(it => it.path === path)
        .flatMap(it => [...it.kinds]),
    ),
  ].sort();

describe('a mention', () => {
  it.each(MENTIONS)('of %s may be of certain kinds', (_, record, path, kinds) => {
    expect(kindsAt(record, path)).toEqual([...kinds].sort());
  });

  it('by the settings may be of certain kinds', () => {
    const settings = {
      ...[...site.kinds.settings.values()][0],
      tabIcon: 'quay',
      logo: 'quay',
      darkLogo: 'quay',
    } as SiteRecord;
    const found = Object.fromEntries(referencesOf(settings).map(it => [it.path, it.kinds]));
    expect(found).toEqual({
      home: ['page'],
      defaultScheme: ['scheme'],
      textBase: ['token'],
      textRatio: ['token'],
      tabIcon: ['asset'],
      logo: ['asset'],
      darkLogo: ['asset'],
    });
  });

  it('by a scheme may be of swatches, and of own roles', () => {
    const scheme = site.kinds.scheme.get('day');
    const own = { ...scheme, roles: { own: follows('sea') } } as SiteRecord;
    expect(referencesOf(own).map(it => [it.path, it.kinds, it.types])).toEqual([
      ['roles.own', ['role'], undefined],
      ['roles.own', ['token'], ['color']],
    ]);
  });
});

const button = { widget: 'button', content: { label: '', link: null, icon: null } } as const;

describe('a change is refused', () => {
  it.each<[string, string, Edit[]]>([
    ['which takes the settings away', 'needed', [{ op: 'remove', id: 'settings' }]],
    ['which takes away what is used', 'in-use', [{ op: 'remove', id: 'foam' }]],
    ['whose reference leads nowhere', 'dangling', [set('two', ['scheme'], 'none')]],
    ['whose reference leads to another kind', 'dangling', [set('two', ['scheme'], 'sea')]],
    ['whose token is of another type', 'wrong-type', [set('sea', ['value'], follows('base'))]],
    [
      'which gives a token another type',
      'wrong-type',
      [set('base', ['type'], 'number'), set('base', ['value'], { type: 'number', value: 1 })],
    ],
    [
      'which uses an id for another kind',
      'id-taken',
      [{ op: 'remove', id: 'calm' }, put({ ...style, id: 'calm' } as SiteRecord)],
    ],
    ['which puts what is there', 'id-taken', [put(style)]],
    ['in which a token follows itself', 'circular', [set('foam', ['value'], follows('foam'))]],
    [
      'in which a preset includes itself',
      'circular',
      [set('calm', ['includes'], { x: { preset: 'calm', order: 'V' } })],
    ],
    ['in which a role falls back on itself', 'circular', [set('own', ['fallback'], 'own')]],
    [
      'in which a rebinding runs in a circle',
      'circular',
      [set('fares', ['rebind'], { foam: follows('alias'), sea: follows('foam') })],
    ],
    ['in which something stands in itself', 'circular', [set('two', ['at'], { parent: 'two', order: 'V' })]],
    [
      'whose default has another id',
      'bad-id',
      [put({ id: 'x', kind: 'default', element: 'button', place: null, styles: {} } as DefaultRecord)],
    ],
    [
      'which puts something into what holds nothing',
      'bad-parent',
      [put(widget('b', button)), put(widget('in', { at: { parent: 'b', order: 'V' } }))],
    ],
    [
      'whose version is of another area',
      'bad-parent',
      [put(section('v', { area: 'footer', at: { parent: 'two', order: 'V' } }))],
    ],
    [
      'whose variant is of another axis',
      'wrong-variant',
      [put(widget('b', { ...button, variants: { kind: 'large' } }))],
    ],
    [
      'whose widget wears nine presets',
      'too-many',
      [
        put(
          widget('b', {
            wears: Object.fromEntries(
              [...'abcdefghi'].map(it => [it, { preset: 'calm', order: 'V', on: true }]),
            ),
          }),
        ),
      ],
    ],
    ['in which a page has no address', 'bad-address', [set('fares', ['path'], '')]],
    ['in which the home page has one', 'bad-address', [set('home', ['path'], 'home')]],
    ['in which the home page is off', 'bad-home', [set('home', ['off'], true)]],
    [
      'in which home is a page that is off',
      'bad-home',
      [put(page('gone', { off: true })), set('settings', ['home'], 'gone'), set('gone', ['path'], '')],
    ],
    ['in which home is a page with an address', 'bad-home', [set('settings', ['home'], 'fares')]],
    ['whose address is taken', 'address-taken', [put(page('other', { path: 'fares' }))]],
  ])('%s: %s', (_, code, edits) => {
    expect(tried(...edits)).toBe(code);
  });

  it('where a widget becomes one that holds nothing while something stands in it', () => {
    const full = must(
      applyChange(site, {
        edits: [put(widget('g')), put(widget('in', { at: { parent: 'g', order: 'V' } }))],
      }),
    ).site;
    expect(
      codeOf(
        applyChange(full, { edits: [set('g', ['widget'], 'button'), set('g', ['content'], button.content)] }),
      ),
    ).toBe('bad-parent');
  });

  it('and what is none of these is taken', () => {
    expect(
      tried(
        put(widget('g')),
        put(widget('b', { ...button, at: { parent: 'g', order: 'V' }, variants: { kind: 'outlined' } })),
      ),
    ).toBe('ok');
    expect(
      tried(set('settings', ['home'], 'fares'), set('fares', ['path'], ''), set('home', ['path'], 'start')),
    ).toBe('ok');
  });
});

const chainOf = <T>(count: number, make: (i: number) => T): T[] =>
  Array.from({ length: count }, (_, i) => make(i));

describe('a limit holds, and no sooner than it says', () => {
  const nested = (levels: number) =>
    chainOf(levels, i => put(widget(`g${i}`, { at: { parent: i === 0 ? 'two' : `g${i - 1}`, order: 'V' } })));
  const chain = (length: number) =>
    chainOf(length, i => put(token(`c${i}`, follows(i === 0 ? 'foam' : `c${i - 1}`))));
  const presets = (count: number) =>
    chainOf(count, i =>
      put(preset(`p${i}`, i === 0 ? {} : { includes: { x: { preset: `p${i - 1}`, order: 'V' } } })),
    );
  const tokens = site.kinds.token;
  const budget = { ...LIMITS.change };

  it.each<[string, () => string, () => string, string]>([
    ['nesting', () => tried(...nested(31)), () => tried(...nested(32)), 'too-deep'],
    ['following', () => tried(...chain(32)), () => tried(...chain(33)), 'too-deep'],
    ['including', () => tried(...presets(17)), () => tried(...presets(18)), 'too-deep'],
    [
      'edits that are read',
      () => codeOf(readEdits(chainOf(20_000, () => ({ op: 'remove', id: 'x' })))),
      () => codeOf(readEdits(chainOf(20_001, () => ({ op: 'remove', id: 'x' })))),
      'too-much',
    ],
    [
      'records of a change',
      () =>
        codeOf(
          applyChange(
            site,
            { edits: chainOf(100, i => put(token(`t${i}`, follows('foam')))) },
            { ...budget, edits: 1e6 },
          ),
        ),
      () =>
        codeOf(
          applyChange(
            site,
            { edits: chainOf(20_001, i => put(token(`t${i}`, follows('foam')))) },
            { ...budget, edits: 1e6 },
          ),
        ),
      'too-much',
    ],
    [
      'JSON',
      () => codeOf(scanJson(`${'['.repeat(32)}`)),
      () => codeOf(scanJson(`${'['.repeat(33)}`)),
      'too-deep',
    ],
    [
      'a typed value',
      () => codeOf(parseTokenValue(`1${' '.repeat(1990)}`, 'number', tokens)),
      () => codeOf(parseTokenValue(`1${' '.repeat(2000)}`, 'number', tokens)),
      'too-long',
    ],
    [
      'typed brackets',
      () => codeOf(parseTokenValue(`${'('.repeat(32)}1${')'.repeat(32)}`, 'number', tokens)),
      () => codeOf(parseTokenValue(`${'('.repeat(33)}1${')'.repeat(33)}`, 'number', tokens)),
      'too-deep',
    ],
    [
      'typed declarations',
      () => codeOf(parseDeclarations(' '.repeat(20_000), tokens, () => undefined)),
      () => codeOf(parseDeclarations(' '.repeat(20_001), tokens, () => undefined)),
      'too-long',
    ],
    [
      'entries of a map',
      () =>
        codeOf(
          readRecord({
            id: 'n',
            kind: 'note',
            name: 'N',
            order: 'V',
            text: '',
            pictures: Object.fromEntries(chainOf(2000, i => [`p${i}`, 'V'])),
          }),
        ),
      () =>
        codeOf(
          readRecord({
            id: 'n',
            kind: 'note',
            name: 'N',
            order: 'V',
            text: '',
            pictures: Object.fromEntries(chainOf(2001, i => [`p${i}`, 'V'])),
          }),
        ),
      'bad-field',
    ],
  ])('of %s', (_, within, beyond, code) => {
    expect([within(), beyond()]).toEqual(['ok', code]);
  });

  it('of an order key, at which siblings get new ones', () => {
    const near = [`V${'0'.repeat(120)}1`, `V${'0'.repeat(120)}2`].map((order, i) => ({ id: `n${i}`, order }));
    expect(placeAmong(near, 1, 1).rekeyed).toHaveLength(2);
    const roomy = ['V', 'X'].map((order, i) => ({ id: `n${i}`, order }));
    expect(placeAmong(roomy, 1, 1).rekeyed).toHaveLength(0);
  });

  it('and the site is as it was', () => {
    expect([...allRecords(site)].length).toBeGreaterThan(10);
  });
});
