import { contrast, parseColor } from '@cove/core';
import { describe, expect, it } from '@jest/globals';
import sharp from 'sharp';
import { until, walkDemo } from './support/program.ts';

const demo = walkDemo();
const card = (name: string) => `[data-node=feature-${name}][data-part=box]`;

/** Labels of the rows of the outline, each with how deep it stands. */
const outline = () =>
  demo.walker.page.$$eval('[role=tree][aria-label="On this page"] [role=treeitem]', all =>
    all.map(it => `${it.getAttribute('aria-level')} ${(it.textContent ?? '').split(',')[0]}`),
  );
const outlined = (holds: (rows: string[]) => boolean, what: string) => until(outline, holds, what);
const picked = () =>
  demo.walker.page.$$eval('[role=tree][aria-label="On this page"] [aria-selected=true]', all =>
    all.map(it => (it.textContent ?? '').split(',')[0]),
  );
/** Whether some rows stand right after each other, in this order. */
const inTurn = (rows: string[], ...wanted: string[]) => rows.join('|').includes(wanted.join('|'));

describe('several things', () => {
  it('are picked on the page, set together, grouped and parted again', async () => {
    const { walker } = demo;
    await walker.open('pages/home');
    await walker.frame('Page');
    await walker.clickOnCanvas(card('cars'));
    await walker.page.keyboard.down('Shift');
    await walker.clickOnCanvas(card('bikes'));
    await walker.page.keyboard.up('Shift');
    await walker.says('2 selected');
    expect(await picked()).toEqual(['Cars', 'Bikes']);
    // What is picked stands in the address, and is picked again by whoever opens it.
    await walker.page.reload();
    await walker.says('2 selected');
    expect(await picked()).toEqual(['Cars', 'Bikes']);
    const canvas = await walker.frame('Page');
    await walker.find('opacity');
    await walker.type('Opacity', '0.5');
    await walker.styleIs(canvas, card('cars'), 'opacity', '0.5');
    await walker.styleIs(canvas, card('bikes'), 'opacity', '0.5');
    const differs = () =>
      walker.page.$$eval('li[data-property] [title*="other selected items"]', all =>
        all.map(it => it.closest('[data-property]')?.getAttribute('data-property')),
      );
    expect(await differs()).toEqual([]);
    expect(await walker.style(canvas, card('dogs'), 'opacity')).toBe('1');
    await walker.click('Undo');
    await walker.styleIs(canvas, card('bikes'), 'opacity', '1');
    expect(await walker.violations()).toEqual([]);
    await walker.click('Group', 'button');
    await outlined(rows => inTurn(rows, '3 Group', '4 Cars', '4 Bikes', '3 Dogs'), 'the two in a group');
    await walker.click('Ungroup', 'button');
    await outlined(rows => inTurn(rows, '3 Cars', '3 Bikes', '3 Dogs'), 'the group taken apart');
    await walker.click('Undo');
    await walker.click('Undo');
    await outlined(rows => inTurn(rows, '3 Cars', '3 Dogs', '3 Bikes'), 'as it was');
    await walker.kept();
    // Where another has something else, the bench says so.
    await walker.open('pages/home?node=feature-cars');
    await walker.frame('Page');
    await walker.page.keyboard.down('Shift');
    await walker.clickOnCanvas(card('dogs'));
    await walker.page.keyboard.up('Shift');
    await walker.find('fill');
    await until(differs, all => all.includes('backgroundColor'), 'Dogs has a fill of its own');
  });

  it('are walked, picked, grouped, moved, copied and deleted by keys alone', async () => {
    const { walker } = demo;
    await walker.open('pages/home');
    await walker.frame('Page');
    await (await walker.row('Cars')).focus();
    await walker.press('ArrowDown');
    await walker.row('Dogs', true);
    await walker.press('ArrowUp');
    await walker.row('Cars', true);
    await walker.press('Shift', 'ArrowDown');
    await until(picked, all => all.join() === 'Cars,Dogs', 'both are picked');
    await walker.press('Control', 'g');
    await outlined(rows => inTurn(rows, '3 Group', '4 Cars', '4 Dogs', '3 Bikes'), 'a group');
    await (await walker.row('Group', true)).focus();
    await walker.press('Alt', 'ArrowDown');
    await outlined(rows => inTurn(rows, '3 Bikes', '3 Group', '4 Cars', '4 Dogs'), 'the group moved down');
    await walker.press('Control', 'd');
    await outlined(rows => rows.filter(it => it === '4 Dogs').length === 2, 'a copy');
    await (await walker.row('Group', true)).focus();
    await walker.press('Delete');
    await outlined(rows => rows.filter(it => it === '4 Dogs').length === 1, 'the copy is gone');
    await walker.page.$$eval('[role=treeitem]', all =>
      all.find(it => it.nextElementSibling?.textContent?.startsWith('Cars'))?.setAttribute('data-found', ''),
    );
    await (await walker.page.$('[data-found]'))?.focus();
    await walker.press('ArrowUp');
    await walker.press('ArrowDown');
    await walker.press('Control', 'Shift', 'g');
    await outlined(rows => inTurn(rows, '3 Bikes', '3 Cars', '3 Dogs'), 'the group taken apart');
    for (let i = 0; i < 5; i++) await walker.press('Control', 'z');
    await outlined(rows => inTurn(rows, '3 Cars', '3 Dogs', '3 Bikes'), 'as it was');
    await walker.kept();
  });

  it('are dragged on the page, and into what all pages share with word of it', async () => {
    const { walker } = demo;
    await walker.open('pages/home');
    const canvas = await walker.frame('Page');
    await walker.clickOnCanvas(card('cars'));
    await walker.drag(await walker.place(card('cars')), await walker.place('[data-node=crossing-title]'));
    await outlined(rows => inTurn(rows, '2 Dogs') || rows.includes('2 Cars'), 'the card in the next section');
    await walker.click('Undo');
    await outlined(rows => inTurn(rows, '3 Cars', '3 Dogs', '3 Bikes'), 'as it was');
    // The end of a page and the footer are in view together.
    await walker.open('pages/about');
    const about = await walker.frame('Page', canvas);
    await about.evaluate(() => scrollTo(0, document.body.scrollHeight));
    await walker.clickOnCanvas('[data-node=about-go]');
    const end = await walker.place('[data-node=about-go]');
    await walker.drag(end, await walker.place('[data-area=footer] [class*=text-paragraph]'));
    await walker.says('it shows on every page that has it');
    await walker.open('pages/fares');
    const other = await walker.frame('Page', about);
    await until(
      () => other.$eval('[data-area=footer]', it => it.textContent),
      text => text?.includes('When we sail') === true,
      'the button in the footer of another page',
    );
    await walker.click('Undo');
    await walker.kept();
  });
});

