import { describe, expect, it } from '@jest/globals';
import { nodeScope, pageScope, threadOf } from '../src/cascade/index.ts';
import { entranceOf, setEntrance, setSlot, setSlots, targetId } from '../src/commands/index.ts';
import { guideOf, planGuide, readGuideData, takeGuide } from '../src/guide/index.ts';
import { rasterIcons } from '../src/measure/index.ts';
import { MOVEMENT_NAMES, propertyOf } from '../src/properties/index.ts';
import { impactOf, reachOf } from '../src/reach/index.ts';
import {
  closureVariables,
  PAGES,
  pageStyles,
  publishSite,
  rebindBlocks,
  schemeVariables,
} from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import { SCHEMA } from '../src/schema/index.ts';
import { applyChange, type Edit, readRecord, type Site } from '../src/site/index.ts';
import { parsePropertyValue, printTyped } from '../src/tokens/index.ts';
import { readValue, type Value } from '../src/values/index.ts';
import { demoSite } from './support/demo.ts';
import { cssIn, publishedCss } from './support/published.ts';
import { tiny } from './support/tiny.ts';

const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const ground = propertyOf('backgroundImage');
const PRINTING = { mode: 'published', assetUrl: ({ file }: { file: string }) => `assets/${file}` } as const;
const SECTION = targetId({ type: 'default', element: 'section' });
const FILE = 'abcdef0123456789.webp';

