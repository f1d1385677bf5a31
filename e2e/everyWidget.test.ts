import { PHRASE_NAMES, phraseIn, publishSite, SETTINGS, type Site } from '@cove/core';
import { describe, expect, it } from '@jest/globals';
import { after, PAGES, SHOWN, withEveryWidget } from './support/everyWidget.ts';
import { publishedPages } from './support/published.ts';

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
  const site = withEveryWidget();
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
    // In the same words, since others are wider.
    const phrases = Object.fromEntries(PHRASE_NAMES.map(it => [it, phraseIn('en', it)]));
    await open(
      after(site, [
        { op: 'set', id: SETTINGS, path: ['language'], value: 'ar' },
        { op: 'set', id: SETTINGS, path: ['phrases'], value: phrases },
      ]),
      path,
    );
    const mirrored = await published.it.boxes('main');
    expect(mirrored.map(it => it.name)).toEqual(there.map(it => it.name));
    expect(await published.it.unmirrored(there, mirrored)).toEqual([]);
  });
});