describe('the looks of a thing', () => {
  it('are seen with its own words before one is chosen; a ready look becomes a variant of the guide', async () => {
    const { walker } = demo;
    await walker.open('pages/home?node=book');
    const canvas = await walker.frame('Page');
    await walker.click('Browse looks…');
    const looks = await (await walker.page.waitForSelector('iframe[title=Looks]'))?.contentFrame();
    if (!looks) throw new Error('no looks');
    const option = (label: string) => `[role=button][aria-label^="${label}"]`;
    await looks.waitForSelector(option('Underlined, ready'));
    expect(await looks.$eval(option('Underlined'), it => it.textContent)).toContain('Book a crossing');
    expect(await walker.violations()).toEqual([]);
    await looks.focus(option('Underlined'));
    await walker.press('Enter');
    const box = '[data-node=book][data-part=box]';
    await walker.styleIs(canvas, box, 'border-bottom-style', 'solid');
    await walker.styleIs(canvas, box, 'border-top-style', 'none');
    await until(
      () => looks.$eval(option('Underlined'), it => it.getAttribute('aria-pressed')),
      it => it === 'true',
      'the look that is worn',
    );
    // A preset is tried, and worn: it can be seen before.
    await looks.focus(option('Low tide'));
    await walker.press('Enter');
    await until(
      () => looks.$eval(option('Low tide'), it => it.getAttribute('aria-pressed')),
      it => it === 'true',
      'the preset that is worn',
    );
    await walker.click('Close');
    // The guide has it now, so it is offered to every button.
    await (await walker.row('Today’s sailings')).click();
    await walker.row('Today’s sailings', true);
    await walker.choose('Kind', 'Underlined');
    for (let i = 0; i < 3; i++) await walker.click('Undo');
    await walker.kept();
  });
});

