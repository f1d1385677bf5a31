import { writeFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import { publishSite, renderPreview } from '../src/render/index.ts';
import { tolvane } from '../src/starters/index.ts';

describe('demo', () => {
  it('builds', () => {
    const site = tolvane(() => 'abcdef0123456789.webp');
    const out = publishSite(site);
    console.log([...out.files].map(([p, t]) => `${p} ${t.length}`).join('\n'), out.fonts);
    for (const [p, t] of out.files) writeFileSync(`/tmp/out-${p.replaceAll('/', '_')}`, t);
    const page = site.kinds.page.get('home');
    if (page)
      writeFileSync('/tmp/preview.html', renderPreview(site, page, { fonts: 'fonts/', assets: 'assets/' }));
    expect(out.files.size).toBeGreaterThan(4);
  });
});