/** A page on a drawn pattern, a section that rebinds the swatch it is drawn in, and one in another scheme. */
const site = tiny(b => {
  b.asset({ id: 'quay', name: 'Quay', file: FILE, mime: 'image/webp', width: 80, height: 50, alt: 'A quay' });
  b.drawing(
    'waves',
    'mark',
    'Waves',
    [24, 12],
    [
      ['M0 6h24', null, 'currentcolor', 2],
      ['M0 0h2v2z', '{color.brand.foam}'],
    ],
  );
  b.default('page', { 'box/backgroundImage': 'pattern(waves, role.accent)' });
  b.section('two', 'home', 'Two', { styles: { 'box/backgroundImage': 'pattern(waves, {color.brand.sea})' } });
  b.section('three', 'home', 'Three', {
    scheme: 'dark',
    rebind: { sea: { type: 'color', value: { space: 'srgb', coords: [1, 0, 0], alpha: 1 } } },
    styles: { 'box/backgroundImage': 'picture(quay, {color.brand.sea} 40%)' },
  });
});
const home = () => {
  const page = site.kinds.page.get('home');
  if (!page) throw new Error('no home');
  return page;
};
const drawn = (css: string): string =>
  decodeURIComponent(/data:image\/svg\+xml,([^"]*)/.exec(css)?.[1] ?? '');

describe('a ground', () => {
  it.each([
    'picture(quay)',
    'picture(quay, #00000080)',
    'picture(quay, {color.brand.sea} 45%)',
    'pattern(waves, role.line)',
    'pattern(waves, {color.brand.sea}, role.surface 12.5%)',
    'pattern(waves, rgb(0 0 0 / 50%), hsl(0 0% 50%) 20%)',
    'none',
  ])('is typed and shown as %s', text => {
    const value = must(parsePropertyValue(text, ground, site.kinds.token));
    expect(readValue(JSON.parse(JSON.stringify(value)))).toEqual(value);
    const printed = printTyped(value, site.kinds.token);
    expect(must(parsePropertyValue(printed, ground, site.kinds.token))).toEqual(value);
  });
  it.each([
    'pattern(waves)',
    'picture()',
    'picture(quay, #000, #fff)',
    'picture(../secret)',
    'url(https://elsewhere.example/x.png)',
    'picture(quay, nonsense)',
    'picture(quay, #000 140%)',
    'pattern(waves, #000 40%)',
  ])('is not %s', text => {
    expect(parsePropertyValue(text, ground, site.kinds.token).ok).toBe(false);
  });
  it('names things that are there, and nothing that is another', () => {
    const set = (value: Value) =>
      applyChange(site, {
        edits: setSlot(site, { type: 'record', id: 'one' }, 'box/backgroundImage', value),
      });
    const picture = (asset: string): Value => ({ type: 'picture', asset, tint: null });
    expect(set(picture('quay')).ok).toBe(true);
    expect(set(picture('waves')).ok).toBe(false);
    expect(set(picture('gone')).ok).toBe(false);
    const ink: Value = { type: 'token', token: 'base' };
    expect(set({ type: 'pattern', drawing: 'waves', ink, tint: null }).ok).toBe(false);
    expect(applyChange(site, { edits: [{ op: 'remove', id: 'waves' }] }).ok).toBe(false);
    expect(
      readValue({ type: 'picture', asset: 'quay', tint: { color: { type: 'number', value: 1 }, share: 1 } }),
    ).toBeNull();
  });
  it('is drawn in the ink of its place, what has a colour of its own in that', () => {
    const [name, css] = schemeVariables(site, 'day', 'srgb').find(([it]) => it.startsWith('--p-waves-')) ?? [
      '',
      '',
    ];
    expect(name).not.toBe('');
    // Accent is bound to an alias of Sea, Foam is the drawing's own.
    expect(drawn(css)).toContain('stroke="#204060"');
    expect(drawn(css)).toContain('fill="#f0f8ff"');
    const dark = schemeVariables(site, 'dark', 'srgb').find(([it]) => it === name)?.[1] ?? '';
    expect(drawn(dark)).toContain('stroke="#f0f8ff"');
  });
  it('cannot leave its place in the sheet', () => {
    const [, css = ''] = schemeVariables(site, 'day', 'srgb').find(([it]) => it.startsWith('--p-')) ?? [];
    expect(css).toMatch(/^url\("data:image\/svg\+xml,[\w%.!~*-]*"\)$/);
  });
  it('follows an edit of a swatch, and a rebinding, wherever it is worn', () => {
    const edited = closureVariables(site, ['sea'], {}, PAGES).filter(([name]) => name.startsWith('--p-'));
    expect(edited).toHaveLength(1);
    const blocks = rebindBlocks(site, home(), 'srgb');
    const rebound = blocks.find(({ selector }) => selector === '.b-three');
    expect(drawn(rebound?.declarations.find(([name]) => name.startsWith('--p-'))?.[1] ?? '')).toContain(
      'stroke="#ff0000"',
    );
    const worn = blocks.find(({ selector }) => selector.includes('.s-day'));
    expect(drawn(worn?.declarations[0]?.[1] ?? '')).toContain('stroke="#ff0000"');
  });
  it('can be followed to its colours', () => {
    const asked = { part: 'box', state: 'rest', width: 'wide', property: 'backgroundImage' } as const;
    const { via, css } = threadOf(site, pageScope(site, home()), asked);
    expect(via.map(it => ('role' in it ? it.role : it.token))).toEqual(['accent', 'alias', 'sea']);
    expect(drawn(css ?? '')).toContain('#204060');
    expect(
      readValue({
        type: 'picture',
        asset: 'quay',
        tint: { color: { type: 'token', token: 'sea' }, share: 2 },
      }),
    ).toBeNull();
    const scope = nodeScope(site, 'home', 'three');
    expect(scope && threadOf(site, scope, asked)).toMatchObject({
      css: `linear-gradient(color-mix(in srgb, #ff0000 40%, transparent), color-mix(in srgb, #ff0000 40%, transparent)), url("${FILE}")`,
      via: [{ token: 'sea', rebound: 'three' }],
    });
  });
  it('is published with its picture, found from the page that names it', () => {
    const { files, assets } = publishSite(site);
    expect(assets.map(it => it.file)).toEqual([FILE]);
    expect(cssIn(files)).toContain(`url("assets/${FILE}")`);
    expect(publishSite(tiny()).assets).toEqual([]);
  });
  it('counts where it is used, and what would alter with it', () => {
    expect(reachOf(site, 'waves')).toMatchObject({ uses: 2, pages: ['home'] });
    expect(reachOf(site, 'quay').uses).toBe(1);
    // Sea is in the pattern of the page and of one section; the other section has bound it to another colour.
    const red: Value = { type: 'color', value: { space: 'srgb', coords: [0, 1, 0], alpha: 1 } };
    const impact = must(impactOf(site, [{ op: 'set', id: 'sea', path: ['value'], value: red }]));
    expect(impact.properties.find(it => it.property === 'backgroundImage')?.count).toBe(2);
    const redrawn = must(impactOf(site, [{ op: 'set', id: 'waves', path: ['width'], value: 30 }]));
    expect(redrawn.properties).toEqual([{ property: 'backgroundImage', count: 2 }]);
  });
});

describe('pages on the ground', () => {
  it('lie on a sheet that is as wide as one says', () => {
    const boxed = after(
      site,
      setSlots(
        site,
        { type: 'default', element: 'page' },
        {
          'sheet/maxWidth': { type: 'dimension', value: { value: 60, unit: 'rem' } },
        },
      ),
    );
    const html = [...publishSite(boxed).files].find(([path]) => path === 'index.html')?.[1] ?? '';
    expect(html).toContain('<div class="page-sheet"><main');
    expect(publishedCss(boxed)).toMatch(/:where\(\.page-sheet\)\{max-width:60rem\}/);
    expect(html).toMatch(/<body[^>]*><a class="skip"/);
  });
});

describe('movements', () => {
  const css = (of: Site) => pageStyles(of, home(), PRINTING);
  it('let sections come in as they are scrolled into view, without a script, and are undone to the byte', () => {
    expect(entranceOf(site)).toBeNull();
    const done = must(applyChange(site, { edits: setEntrance(site, 'rise') }));
    expect(entranceOf(done.site)).toBe('rise');
    expect(css(done.site)).toContain('animation-timeline:view()');
    const calm = after(done.site, setEntrance(done.site, null));
    expect(calm.kinds.default.get(SECTION)?.styles ?? {}).toEqual({});
    expect(setEntrance(site, null)).toEqual([]);
    expect(css(after(done.site, done.inverse))).toBe(css(site));
  });
  it('bring only the keyframes that are used, and none for those who ask for less motion', () => {
    const moved = after(site, setEntrance(site, 'drift'));
    expect(css(site)).not.toContain('@keyframes');
    expect(css(moved).match(/@keyframes \w+/g)).toEqual(['@keyframes drift']);
    const guide = publishedCss(moved);
    expect(guide).toContain('@keyframes drift');
    expect(guide).toMatch(/prefers-reduced-motion:reduce\)\{\*\{[^}]*animation-name:none!important/);
  });
  it('end where the thing stands, and end', () => {
    // WCAG 2.2, success criterion 2.2.2: nothing moves for long by itself.
    expect(propertyOf('animationIterationCount')).toMatchObject({ max: 5 });
    expect(propertyOf('animationIterationCount').keywords ?? []).not.toContain('infinite');
    expect(propertyOf('animationName').keywords).toEqual(['none', ...MOVEMENT_NAMES]);
  });
});

describe('a picture in an icon’s place', () => {
  it('is shown as a picture with its name, and flagged', () => {
    const demo = demoSite();
    const [asset] = demo.kinds.asset.keys();
    const put = after(demo, [{ op: 'set', id: 'book', path: ['content', 'icon'], value: asset ?? '' }]);
    expect(rasterIcons(demo)).toEqual([]);
    expect(rasterIcons(put)).toMatchObject([
      { widget: { id: 'book' }, field: 'icon', picture: { id: asset } },
    ]);
    const html = [...publishSite(put).files].find(([path]) => path === 'index.html')?.[1] ?? '';
    expect(html).toMatch(/<img class="button-icon[^>]*alt=""/);
    expect(
      applyChange(demo, { edits: [{ op: 'set', id: 'book', path: ['content', 'icon'], value: 'nothing' }] })
        .ok,
    ).toBe(false);
  });
});

describe('a guide with what the brand owns', () => {
  const owner = after(site, [
    {
      op: 'put',
      record: {
        id: 'brief',
        kind: 'note',
        name: 'Brief',
        order: 'V',
        text: 'Calm.',
        pictures: { quay: 'V' },
      },
    },
    {
      op: 'put',
      record: {
        id: 'face',
        kind: 'font',
        family: 'Quay Face',
        category: 'sans',
        cut: 'normal',
        weightFrom: 400,
        weightTo: 700,
        file: 'abcdef0123456789.woff2',
        format: 'woff2',
        bytes: 900,
        metrics: { ascent: 900, descent: -200, lineGap: 0, unitsPerEm: 1000, xWidthAvg: 500 },
      },
    },
    ...setSlots(
      site,
      { type: 'default', element: 'section' },
      {
        'box/backgroundImage': { type: 'picture', asset: 'quay', tint: null },
      },
    ),
  ]);
  const voice: Edit = {
    op: 'put',
    record: {
      id: 'voice',
      kind: 'token',
      type: 'fontFamily',
      name: 'Voice',
      group: 'Voices',
      order: 'z',
      value: { type: 'fontFamily', value: ['Quay Face', 'sans-serif'] },
    },
  };
  it('takes along drawings, notes and their pictures, and fonts that its voices speak', () => {
    const kinds = (of: Site) => guideOf(of, 'Kept').records.map(it => it.kind);
    expect(kinds(owner)).toEqual(expect.arrayContaining(['drawing', 'note', 'asset']));
    expect(kinds(owner)).not.toContain('font');
    expect(kinds(after(owner, [voice]))).toContain('font');
  });
  it('arrives whole at another site, and is read from JSON', () => {
    const guide = must(
      readGuideData(JSON.parse(JSON.stringify(guideOf(after(owner, [voice]), 'Kept'))), SCHEMA),
    );
    const other = tiny();
    const taken = after(other, takeGuide(other, planGuide(other, guide)));
    const section = taken.kinds.default.get(SECTION)?.styles['box/backgroundImage'];
    expect(section).toEqual({ type: 'picture', asset: expect.any(String), tint: null });
    if (section?.type === 'picture') expect(taken.kinds.asset.get(section.asset)?.file).toBe(FILE);
    expect([...taken.kinds.drawing.values()].map(it => it.name)).toEqual(['Waves']);
    expect([...taken.kinds.note.values()].map(it => Object.keys(it.pictures ?? {}).length)).toEqual([1]);
    expect(planGuide(taken, guide).parts).toEqual([]);
  });
  it('leaves the brand’s things where they are when another guide is taken', () => {
    const plain = guideOf(tiny(), 'Plain');
    const plan = planGuide(owner, plain);
    expect(plan.parts.filter(it => it.change === 'goes').map(it => it.kind)).toEqual(['default', 'default']);
    const taken = after(owner, takeGuide(owner, plan));
    for (const id of ['waves', 'brief', 'face', 'quay'])
      expect([
        ...taken.kinds.drawing.keys(),
        ...taken.kinds.note.keys(),
        ...taken.kinds.font.keys(),
        ...taken.kinds.asset.keys(),
      ]).toContain(id);
  });
  it.each([
    ['nothing', null],
    ['records that are none', { name: 'x', records: [{ id: 'a', kind: 'token' }], settings: {} }],
    ['a page among them', { name: 'x', records: [home()], settings: {} }],
    ['settings that are none', { name: 'x', records: [], settings: { mediumTo: 'wide' } }],
  ])('is not read from %s', (_, it) => {
    expect(readGuideData(it, SCHEMA).ok).toBe(false);
  });
});

describe('a note', () => {
  it('pins pictures that are there, each once, in order', () => {
    const note = { id: 'n', kind: 'note', name: 'N', order: 'V', text: '' };
    expect(readRecord({ ...note, pictures: { quay: 'V' } }).ok).toBe(true);
    expect(readRecord({ ...note, pictures: { quay: 7 } }).ok).toBe(false);
    expect(readRecord({ ...note, pictures: { '../quay': 'V' } }).ok).toBe(false);
    const put = (pictures: Record<string, string>) =>
      applyChange(site, {
        edits: [{ op: 'put', record: { id: 'n', kind: 'note', name: 'N', order: 'V', text: '', pictures } }],
      });
    expect(put({ quay: 'V' }).ok).toBe(true);
    expect(put({ waves: 'V' }).ok).toBe(false);
  });
});