describe('a section', () => {
  it('gets an edge in the ground of its neighbour, which follows when that takes another scheme', async () => {
    const { walker } = demo;
    await walker.open('pages/home');
    const canvas = await walker.frame('Page');
    await (await walker.row('The crossing')).click();
    await walker.click('Edges and layers behind it');
    await walker.choose('Top edge', 'wave');
    const edge = '[data-part=topEdge]';
    await walker.styleIs(canvas, edge, 'clip-path', it => it.startsWith('polygon('));
    const ground = () => walker.style(canvas, `${edge} > *`, 'background-color');
    const above = await ground();
    expect(above).toBe(await walker.style(canvas, '[data-area=main] > :nth-child(2)', 'background-color'));
    await (await walker.row('Before you sail')).click();
    await walker.choose('Scheme', 'Night run');
    await until(ground, it => it !== above, 'the edge in the new ground');
    expect(await ground()).toBe(
      await walker.style(canvas, '[data-area=main] > :nth-child(2)', 'background-color'),
    );
    await (await walker.row('The crossing')).click();
    await walker.choose('Top edge', 'slope');
    await walker.click('More of top edge');
    await walker.says('The crossing');
    await walker.find('height');
    await walker.type('Height', '5rem');
    await walker.styleIs(canvas, edge, 'height', '80px');
    expect(await walker.violations()).toEqual([]);
    for (let i = 0; i < 4; i++) await walker.click('Undo');
    await until(
      () => canvas.$(edge),
      it => it === null,
      'no edge',
    );
    await walker.kept();
  });

  it('has columns whose border is dragged, and moved by keys; the row keeps its width', async () => {
    const { walker } = demo;
    await walker.open('pages/home');
    const canvas = await walker.frame('Page');
    await walker.addSection('Words beside a picture');
    // A column of words, and a picture beside it, in two of a grid.
    const widths = () =>
      canvas.$$eval('main > :last-child [class*=arrangement] > *', all =>
        all.map(it => it.getBoundingClientRect().width),
      );
    await until(widths, all => all.length === 2, 'a pair');
    await canvas.$eval('main [class*=column-box]', it => {
      it.scrollIntoView({ block: 'center' });
      if (it instanceof HTMLElement) it.click();
    });
    const [before = 0, second = 0] = await widths();
    expect(Math.abs(before - second)).toBeLessThan(1);
    const handle = await walker.page.waitForSelector('[role=separator][aria-label^=Border]');
    const box = await handle?.boundingBox();
    if (!box) throw new Error('no border');
    const from = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    await walker.drag(from, { x: from.x + 50, y: from.y });
    const [wider = 0, other = 0] = await until(widths, ([it = 0]) => it > before + 40, 'a wider column');
    expect(Math.abs(wider + other - before - second)).toBeLessThan(2);
    await (await walker.page.waitForSelector('[role=separator][aria-label^=Border]'))?.focus();
    await walker.press('ArrowLeft');
    await until(widths, ([it = 0]) => it < wider - 8, 'a narrower column');
    expect(await walker.violations()).toEqual([]);
    for (let i = 0; i < 3; i++) await walker.click('Undo');
    await until(
      () => canvas.$('main [class*=column-box]'),
      it => it === null,
      'no columns',
    );
    await walker.kept();
  });

  it('is set aside, compared, and shown again', async () => {
    const { walker } = demo;
    await walker.open('pages/home');
    const canvas = await walker.frame('Page');
    await (await walker.row('Before you sail')).click();
    await walker.click('Versions set aside');
    await walker.click('Set this version aside');
    await walker.says('Versions set aside: 1');
    await walker.choose('Scheme', 'Night run');
    const ground = () => walker.style(canvas, '[data-area=main] > :nth-child(2)', 'background-color');
    const night = await until(ground, it => it !== 'rgba(0, 0, 0, 0)', 'a ground');
    await walker.click('Compare with Version 1');
    const aside = await walker.frame('Set aside: Home');
    const shown = await walker.frame('Shown now: Home');
    const second = '[data-area=main] > :nth-child(2)';
    expect(await walker.style(shown, second, 'background-color')).toBe(night);
    expect(await walker.style(aside, second, 'background-color')).not.toBe(night);
    expect(await walker.violations()).toEqual([]);
    await walker.click('Close');
    await walker.click('Show Version 1');
    await until(ground, it => it !== night, 'the other version');
    await walker.click('Keep only what shows');
    await walker.says('Set this version aside');
    await until(
      () => walker.text(),
      it => !it.includes('Versions set aside: 1'),
      'nothing set aside',
    );
    for (let i = 0; i < 4; i++) await walker.click('Undo');
    await walker.kept();
  });
});

