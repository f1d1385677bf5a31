import { describe, expect, it } from '@jest/globals';
import { promote } from '../src/commands/index.ts';
import { printEdgeShape } from '../src/properties/shapes.ts';
import { publishSite, sectionBeside, sectionsIn } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type Edit, type Site, settingsOf } from '../src/site/index.ts';
import { keyword, role, type Value } from '../src/values/index.ts';
import { demoSite } from './support/demo.ts';
import { publishedCss, withoutCss } from './support/published.ts';

const demo = demoSite();
const after = (site: Site, ...edits: Edit[]): Site => must(applyChange(site, { edits })).site;
const home = (site: Site): string => withoutCss(publishSite(site).files.get('index.html') ?? '');
const sheets = publishedCss;
const sections = sectionsIn(demo, 'home', 'main').map(it => it.id);
const [first = '', second = '', third = ''] = sections;
const set = (id: string, slot: string, value: Value): Edit => ({
  op: 'set',
  id,
  path: ['styles', slot],
  value,
});
/** Classes of the box inside an edge, which stands for the neighbour. */
const inEdge = (html: string, edge: string): string =>
  new RegExp(`section-${edge}[^>]*><div class="([^"]*)"`).exec(html)?.[1] ?? '';

describe('an edge', () => {
  const waved = after(demo, set(second, 'topEdge/edgeShape', keyword('wave')));

  it('is in no page until somebody gives it a shape', () => {
    expect(home(demo)).not.toContain('section-topEdge');
    expect(home(waved)).toContain('section-topEdge');
    expect(sheets(waved)).toContain('clip-path:polygon(0% 0%, 100% 0%, 100% 50%');
  });
  it('wears what the section above wears, and follows when that takes another scheme', () => {
    const other = [...demo.kinds.scheme.keys()].at(-1) ?? '';
    const changed = after(waved, { op: 'set', id: first, path: ['scheme'], value: other });
    expect(inEdge(home(changed), 'topEdge').split(' ')).toEqual(
      expect.arrayContaining(['section-box', `s-${other}`]),
    );
  });
  it('shows the neighbour’s ground also where that wears no scheme of its own, and the section does', () => {
    const onThird = after(demo, set(third, 'topEdge/edgeShape', keyword('slope')));
    expect(demo.kinds.section.get(second)?.scheme).toBeNull();
    expect(demo.kinds.section.get(third)?.scheme).not.toBeNull();
    expect(inEdge(home(onThird), 'topEdge').split(' ')).toContain(`s-${settingsOf(demo).defaultScheme}`);
  });
  it('follows when sections change places', () => {
    const tinted = after(
      waved,
      set(first, 'box/backgroundColor', role('line')),
      set(third, 'box/backgroundColor', role('accent')),
    );
    expect(inEdge(home(tinted), 'topEdge')).toContain(`o-${first}`);
    const order = (id: string) => demo.kinds.section.get(id)?.at ?? { parent: 'home', order: 'V' };
    const swapped = after(
      tinted,
      { op: 'set', id: first, path: ['at'], value: { ...order(third) } },
      { op: 'set', id: third, path: ['at'], value: { ...order(first) } },
    );
    expect(inEdge(home(swapped), 'topEdge')).toContain(`o-${third}`);
  });
  it('at the end of the page shows the footer, and of a page without one the page', () => {
    const last = sections.at(-1) ?? '';
    const bottom = after(demo, set(last, 'bottomEdge/edgeShape', keyword('slope')));
    expect(sectionBeside(demo, 'home', last, 'below')?.area).toBe('footer');
    expect(inEdge(home(bottom), 'bottomEdge')).toContain('footer-box');
    const footers = sectionsIn(demo, 'home', 'footer').map((it): Edit => ({ op: 'remove', id: it.id }));
    expect(inEdge(home(after(bottom, ...footers)), 'bottomEdge')).toContain('page-box');
  });
  it.each(['slope', 'slope-back', 'point', 'wave', 'notch'])('%s keeps within its strip', name => {
    const numbers =
      printEdgeShape(name)
        .match(/-?[\d.]+(?=%)/g)
        ?.map(Number) ?? [];
    expect(numbers.length).toBeGreaterThanOrEqual(6);
    expect(Math.min(...numbers)).toBe(0);
    expect(Math.max(...numbers)).toBe(100);
  });
});

describe('layers behind a section', () => {
  const layered = after(
    demo,
    set(second, 'firstLayer/backgroundImage', {
      type: 'pattern',
      drawing: 'swell',
      ink: role('line'),
      tint: null,
    }),
    set(second, 'thirdLayer/backgroundImage', {
      type: 'pattern',
      drawing: 'swell',
      ink: role('accent'),
      tint: null,
    }),
    set(second, 'thirdLayer/rotate', { type: 'number', value: 12 }),
    set(second, 'thirdLayer@narrow/opacity', { type: 'number', value: 0.4 }),
  );
  it('stand in the page in their order, out of the way of readers, and only those in use', () => {
    const names = home(layered).match(/section-(\w+Layer)[^>]*aria-hidden="true"/g) ?? [];
    expect(names.map(it => /section-(\w+)/.exec(it)?.[1])).toEqual(['firstLayer', 'thirdLayer']);
  });
  it('are turned, placed and seen through, by width', () => {
    expect(sheets(layered)).toContain('rotate:calc(12 * 1deg)');
    expect(sheets(layered)).toMatch(/width<=\d+px\)\{[^}]*thirdLayer[^}]*opacity:0\.4/);
  });
  it('may keep a speed of their own, which runs with the view and for nobody who asks for less motion', () => {
    const lagging = after(
      layered,
      set(second, 'firstLayer/animationName', keyword('lag')),
      set(second, 'firstLayer/animationTimeline', keyword('view')),
    );
    expect(sheets(lagging)).toContain('@keyframes lag{');
    expect(sheets(lagging)).toContain('animation-timeline:view()');
    expect(sheets(lagging)).toContain(
      '@media (prefers-reduced-motion:reduce){*{transition-duration:0s!important;animation-name:none!important}}',
    );
  });
  it('go into a rule for all sections, but into no preset', () => {
    const slots = ['firstLayer/backgroundImage'];
    expect(promote(layered, second, slots, { type: 'default', place: null }).ok).toBe(true);
    const preset = [...demo.kinds.preset.keys()][0] ?? '';
    expect(promote(layered, second, slots, { type: 'preset', preset })).toMatchObject({
      ok: false,
      problem: { code: 'nothing-set' },
    });
  });
});
