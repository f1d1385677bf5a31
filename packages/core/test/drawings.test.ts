import { describe, expect, it } from '@jest/globals';
import { nodeScope } from '../src/cascade/index.ts';
import { replaceTokens } from '../src/commands/index.ts';
import { ICON_NAMES, ICON_SETS } from '../src/icons/index.ts';
import { usersOf, usesOf } from '../src/reach/index.ts';
import { printHtml, renderNode } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type DrawingRecord, type Edit, type Site } from '../src/site/index.ts';
import { demoSite } from './support/demo.ts';
import { publishedCss } from './support/published.ts';

const demo = demoSite();
const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const mark = (more: Partial<DrawingRecord> = {}): Edit => ({
  op: 'put',
  record: {
    id: 'knot-mark',
    kind: 'drawing',
    name: 'Knot',
    order: 'V',
    use: 'mark',
    width: 30,
    height: 10,
    paths: [
      { d: 'M0 5h30', fill: null, stroke: { type: 'token', token: 'rope' }, width: 2 },
      { d: 'M10 0l5 10l5-10z', fill: { type: 'keyword', value: 'currentcolor' }, stroke: null, width: 0 },
    ],
    ...more,
  },
});
const html = (site: Site, node: string): string => {
  const scope = nodeScope(site, 'home', node)?.parent?.scope;
  const record = site.kinds.widget.get(node);
  if (!scope || !record) throw new Error(node);
  return printHtml(renderNode(site, scope, record, { marks: false, links: false, assetUrl: () => '' }));
};

describe('icon sets', () => {
  it('are at least two that draw the same names, in path data only', () => {
    expect(ICON_SETS.length).toBeGreaterThanOrEqual(2);
    expect(ICON_NAMES.length).toBeGreaterThanOrEqual(40);
    for (const { icons } of ICON_SETS)
      for (const name of ICON_NAMES) {
        expect(icons[name]).toMatch(/^M[MmLlHhVvCcSsQqTtAaZz0-9eE+\-.,\s]+$/);
        // A second shape begins where it says, not where the first one ended.
        expect(icons[name]).not.toMatch(/^m/);
      }
  });
  it('are swapped everywhere at once', () => {
    const iconed = after(demo, [{ op: 'set', id: 'book', path: ['content', 'icon'], value: 'ticket' }]);
    const swapped = after(iconed, [{ op: 'set', id: 'settings', path: ['iconSet'], value: 'chart' }]);
    const [first, second] = ICON_SETS;
    expect(html(iconed, 'book')).toContain(`d="${first?.icons.ticket}"`);
    expect(html(swapped, 'book')).toContain(`d="${second?.icons.ticket}"`);
    expect(
      applyChange(iconed, { edits: [{ op: 'set', id: 'settings', path: ['iconSet'], value: 'other' }] }),
    ).toMatchObject({ ok: false });
  });
});

describe('drawings of the brand’s own', () => {
  const marked = after(demo, [
    mark(),
    { op: 'set', id: 'crossing-line', path: ['content', 'mark'], value: 'knot-mark' },
  ]);
  it('stand in dividers, in their swatches and in the colour of the place', () => {
    const text = html(marked, 'crossing-line');
    expect(text).toContain('viewBox="0 0 30 10"');
    expect(text).toContain('stroke="var(--t-rope)"');
    expect(text).toContain('fill="currentcolor"');
    expect(text).toContain('role="separator"');
  });
  it('are recoloured when the swatch is another, and name it among its users', () => {
    expect(usersOf(marked, 'rope')).toContain('knot-mark');
    const replaced = must(replaceTokens(marked, ['rope'], 'hull'));
    const site = after(marked, replaced);
    expect(html(site, 'crossing-line')).toContain('var(--t-hull)');
  });
  it('bring the custom properties of their swatches into the published sheet', () => {
    const lonely = after(demo, [
      mark({ paths: [{ d: 'M0 0h9', fill: null, stroke: { type: 'token', token: 'squall' }, width: 1 }] }),
      { op: 'set', id: 'crossing-line', path: ['content', 'mark'], value: 'knot-mark' },
    ]);
    expect(publishedCss(lonely)).toContain('--t-squall:');
  });
  it('cannot go while something draws them', () => {
    expect(applyChange(marked, { edits: [{ op: 'remove', id: 'knot-mark' }] })).toMatchObject({
      ok: false,
      problem: { code: 'in-use' },
    });
    expect(usesOf(marked, 'knot-mark')).toEqual([]);
  });
  it.each([
    ['markup in path data', { d: '"><script>alert(1)</script>' }],
    ['an address as a paint', { fill: { type: 'keyword', value: 'url' } }],
    ['a width that is none', { width: Number.NaN }],
  ])('with %s are refused', (_, path) => {
    const paths = [{ d: 'M0 0h1', fill: null, stroke: null, width: 0, ...path }];
    // What arrives from outside has no type.
    const edit = JSON.parse(
      JSON.stringify(mark({})).replace(/"paths":\[.*\]/, `"paths":${JSON.stringify(paths)}`),
    ) as Edit;
    expect(applyChange(demo, { edits: [edit] })).toMatchObject({ ok: false, problem: { path: 'paths' } });
  });
  it('that are not there cannot be drawn', () => {
    const edits: Edit[] = [{ op: 'set', id: 'book', path: ['content', 'icon'], value: 'no-such-mark' }];
    expect(applyChange(demo, { edits })).toMatchObject({ ok: false, problem: { code: 'dangling' } });
  });
});