describe('text over a picture', () => {
  it('is measured as the picture is cropped at each width, and one click lays the least tint over it', async () => {
    const { walker } = demo;
    await walker.open('pages/home');
    const canvas = await walker.frame('Page');
    await (await walker.row('The crossing')).click();
    await walker.row('The crossing', true);
    await walker.find('ground');
    await walker.type('Ground', 'picture(pic-early-boat)');
    await walker.clearSearch();
    await walker.says('Text over the picture');
    const told = () =>
      walker.page.$$eval('[aria-label="Text over the picture"] dd', all =>
        all.map(it => Number.parseFloat(it.textContent ?? '')),
      );
    const before = await until(told, all => all.length === 3, 'three widths are told');
    expect(Math.min(...before)).toBeLessThan(4.5);
    expect(await walker.violations()).toEqual([]);
    const [button] = await walker.page.$$('[aria-label="Text over the picture"] button');
    const share = Number(/\d+/.exec((await button?.evaluate(it => it.textContent)) ?? '')?.[0]);
    await button?.click();
    await until(told, all => all.length === 3 && Math.min(...all) >= 4.4, 'it can be read');
    await walker.styleIs(canvas, '[data-area=main] > :nth-child(3)', 'background-image', it =>
      it.includes('linear-gradient'),
    );
    // Chromium’s own pixels: with the words away, what is under the heading has at least the contrast that is told.
    const heading = '[data-node=crossing-title]';
    const { words, clip } = await canvas.$eval(heading, it => {
      it.scrollIntoView({ block: 'center' });
      const range = document.createRange();
      range.selectNodeContents(it);
      const { x, y, width, height } = range.getBoundingClientRect();
      const words = getComputedStyle(it).color;
      if (it instanceof HTMLElement) it.style.visibility = 'hidden';
      return { words, clip: { x, y, width, height } };
    });
    const from = await walker.onCanvas(clip.x, clip.y);
    const to = await walker.onCanvas(clip.x + clip.width, clip.y + clip.height);
    const text = parseColor(words);
    if (!text) throw new Error(words);
    const worstPixel = async () => {
      const png = await walker.page.screenshot({
        captureBeyondViewport: false,
        clip: { x: from.x, y: from.y, width: to.x - from.x, height: to.y - from.y },
      });
      const { data, info } = await sharp(png).raw().toBuffer({ resolveWithObject: true });
      let worst = 21;
      for (let i = 0; i < data.length; i += info.channels)
        worst = Math.min(
          worst,
          contrast(text, {
            space: 'srgb',
            coords: [(data[i] ?? 0) / 255, (data[i + 1] ?? 0) / 255, (data[i + 2] ?? 0) / 255],
            alpha: 1,
          }),
        );
      return worst;
    };
    // The words are gone only once the page has been painted without them.
    await until(worstPixel, worst => worst >= 4.4, 'what is painted has the contrast that is told');
    expect(share).toBeGreaterThan(0);
    await walker.click('Undo');
    await walker.click('Undo');
    await walker.kept();
  });
});

describe('the focus of a cropped picture', () => {
  it('is dragged on the picture itself, and moved by keys', async () => {
    const { walker } = demo;
    await walker.open('pages/home?node=welcome-picture&part=picture&find=focus');
    const canvas = await walker.frame('Page');
    const picture = '[data-node=welcome-picture][data-part=picture]';
    await walker.styleIs(canvas, picture, 'object-position', '50% 50%');
    await walker.click('Choose focus on the picture');
    const plane = await walker.page.waitForSelector('[role=slider][aria-label="Focus of the picture"]');
    const box = await (await plane?.evaluateHandle(it => it.parentElement))?.asElement()?.boundingBox();
    if (!box) throw new Error('no picture to drag on');
    const at = (x: number, y: number) => ({ x: box.x + box.width * x, y: box.y + box.height * y });
    await walker.drag(at(0.5, 0.5), at(0.2, 0.8));
    const dragged = await walker.styleIs(canvas, picture, 'object-position', it => it !== '50% 50%');
    expect(dragged).toMatch(/^(19|20|21)% (79|80|81)%$/);
    expect(await walker.violations()).toEqual([]);
    await plane?.focus();
    await walker.press('Shift', 'ArrowRight');
    const moved = Number.parseInt(dragged, 10) + 10;
    await walker.styleIs(canvas, picture, 'object-position', it => it.startsWith(`${moved}%`));
    await walker.press('Escape');
    await walker.kept();
    await walker.click('Undo');
    await walker.click('Undo');
    await walker.styleIs(canvas, picture, 'object-position', '50% 50%');
  });
});

