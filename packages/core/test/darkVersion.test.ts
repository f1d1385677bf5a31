import { describe, expect, it } from '@jest/globals';
import { darkened } from '../src/guide/darkVersion.ts';
import { newlyUnreadable } from '../src/reach/index.ts';
import { publishSite } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type Edit, SETTINGS, type Site } from '../src/site/index.ts';
import { demoSite } from './support/demo.ts';
import { cssIn, publishedCss } from './support/published.ts';

const demo = demoSite();
const after = (site: Site, ...edits: Edit[]): Site => must(applyChange(site, { edits })).site;
const wanted: Edit = { op: 'set', id: SETTINGS, path: ['darkVersion'], value: true };
const pair = (light: string, dark: string): Edit[] => [
  { op: 'set', id: light, path: ['counterpart'], value: dark },
  { op: 'set', id: dark, path: ['counterpart'], value: light },
];
const DARK = /@media \(prefers-color-scheme:dark\)\{(\.[\w-]+)\{([^}]*)\}\}/g;
const darkIn = (css: string) => [...css.matchAll(DARK)].map(it => [it[1], it[2] ?? ''] as const);
const declarationsOf = (css: string, selector: string): string =>
  css.match(new RegExp(`^\\${selector}\\{([^}]*)\\}`, 'm'))?.[1] ?? '';

describe('a dark version', () => {
  const paired = after(demo, ...pair('daymark', 'night-run'));

  it('is there only where the site wants it, of light schemes that have a dark counterpart', () => {
    expect(publishedCss(paired)).not.toContain('prefers-color-scheme');
    const alone = [...demo.kinds.scheme.values()].flatMap(({ id, counterpart }): Edit[] =>
      counterpart === undefined ? [] : [{ op: 'unset', id, path: ['counterpart'] }],
    );
    expect(publishedCss(after(demo, wanted, ...alone))).not.toContain('prefers-color-scheme');
    const home = publishSite(after(paired, wanted)).files.get('index.html') ?? '';
    expect(darkIn(cssIn(new Map([['index.html', home]]))).map(([selector]) => selector)).toEqual([
      '.s-daymark',
      '.s-fog-bank',
    ]);
  });
  it('says of the light scheme what holds for the dark one, and dark controls with it', () => {
    const home = publishSite(after(paired, wanted)).files.get('index.html') ?? '';
    const css = cssIn(new Map([['index.html', home]]));
    const [[, said = ''] = []] = darkIn(css);
    expect(said).toContain('color-scheme:dark');
    // The page shows Night run itself, so that both are there to be compared.
    expect(said).toBe(declarationsOf(css, '.s-night-run'));
  });
  it('is looked after as the site itself: what cannot be read in it alone is told as such', () => {
    expect(darkened(paired)).toBeNull();
    const dark = after(paired, wanted);
    const colours = darkened(dark)?.kinds.scheme.get('daymark');
    expect(colours?.roles).toBe(dark.kinds.scheme.get('night-run')?.roles);
    // A card of the demo has a colour of its own, which reads on light cards alone.
    const [found, ...others] = newlyUnreadable(paired, dark);
    expect(found).toMatchObject({ node: 'feature-dogs', page: 'home', dark: true });
    expect(others.every(it => it.dark)).toBe(true);
    expect(newlyUnreadable(dark, paired)).toEqual([]);
  });
  it('stands behind what wide-gamut screens are told, and tells them what it needs', () => {
    const vivid: Edit = {
      op: 'set',
      id: 'keel',
      path: ['value'],
      value: { type: 'color', value: { space: 'display-p3', coords: [0.1, 0.9, 0.2], alpha: 1 } },
    };
    const wide: Edit = { op: 'set', id: SETTINGS, path: ['wideColors'], value: true };
    const css = publishedCss(after(paired, wanted, wide, vivid));
    expect(css.lastIndexOf('@media (color-gamut:p3)')).toBeLessThan(
      css.lastIndexOf('(prefers-color-scheme:dark)'),
    );
  });
});
