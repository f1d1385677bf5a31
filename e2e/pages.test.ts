import { rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from '@jest/globals';
import { PROGRAM, SITES, until, type Walker, walkDemo } from './support/program.ts';

const demo = walkDemo();
const { errors } = demo;
let walker: Walker;
beforeAll(() => {
  walker = demo.walker;
});

/** Rows of the tree of pages, each with how deep it stands. */
const rows = () =>
  walker.page.$$eval('[role=tree][aria-label=Pages] [role=treeitem]', all =>
    all.map(it => `${it.getAttribute('aria-level')} ${it.textContent}`),
  );
const row = async (title: string) => {
  const all = await walker.page.$$('[role=tree][aria-label=Pages] [role=treeitem]');
  for (const it of all) if ((await it.evaluate(element => element.textContent))?.startsWith(title)) return it;
  throw new Error(`no page ${title}`);
};
const titled = (row: string) => row.replace(/,.*$/, '');
const listed = async (wanted: string[]) =>
  until(
    async () => (await rows()).map(titled),
    all => all.join() === wanted.join(),
    `the pages ${wanted.join()}`,
  );
const alt = async (key: 'ArrowUp' | 'ArrowDown' | 'ArrowLeft' | 'ArrowRight') => {
  await walker.page.keyboard.down('Alt');
  await walker.page.keyboard.press(key);
  await walker.page.keyboard.up('Alt');
};

/** Opens what is said of the page, and waits until it is there. */
const about = async () => {
  await walker.click('Page settings…', 'button');
  await walker.page.waitForSelector('[role=dialog]');
};

/** Pages of the demo with those below them, in order, and how deep they stand. */
const FARES = ['1 Fares', '2 Booking'];
const ISLANDS = ['1 Islands', '2 Hesk', '2 Little Hesk', '2 Carrow', '2 Sant Bree'];
const REST = ['1 On board', '1 Questions', '2 Lost property'];

describe('the pages of a site', () => {
  it('are added, named and given addresses; one that is taken is refused with the reason', async () => {
    await walker.open('pages/home');
    await walker.frame('Page');
    await walker.addPage('Empty page');
    await listed(['1 Home', '1 Sailings', ...FARES, ...ISLANDS, ...REST, '1 About', '1 New page']);
    await walker.page.waitForSelector('iframe[title=Page]');
    await about();
    await walker.type('Title', 'Left luggage');
    await listed(['1 Home', '1 Sailings', ...FARES, ...ISLANDS, ...REST, '1 About', '1 Left luggage']);
    await walker.type('Address', 'Fares');
    await walker.says('Fares has the address fares already.');
    await walker.type('Address', 'Lost & found');
    await walker.says('/lost-found/');
    expect(await walker.violations()).toEqual([]);
    await walker.click('Close');
    await walker.kept();
  });

  it('are nested and put in order by keys, and by drag', async () => {
    await (await row('Left luggage')).focus();
    await alt('ArrowRight');
    await listed(['1 Home', '1 Sailings', ...FARES, ...ISLANDS, ...REST, '1 About', '2 Left luggage']);
    await alt('ArrowLeft');
    await listed(['1 Home', '1 Sailings', ...FARES, ...ISLANDS, ...REST, '1 About', '1 Left luggage']);
    await alt('ArrowUp');
    await listed(['1 Home', '1 Sailings', ...FARES, ...ISLANDS, ...REST, '1 Left luggage', '1 About']);
    const centre = async (title: string) => {
      const box = await (await row(title)).boundingBox();
      if (!box) throw new Error(title);
      return { x: box.x + 60, y: box.y + box.height / 2 };
    };
    // Both are in view of the tree, which has followed the focus to its end.
    await (await row('Home')).evaluate(it => it.scrollIntoView({ block: 'nearest' }));
    const from = await centre('Booking');
    const to = await centre('Sailings');
    await walker.drag(from, to, () =>
      walker.page.waitForFunction(() =>
        document.querySelector('[data-drop=inside]')?.textContent?.includes('Sailings'),
      ),
    );
    await listed([
      '1 Home',
      '1 Sailings',
      '2 Booking',
      '1 Fares',
      ...ISLANDS,
      ...REST,
      '1 Left luggage',
      '1 About',
    ]);
    await walker.kept();
  });

  it('are copied whole, and go with word of what goes with them', async () => {
    await walker.open('pages/fares');
    await walker.frame('Page');
    await about();
    await walker.click('Duplicate', 'button');
    await listed([
      '1 Home',
      '1 Sailings',
      '2 Booking',
      '1 Fares',
      '1 Fares copy',
      ...ISLANDS,
      ...REST,
      '1 Left luggage',
      '1 About',
    ]);
    const canvas = await walker.frame('Page');
    expect(await canvas.$eval('h1', it => it.textContent)).toBe('Fares');
    await about();
    await walker.click('Delete…');
    await walker.says('things would go');
    await walker.click('Delete Fares copy');
    await listed([
      '1 Home',
      '1 Sailings',
      '2 Booking',
      '1 Fares',
      ...ISLANDS,
      ...REST,
      '1 Left luggage',
      '1 About',
    ]);
    await walker.kept();
  });

  it('are switched off, out of navigation and out of search, and another one becomes the home page', async () => {
    await walker.open('pages/fares');
    await walker.frame('Page');
    await about();
    await walker.click('Off', 'checkbox');
    await walker.click('Close');
    await walker.open('pages/aboard');
    const canvas = await walker.frame('Page');
    await until(
      () => canvas.$$eval('[data-area=header] nav a', all => all.map(it => it.textContent).join()),
      text =>
        text ===
        'Home,Sailings,Booking,Islands,Hesk,Little Hesk,Carrow,Sant Bree,On board,Questions,Lost property,Left luggage,About',
      'Fares left the menu',
    );
    await about();
    await walker.click('Not indexed', 'checkbox');
    await walker.click('Make it the home page');
    await until(rows, all => all.some(it => it.startsWith('1 On board') && it.endsWith('home')), 'home');
    await walker.says('The home page');
    await walker.click('Close');
    await walker.click('Site settings', 'button');
    await walker.type('Site address', 'https://tolvane.example/');
    await walker.click('Close');
    await walker.kept();
    await walker.open('release');
    await walker.click('Publish');
    await walker.page.waitForSelector('iframe[title="Release 1"]', { timeout: 15_000 });
    const get = async (path: string) => {
      const response = await fetch(`${SITES}/tolvane/${path}`);
      return { status: response.status, text: await response.text() };
    };
    const home = await get('');
    expect(home.text).toContain('<meta name="robots" content="noindex">');
    expect(home.text).toContain('<link rel="canonical" href="https://tolvane.example/">');
    expect((await get('fares/')).status).toBe(404);
    expect((await get('home/')).status).toBe(200);
    const map = await get('sitemap.xml');
    expect(map.text).toContain('https://tolvane.example/home/');
    expect(map.text).not.toMatch(/\/fares\/<|<loc>https:\/\/tolvane\.example\/<\/loc>/);
  });

  it('share settings, in one place that every station leads to', async () => {
    await walker.open('guide');
    await walker.frame('Specimen');
    await walker.click('Site settings', 'button');
    await walker.says('They hold for all pages of the site.');
    expect(await walker.violations()).toEqual([]);
    await walker.type('Narrow up to, in px', '4000');
    await walker.says('Enter a whole number from 320 to 2000.');
    await walker.type('Narrow up to, in px', '1800');
    await walker.says('Narrow ends below where medium ends.');
    await walker.type('Narrow up to, in px', '500');
    await walker.type('Name of the site', 'Tolvane Boats');
    await until(
      () => walker.page.title(),
      it => it === 'Tolvane Boats – Cove Thread',
      'the new name',
    );
    await walker.choose('Language of the site', 'العربية');
    await walker.says('Its pages are read from right to left.');
    await walker.click('Edit Footer', 'button');
    const canvas = await walker.frame('Page');
    expect(await canvas.$eval('html', it => it.dir)).toBe('rtl');
    for (let i = 0; i < 3; i++) await walker.click('Undo', 'button');
    await until(
      () => walker.page.title(),
      it => it === 'Tolvane Ferries – Cove Thread',
      'as it was',
    );
    await walker.kept();
  });

  it('are begun from a ready one, seen in the site’s own guide before it is taken', async () => {
    await walker.open('pages/home');
    await walker.frame('Page');
    await walker.click('New page');
    await walker.findToAdd('page', 'Questions');
    await until(
      () => walker.pictured('h2'),
      all => all.includes('Questions people ask'),
      'the page in the picture',
    );
    expect(await walker.violations()).toEqual([]);
    await walker.click('Add page', 'button');
    await until(rows, all => all.filter(it => titled(it) === '1 Questions').length === 2, 'a page more');
    const canvas = await walker.frame('Page');
    await until(
      () => canvas.$$eval('main > [data-node]', all => all.length),
      n => n === 4,
      'four sections',
    );
    await walker.click('Undo');
    await until(
      rows,
      all => all.filter(it => titled(it) === '1 Questions').length === 1,
      'undone in one step',
    );
    await walker.kept();
  });

  it('get ready sections, seen in the gap in which they are to stand', async () => {
    await walker.open('pages/home');
    const canvas = await walker.frame('Page');
    const before = await canvas.$$eval('main > [data-node]', all => all.length);
    await walker.click('Section', 'button');
    await walker.click('Features', 'button');
    await until(
      () => walker.pictured('h2'),
      all => all.includes('What you can count on'),
      'the sections in pictures',
    );
    expect(await walker.violations()).toEqual([]);
    await walker.findToAdd('section', 'Cards with signs');
    expect(await canvas.$$eval('main > [data-node]', all => all.length)).toBe(before);
    await walker.click('Add section', 'button');
    await until(
      () => canvas.$$eval('main > [data-node]', all => all.length),
      n => n === before + 1,
      'a section more',
    );
    expect(await canvas.$eval('main > :last-child h2', it => it.textContent)).toBe('What you can count on');
    await walker.click('Undo');
    await walker.kept();
  });

  it('get a ready footer in place of the one that all pages share, and one more below it', async () => {
    await walker.open('pages/fares');
    const canvas = await walker.frame('Page');
    const footers = () =>
      canvas.$$eval('[data-area=footer] > [data-node]', all => all.map(it => it.textContent ?? ''));
    const [before = ''] = await footers();
    await walker.click('Section', 'button');
    await walker.findToAdd('section', 'Three columns');
    await walker.says('The footer, on every page that has one');
    await walker.click('Add section', 'button');
    await until(footers, all => all.length === 1 && /Where to find us/.test(all[0] ?? ''), 'another footer');
    await walker.addSection('One line', { below: true });
    await until(footers, all => all.length === 2 && /© Tolvane Ferries/.test(all[1] ?? ''), 'one more below');
    await walker.open('pages/home');
    const home = await walker.frame('Page');
    await until(
      () => home.$$eval('[data-area=footer] > [data-node]', all => all.length),
      count => count === 2,
      'on every page',
    );
    await walker.click('Undo');
    await walker.click('Undo');
    await until(
      () => home.$$eval('[data-area=footer] > [data-node]', all => all.map(it => it.textContent)),
      all => all.length === 1 && all[0]?.slice(0, 40) === before.slice(0, 40),
      'as it was',
    );
    await walker.kept();
  });

  it('hold things that are copied with the system’s keys, pasted, and taken back', async () => {
    await walker.page.browserContext().overridePermissions(PROGRAM, ['clipboard-read', 'clipboard-write']);
    await walker.open('pages/home?node=feature-dogs');
    const canvas = await walker.frame('Page');
    const texts = () =>
      canvas.$$eval('[data-node=before-row] > *', all => all.map(it => it.querySelector('h3')?.textContent));
    await until(texts, all => all.join() === 'Cars,Dogs,Bikes', 'three cards');
    await walker.page.evaluate(() => document.body.focus());
    const system = async (key: 'c' | 'x' | 'v') => {
      await walker.page.keyboard.down('Control');
      await walker.page.keyboard.press(key);
      await walker.page.keyboard.up('Control');
    };
    await system('c');
    await walker.says('Dogs is copied.');
    await system('v');
    await until(texts, all => all.join() === 'Cars,Dogs,Dogs,Bikes', 'a copy after it');
    await system('x');
    await until(texts, all => all.join() === 'Cars,Dogs,Bikes', 'cut');
    await system('v');
    await until(texts, all => all.length === 4, 'pasted again');
    for (let i = 0; i < 3; i++) await walker.click('Undo');
    await until(texts, all => all.join() === 'Cars,Dogs,Bikes', 'as before');
    await walker.kept();
  });

  it('hold things whose sides are set together, and that are hidden at a width, told who still gets them', async () => {
    await walker.open('pages/home?node=feature-dogs&part=box');
    const canvas = await walker.frame('Page');
    const dogs = '[data-node=feature-dogs]';
    await walker.find('padding');
    await walker.type('Padding', '40px');
    for (const side of ['top', 'right', 'bottom', 'left'])
      await walker.styleIs(canvas, dogs, `padding-${side}`, '40px');
    await walker.click('Undo');
    await walker.styleIs(canvas, dogs, 'padding-right', it => it !== '40px');
    await walker.clearSearch();
    await walker.choose('Shown', 'Not when narrow');
    await walker.says('search engines still read it');
    await walker.styleIs(canvas, dogs, 'display', 'flex');
    await walker.click('Narrow', 'radio');
    await walker.styleIs(canvas, dogs, 'display', 'none');
    expect(await walker.violations()).toEqual([]);
    await walker.click('Undo');
    await walker.kept();
  });

  it('rebind a token for themselves alone; what follows it follows, and the thread says who did it', async () => {
    await walker.open('pages/islands');
    const canvas = await walker.frame('Page');
    await about();
    await walker.choose('Rebind a token on this page', 'color.neutral.fog');
    await walker.type('color.neutral.fog on this page', 'rgb(250 240 220)');
    await walker.click('Close');
    const card = '[data-area=main] [class*=feature-card-box]';
    await walker.styleIs(canvas, card, 'background-color', 'rgb(250, 240, 220)');
    await walker.open('pages/home');
    const home = await walker.frame('Page');
    await walker.styleIs(home, card, 'background-color', it => it !== 'rgb(250, 240, 220)');
    await walker.open('pages/islands');
    await walker.frame('Page');
    await walker.clickOnCanvas(card);
    await walker.click('Thread of Fill: where its value comes from');
    await walker.says('rebound by Islands');
    await about();
    await walker.click('Let color.neutral.fog be as everywhere');
    await walker.click('Close');
    await walker.styleIs(
      await walker.frame('Page'),
      card,
      'background-color',
      it => it !== 'rgb(250, 240, 220)',
    );
    await walker.kept();
  });

  it('are seen at all widths side by side; a click in one sets for that width', async () => {
    await walker.open('pages/home');
    await walker.frame('Page');
    await walker.click('All three', 'radio');
    const narrow = await walker.frame('Page, narrow');
    const wide = await walker.frame('Page, wide');
    const dogs = '[data-node=feature-dogs]';
    await narrow.$eval(dogs, it => it instanceof HTMLElement && it.click());
    await walker.says('Feature, card');
    await walker.find('opacity');
    await walker.type('Opacity', '0.5');
    await walker.styleIs(narrow, dogs, 'opacity', '0.5');
    expect(await walker.style(wide, dogs, 'opacity')).toBe('1');
    expect(await walker.violations()).toEqual([]);
    await walker.click('Undo');
    await walker.styleIs(narrow, dogs, 'opacity', '1');
    await walker.kept();
  });

  it('have links to places in them, and to files of one’s own', async () => {
    await walker.open('pages/home?node=book');
    await walker.frame('Page');
    await walker.openContent();
    await walker.choose('Link', 'Fares › Prices');
    const sheet = join(tmpdir(), `cove-fares-${process.pid}.pdf`);
    writeFileSync(sheet, '%PDF-1.7\n% Six shells a crossing\n');
    const input = await walker.page.waitForSelector('input[aria-label="File to link to"]');
    if (!input) throw new Error('no field');
    await (await input.toElement('input')).uploadFile(sheet);
    const chosen = () =>
      walker.page.$$eval('select', all =>
        all.flatMap(it => it.selectedOptions[0]?.textContent ?? []).filter(it => it.startsWith('File: ')),
      );
    await until(chosen, all => all.length === 1, 'the file is chosen');
    rmSync(sheet);
    expect(await walker.violations()).toEqual([]);
    // One step for the link to the place, one for the file, one for the link to it.
    for (let i = 0; i < 3; i++) await walker.click('Undo');
    await until(chosen, all => all.length === 0, 'no file');
    await walker.kept();
  });

  it('and everything else are found from anywhere, by name or an everyday word', async () => {
    await walker.open('release');
    await walker.page.waitForSelector('nav[aria-label=Stations]');
    const find = async (words: string) => {
      await walker.page.keyboard.down('Control');
      await walker.page.keyboard.press('k');
      await walker.page.keyboard.up('Control');
      await walker.page.waitForSelector('[cmdk-input]');
      await walker.page.keyboard.type(words);
    };
    const first = () =>
      walker.page.$eval('[cmdk-item][data-selected=true]', it => it.textContent).catch(() => null);
    await find('space around');
    await until(first, text => text?.startsWith('Padding') === true, 'padding is found');
    expect(await walker.violations()).toEqual([]);
    await walker.page.keyboard.press('Escape');
    await find('heather');
    await until(first, text => text?.includes('Heather') === true, 'the swatch or scheme');
    await walker.page.keyboard.press('Escape');
    await find('Forty minutes');
    await until(first, text => text?.startsWith('Forty minutes') === true, 'a heading on a page');
    await walker.page.keyboard.press('Enter');
    await walker.frame('Page');
    await walker.says('The crossing›Heading');
    // What can be done with what is picked is found, too, and a property is set on it.
    await find('duplicate selection');
    await until(first, text => text?.startsWith('Duplicate the selection') === true, 'an act of the station');
    await walker.page.keyboard.press('Enter');
    const page = await walker.frame('Page');
    const headings = () =>
      page.$$eval('main h2', all => all.filter(it => it.textContent?.startsWith('Forty')).length);
    await until(headings, count => count === 2, 'a copy');
    await walker.click('Undo');
    await until(headings, count => count === 1, 'no copy');
    await walker.page.goto(`${PROGRAM}/sites/tolvane/pages/home?node=crossing-title`);
    await walker.frame('Page');
    await find('opacity');
    await until(first, text => text?.startsWith('Opacity') === true, 'a property');
    await walker.page.keyboard.press('Enter');
    await walker.page.waitForSelector('[aria-label=Found] [data-property=opacity]');
    expect(walker.page.url()).toContain('/pages/home?node=crossing-title');
    await walker.page.evaluate(() => document.body.focus());
    await walker.page.keyboard.press('?');
    await walker.says('Paste, also from another site');
    expect(await walker.violations()).toEqual([]);
    await walker.click('Close');
  });

  it('no error was thrown in the browser', () => {
    expect(errors).toEqual([]);
  });
});
