import { describe, expect, it } from '@jest/globals';
import { contributionsTo, nodeScope, threadOf, winner } from '../src/cascade/index.ts';
import { setSlots } from '../src/commands/index.ts';
import { impactOf, usersOf } from '../src/reach/index.ts';
import { publishSite } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type Edit, type Site } from '../src/site/index.ts';
import type { Value } from '../src/values/index.ts';
import { demoSite } from './support/demo.ts';
import { cssIn, publishedCss } from './support/published.ts';

const PICTURE = 'pic-early-boat';
const demo = demoSite();
const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const focused = (x: number, y: number): Edit => ({
  op: 'set',
  id: PICTURE,
  path: ['focus'],
  value: { x, y },
});
const at = (x: number, y: number): Value => ({
  type: 'position',
  x: { value: x, unit: '%' },
  y: { value: y, unit: '%' },
});
const shown = (site: Site) => {
  const scope = nodeScope(site, 'home', 'welcome-picture');
  if (!scope) throw new Error('no picture');
  return {
    scope,
    best: winner(contributionsTo(site, scope, 'picture').get('objectPosition'), 'rest', 'wide'),
  };
};

describe('the focus of a picture', () => {
  const site = after(demo, [focused(30, 80)]);

  it('is brought along wherever the picture is shown, and followed from there to the picture', () => {
    const { scope, best } = shown(site);
    expect(best).toMatchObject({ origin: 'picture', record: PICTURE, value: at(30, 80) });
    const thread = threadOf(site, scope, {
      part: 'picture',
      state: 'rest',
      width: 'wide',
      property: 'objectPosition',
    });
    expect(thread).toMatchObject({ css: '30% 80%', from: { origin: 'picture', record: PICTURE } });
    expect(publishedCss(site)).toContain(`.k-${PICTURE}-picture){object-position:30% 80%}`);
    expect(publishedCss(demo)).not.toContain('.k-');
  });
  it('is printed for the pages alone that show it', () => {
    const { files } = publishSite(site);
    const users = usersOf(site, PICTURE);
    expect(users.length).toBeGreaterThan(1);
    const fares = files.get('fares/index.html') ?? '';
    expect(fares.includes(`k-${PICTURE}`)).toBe(false);
    expect(cssIn(new Map([['fares/index.html', fares]]))).not.toContain('.k-');
  });
  it('gives way to what the guide says, and that to what is set where it stands', () => {
    const guide = after(
      site,
      setSlots(site, { type: 'default', element: 'picture' }, { 'picture/objectPosition': at(0, 0) }),
    );
    expect(shown(guide).best).toMatchObject({ origin: 'default', value: at(0, 0) });
    const own = after(
      guide,
      setSlots(guide, { type: 'record', id: 'welcome-picture' }, { 'picture/objectPosition': at(100, 5) }),
    );
    expect(shown(own).best).toMatchObject({ origin: 'own', value: at(100, 5) });
  });
  it('alters, as its impact says, every place that shows it as it is', () => {
    const { properties, pages } = must(impactOf(site, [focused(10, 10)]));
    const [focus, ...others] = properties;
    expect([focus?.property, others]).toEqual(['objectPosition', []]);
    expect(must(impactOf(demo, [focused(10, 10)])).properties).toEqual(properties);
    const widgets = usersOf(site, PICTURE).filter(it => site.kinds.widget.has(it));
    expect(focus?.count).toBe(widgets.length);
    expect(pages.map(it => it.page)).toContain('home');
    expect(must(impactOf(site, [{ op: 'set', id: PICTURE, path: ['name'], value: 'Boat' }])).nodes).toBe(0);
  });
  it.each([{ x: 101, y: 0 }, { x: 0.5, y: 0 }, { x: 0 }, { x: 0, y: 0, z: 0 }, '50 50', null])(
    'is not %j',
    value => {
      expect(applyChange(demo, { edits: [{ op: 'set', id: PICTURE, path: ['focus'], value }] }).ok).toBe(
        false,
      );
    },
  );
});
