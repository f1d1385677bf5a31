import { describe, expect, it } from '@jest/globals';
import { publishSite } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type Edit } from '../src/site/index.ts';
import { demoSite } from './support/demo.ts';
import { publishedCss, withoutCss } from './support/published.ts';

const demo = demoSite();
const after = (...edits: Edit[]) => must(applyChange(demo, { edits })).site;
const set = (id: string, path: readonly [string, string], value: unknown): Edit => ({
  op: 'set',
  id,
  path,
  value,
});
const fileOf = (site: typeof demo, end: string): string => {
  const [name] = [...publishSite(site).files.keys()].filter(it => it.endsWith(end));
  return String(publishSite(site).files.get(name ?? '') ?? '');
};

describe('a disabled button', () => {
  const site = after(
    set('book', ['content', 'disabled'], 'yes'),
    set('default-button', ['styles', 'box:disabled/opacity'], { type: 'number', value: 0.35 }),
  );
  it('leads nowhere and says so to assistive technology (ARIA in HTML: a link without href)', () => {
    const page = withoutCss(fileOf(site, 'index.html'));
    const tag = /<a[^>]*aria-disabled="true"[^>]*>/.exec(page)?.[0] ?? '';
    expect(tag).toContain('role="link"');
    expect(tag).not.toContain('href');
    expect(withoutCss(fileOf(demo, 'index.html'))).not.toContain('aria-disabled');
  });
  it('has a look of its own in the guide', () => {
    expect(publishedCss(site)).toMatch(/:is\(:disabled,\[aria-disabled=true\]\)[^{]*\{[^}]*opacity:0?\.35/);
  });
});