describe('the page', () => {
  it('shows a sidebar where it is asked for, and goes without a header, until that is reverted', async () => {
    const { walker } = demo;
    await walker.open('pages/fares');
    const canvas = await walker.frame('Page');
    await walker.click('Page settings…', 'button');
    await walker.choose('Sidebar', 'Shared with other pages');
    await canvas.waitForSelector('[data-area=sidebar]');
    await walker.choose('Header', 'None');
    await until(
      () => canvas.$('[data-area=header]'),
      it => it === null,
      'no header',
    );
    expect(await walker.violations()).toEqual([]);
    await walker.click('Close');
    await outlined(rows => rows.includes('1 Sidebar') && !rows.includes('1 Header'), 'the outline');
    await walker.open('pages/home');
    const home = await walker.frame('Page');
    expect(await home.$('[data-area=sidebar]')).toBeNull();
    expect(await home.$('[data-area=header]')).not.toBeNull();
    await walker.open('pages/fares');
    const again = await walker.frame('Page', home);
    await walker.click('Page settings…', 'button');
    await walker.click('Revert the header to that of other pages');
    await again.waitForSelector('[data-area=header]');
    await walker.click('Revert the sidebar to that of other pages');
    await until(
      () => again.$('[data-area=sidebar]'),
      it => it === null,
      'no sidebar',
    );
    await walker.click('Close');
    await walker.kept();
  });

  it('has a header of its own, which is edited for it alone, and of another kind', async () => {
    const { walker } = demo;
    await walker.open('pages/fares');
    const canvas = await walker.frame('Page');
    const header = () => canvas.$eval('[data-area=header] > *', it => it.getAttribute('data-node'));
    const shared = await header();
    await walker.click('Page settings…', 'button');
    await walker.choose('Header', 'One of its own');
    await until(header, it => it !== shared, 'a header of its own');
    await walker.choose('Colours of the header', 'see-through, over the first section');
    const ground = () => canvas.$eval('[data-area=header] > *', it => getComputedStyle(it).backgroundColor);
    await until(ground, it => it === 'rgba(0, 0, 0, 0)', 'a header that is seen through');
    await walker.click('Close');
    await (await walker.row('Header')).click();
    await walker.choose('Scheme', 'Heather');
    await walker.open('pages/home');
    const home = await walker.frame('Page', canvas);
    expect(await home.$eval('[data-area=header] > *', it => it.getAttribute('data-node'))).toBe(shared);
    await walker.open('pages/fares');
    const again = await walker.frame('Page', home);
    await walker.click('Page settings…', 'button');
    await walker.click('Revert the kind of header to that of other pages');
    await walker.click('Revert the header to that of other pages');
    await until(
      () => again.$eval('[data-area=header] > *', it => it.getAttribute('data-node')),
      it => it === shared,
      'the header of all pages',
    );
    await walker.click('Close');
    await walker.kept();
  });

  it('is tried out: hover, links to other pages, and what leads away is told', async () => {
    const { walker } = demo;
    await walker.open('pages/home');
    const edited = await walker.frame('Page');
    await (await walker.row('Header')).click();
    await walker.choose('Scrolling', 'Stays in view');
    await walker.click('Try it', 'button');
    const tried = await walker.frame('Page', edited);
    // However far it is scrolled, the header is on top and can be used.
    await tried.evaluate(() => scrollTo(0, 9999));
    await until(
      () =>
        tried.evaluate(() => {
          const top = document.elementFromPoint(innerWidth / 2, 8);
          return scrollY > 80 && top?.closest('[data-area]')?.getAttribute('data-area');
        }),
      it => it === 'header',
      'the header on top',
    );
    await walker.clickOnCanvas('[data-area=header] [class*=navigationEntry-link][href^=fares]');
    await until(
      async () => walker.page.url(),
      url => url.includes('/pages/fares?try'),
      'the page of fares',
    );
    const fares = await walker.frame('Page', tried);
    expect(await fares.$eval('h1', it => it.textContent)).toBe('Fares');
    await walker.clickOnCanvas('a[href^="mailto:"]');
    await walker.says('On the published site it leads to mailto:');
    await walker.click('Trying it: stop', 'button');
    await walker.frame('Page');
    await walker.clickOnCanvas('[data-area=main] h1');
    await walker.says('Heading');
    await walker.click('Undo');
    await walker.kept();
  });

  it('no error was thrown in the browser', () => {
    expect(demo.errors).toEqual([]);
  });
});
