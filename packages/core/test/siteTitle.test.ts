import { describe, expect, it } from '@jest/globals';
import { publishSite } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type Edit, SETTINGS, type Site } from '../src/site/index.ts';
import { demoSite } from './support/demo.ts';

const demo = demoSite();
const after = (site: Site, ...edits: Edit[]): Site => must(applyChange(site, { edits })).site;
const setting = (field: string, value: string): Edit => ({ op: 'set', id: SETTINGS, path: [field], value });
const shows = (value: string): Edit => ({ op: 'set', id: 'head-title', path: ['content', 'shows'], value });
const on = (scheme: string): Edit => ({ op: 'set', id: 'head', path: ['scheme'], value: scheme });
const title = (site: Site): string =>
  /<(a|span) class="siteTitle-link.*?<\/\1>/s.exec(publishSite(site).files.get('index.html') ?? '')?.[0] ??
  '';
const fileOf = (site: Site, id: string): string => site.kinds.asset.get(id)?.file ?? '-';

describe('the title of a site', () => {
  // Of each picture of the demo the file is another one, so that one can tell which is shown.
  const files = after(
    demo,
    { op: 'set', id: 'pic-hesk', path: ['file'], value: '1111111111111111.webp' },
    { op: 'set', id: 'pic-carrow', path: ['file'], value: '2222222222222222.webp' },
  );
  const site = after(files, setting('logo', 'pic-hesk'), setting('darkLogo', 'pic-carrow'));

  it('is the name where there is no logo, and the logo with the name as its words where there is one', () => {
    expect(title(demo)).toMatch(/>Tolvane Ferries<\/a>$/);
    expect(title(site)).toContain(fileOf(site, 'pic-hesk'));
    expect(title(site)).toContain('alt="Tolvane Ferries"');
    expect(title(site)).not.toContain('>Tolvane Ferries');
    expect(publishSite(site).assets.map(it => it.id)).toContain('pic-hesk');
  });
  it('has the logo for what it stands on', () => {
    expect(title(after(site, on('night-run')))).toContain(fileOf(site, 'pic-carrow'));
    expect(title(after(site, on('fog-bank')))).toContain(fileOf(site, 'pic-hesk'));
    const one = after(site, on('night-run'), { op: 'unset', id: SETTINGS, path: ['darkLogo'] });
    expect(title(one)).toContain(fileOf(site, 'pic-hesk'));
  });
  it('shows both, the name alone, or nothing, which screen readers read and keys pass by', () => {
    const both = title(after(site, shows('the logo and the name')));
    expect(both).toMatch(/<img[^>]*alt=""[^>]*>Tolvane Ferries<\/a>$/);
    expect(title(after(site, shows('the name')))).not.toContain('<img');
    const unseen = title(after(site, shows('nothing')));
    expect(unseen).toMatch(/^<span class="siteTitle-link[^>]*><span data-unseen>Tolvane Ferries<\/span>/);
  });
  it('keeps a logo that is used from being deleted', () => {
    expect(applyChange(site, { edits: [{ op: 'remove', id: 'pic-hesk' }] }).ok).toBe(false);
  });
});
