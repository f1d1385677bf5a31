import { describe, expect, it } from '@jest/globals';
import axe from 'axe-core';
import { PROGRAM, until, walkDemo } from './support/program.ts';

const demo = walkDemo();

const effectSays = (words: RegExp) =>
  until(
    () => demo.walker.effect(),
    text => words.test(text),
    `the effect should say ${words}`,
  );
async function write(field: string, value: string): Promise<void> {
  const { walker } = demo;
  await walker.page.locator(`::-p-aria([name="${field}"][role="combobox"])`).click();
  await walker.press('Control', 'a');
  await walker.page.keyboard.type(value);
  await walker.press('Enter');
}

/** Nodes of a page whose contrast axe-core reports: something outside the project that knows nothing of how we reckon. */
async function poorByAxe(path: string): Promise<string[]> {
  const { walker } = demo;
  const page = await walker.page.browser().newPage();
  await page.setBypassCSP(true);
  await page.goto(`${PROGRAM}/api/sites/tolvane/pages/${path}/preview`);
  await page.evaluate(axe.source);
  const found = await page.evaluate(async () => {
    const { violations } = await (globalThis as unknown as { axe: typeof import('axe-core') }).axe.run({
      runOnly: ['color-contrast'],
    });
    return violations
      .flatMap(it => it.nodes)
      .map(it =>
        document.querySelector(it.target.join(' '))?.closest('[data-node]')?.getAttribute('data-node'),
      )
      .filter(it => it != null);
  });
  await page.close();
  return [...new Set(found)].sort();
}

describe('a change of the guide', () => {
  it('says at once what it alters and what can no longer be read, as axe-core finds it too', async () => {
    const { walker } = demo;
    await walker.open('guide?element=heading');
    await walker.frame('Specimen');
    expect(await poorByAxe('home')).toEqual([]);
    await write('Text colour', '#dcdcdc');
    await effectSays(/Set text colour: \d+ items on 13 pages look different/);
    await effectSays(/\d+ texts on pages can no longer be read/);
    expect(await walker.violations()).toEqual([]);
    await walker.kept();
    const poor = await poorByAxe('home');
    expect(poor.length).toBeGreaterThan(0);
    // Each of those is what the bench says of it, and what the worker told.
    for (const node of poor) {
      await walker.open(`pages/home?node=${node}`);
      await walker.says('Contrast here');
      const line = await walker.page.waitForSelector('section[aria-label=Contrast]');
      expect(await line?.evaluate(it => it.textContent)).toMatch(/needs (3|4\.5)/);
    }
    await walker.open('guide');
    await walker.frame('Specimen');
    await walker.click('Undo', 'button');
    await walker.kept();
    expect(await poorByAxe('home')).toEqual([]);
  });

  it('can be undone where that is told, and leads to what it made unreadable', async () => {
    const { walker } = demo;
    await walker.open('guide?element=heading');
    await walker.frame('Specimen');
    await write('Text colour', '#dcdcdc');
    await effectSays(/can no longer be read/);
    await walker.click('Undo this change');
    await until(
      () => walker.effect(),
      text => text === '',
      'nothing to tell',
    );
    await walker.kept();
    await write('Text colour', '#dcdcdc');
    await effectSays(/can no longer be read/);
    const [name = ''] = await walker.page.$$eval('[aria-label="Effect of the last change"] li button', all =>
      all.map(it => it.textContent ?? ''),
    );
    await walker.click(name, 'button');
    await walker.frame('Page');
    await walker.says('Contrast here');
    await walker.click('Undo', 'button');
    await walker.kept();
  });
});

/** Texts of the home page that stand out of their box or of one around it, as Chromium reports it by itself. */
async function standingOut(viewport: number, around: boolean): Promise<string[]> {
  const page = await demo.walker.page.browser().newPage();
  await page.setBypassCSP(true);
  await page.setViewport({ width: viewport, height: 800 });
  await page.goto(`${PROGRAM}/api/sites/tolvane/pages/home/preview`);
  await page.addStyleTag({
    content: ':root{overflow-wrap:normal!important}.section-box{content-visibility:visible!important}',
  });
  await page.evaluate(() => document.fonts.ready.then(() => undefined));
  const found = await page.$$eval(
    'main :is(h1, h2, h3, p, a)',
    (all, alsoAround) =>
      all.flatMap(it => {
        for (let at: Element | null = it; at && at !== document.body; at = at.parentElement) {
          if (at.clientWidth > 0 && at.scrollWidth > at.clientWidth) return [it.textContent.trim()];
          if (!alsoAround) break;
        }
        return [];
      }),
    around,
  );
  await page.close();
  return found;
}

describe('a scale that grows too fast', () => {
  it('tells which texts no longer fit, and at which width, as Chromium lays them out', async () => {
    const { walker } = demo;
    await walker.open('guide');
    await walker.frame('Specimen');
    expect(await standingOut(320, false)).toEqual([]);
    await walker.type('Ratio', '1.7');
    await effectSays(/\d+ texts no longer fit/);
    await effectSays(/wider than its place when medium, at 601 px/);
    expect(await walker.violations()).toEqual([]);
    await walker.page.locator('[aria-label="Effect of the last change"] ::-p-text(more)').click();
    const told = await walker.page.$$eval('[aria-label="Effect of the last change"] li', lines =>
      lines.map(it => ({
        name: it.querySelector('button')?.textContent ?? '',
        page: /^(.+): wider/.exec(it.querySelector('span')?.textContent ?? '')?.[1] ?? '',
        viewport: Number(/at (\d+) px/.exec(it.textContent)?.[1]),
      })),
    );
    await walker.kept();
    const home = told.filter(it => it.page === 'Home');
    expect(home.length).toBeGreaterThan(3);
    for (const viewport of new Set(home.map(it => it.viewport))) {
      const seen = await standingOut(viewport, true);
      for (const { name } of home.filter(it => it.viewport === viewport)) expect(seen).toContain(name);
    }
    for (const name of await standingOut(320, false)) expect(told.map(it => it.name)).toContain(name);
    await walker.click('Undo', 'button');
    await walker.kept();
    await effectSays(/^$/);
  });
});

describe('a fill set on a page', () => {
  it('shows the texts on it, and the nearest fill on which all can be read', async () => {
    const { walker } = demo;
    await walker.open('pages/home?node=welcome');
    const page = await walker.frame('Page');
    await write('Fill', '#eeddff');
    await walker.says('texts on this fill, the lowest');
    await walker.kept();
    expect(await poorByAxe('home')).toEqual(expect.arrayContaining(['welcome-title', 'welcome-lead']));
    const fix = await until(
      () =>
        walker.page.$$eval('section[aria-label=Contrast] button', all => all.map(it => it.textContent ?? '')),
      all => all.length === 1,
      'one fix',
    );
    await walker.click(fix[0] ?? '', 'button');
    await walker.styleIs(page, '[data-node=welcome]', 'background-color', it => it !== 'rgb(238, 221, 255)');
    await walker.kept();
    expect(await poorByAxe('home')).toEqual([]);
    await walker.click('Undo', 'button');
    await walker.click('Undo', 'button');
    await walker.kept();
    expect(demo.errors).toEqual([]);
  });
});
