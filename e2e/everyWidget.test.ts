import { applyChange, type Edit, publishSite, SETTINGS, type Site } from '@cove/core';
import { tolvane } from '@cove/core/starters';
import { describe, expect, it } from '@jest/globals';
import { addWidget } from '../packages/core/src/commands/index.ts';
import { isItem, WIDGETS } from '../packages/core/src/widgets/index.ts';
import { publishedPages } from './support/published.ts';

const after = (site: Site, edits: readonly Edit[]): Site => {
  const applied = applyChange(site, { edits });
  if (!applied.ok) throw new Error(applied.problem.message);
  return applied.value.site;
};

const PAGES = ['begins', 'sample'] as const;
const SHOWN = WIDGETS.filter(it => !isItem(it));

/** The demo with two pages more, each with one of every widget in a section of its own: as it is at first, and as its sample. */
function withAll(): Site {
  let site = tolvane(() => 'abcdef0123456789.webp');
  const look = { variants: {}, wears: {}, styles: {} };
  for (const page of PAGES) {
    const shared = {
      id: page,
      kind: 'page',
      pageKind: 'page',
      path: page,
      title: page,
      description: '',
    } as const;
    const at = { parent: SETTINGS, order: 'zz' };
    site = after(site, [
      { op: 'put', record: { ...shared, at, scheme: null, rebind: {}, unlisted: true } },
      ...SHOWN.map(({ name }, i): Edit => {
        const order = `A${String(i).padStart(3, '0')}V`;
        const section = { id: `${page}-${name}`, kind: 'section', area: 'main', name } as const;
        return {
          op: 'put',
          record: { ...section, at: { parent: page, order }, scheme: null, rebind: {}, ...look },
        };
      }),
    ]);
    for (const { name, sample } of SHOWN) {
      const { edits, id } = addWidget(site, `${page}-${name}`, 0, name);
      site = after(site, edits);
      if (page === 'sample') site = after(site, [{ op: 'set', id, path: ['content'], value: { ...sample } }]);
    }
  }
  return site;
}

const published = publishedPages();
const open = (site: Site, path: string, scripts = true) =>
  published.it.open(publishSite(site).files, `${path}/`, scripts);
/** Words of the page that are laid out, in nothing that is skipped. */
const wordsSeen = () =>
  published.it.page.$$eval('main *', all =>
    all
      .filter(it => it.checkVisibility({ contentVisibilityAuto: false }))
      .flatMap(it => [...it.childNodes].filter(node => node.nodeType === Node.TEXT_NODE))
      .map(it => it.textContent?.trim() ?? '')
      .filter(it => it !== ''),
  );

describe.each(PAGES)('a published page with one of every widget, page %s', path => {
  const site = withAll();
  it.each([
    ['wide', 1280],
    ['narrow', 390],
  ])('has nothing that axe-core finds wrong, %s, and nothing that sticks out', async (_, width) => {
    await published.it.page.setViewport({ width, height: 900 });
    await open(site, path);
    expect(await published.it.page.$$eval('main > *', all => all.length)).toBe(SHOWN.length);
    expect(await published.it.violations('main')).toEqual([]);
    expect(await published.it.page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(
      true,
    );
    expect(published.it.errors).toEqual([]);
  });
  it('says the same where no script runs, and more where something would be closed', async () => {
    await published.it.page.setViewport({ width: 1280, height: 900 });
    await open(site, path);
    const there = await wordsSeen();
    await open(site, path, false);
    const without = new Set(await wordsSeen());
    expect(there.length).toBeGreaterThan(SHOWN.length);
    expect(there.filter(it => !without.has(it))).toEqual([]);
  });
  it('is its own mirror image in a language that is written leftward', async () => {
    await published.it.page.setViewport({ width: 1280, height: 900 });
    await open(site, path);
    const there = await published.it.boxes('main');
    await open(after(site, [{ op: 'set', id: SETTINGS, path: ['language'], value: 'ar' }]), path);
    const mirrored = await published.it.boxes('main');
    expect(mirrored.map(it => it.name)).toEqual(there.map(it => it.name));
    expect(await published.it.unmirrored(there, mirrored)).toEqual([]);
  });
});
