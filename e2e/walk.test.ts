import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { Browser, Frame } from 'puppeteer-core';
import { launchBrowser } from '../scripts/lib/browser.mjs';
import { PROGRAM, SITES, until, Walker } from './support/program.ts';

let browser: Browser;
let walker: Walker;
const errors: string[] = [];
beforeAll(async () => {
  browser = await launchBrowser();
  const page = await browser.newPage();
  page.on('pageerror', error => errors.push(String(error)));
  page.on('console', message => {
    if (message.type() === 'error' && !message.text().includes('401')) errors.push(message.text());
  });
  walker = new Walker(page);
  await walker.enterDemo();
});
afterAll(() => browser.close());

const pressOn = async (frame: Frame, selector: string, key: 'Enter' | 'ArrowRight' | 'ArrowDown') => {
  await frame.$eval(selector, element => element instanceof HTMLElement && element.focus());
  await walker.page.keyboard.press(key);
};

describe('the guide', () => {
  let sheet: Frame;
  const button = '[data-row=button][data-column=daymark] .button-box';
  beforeAll(async () => {
    sheet = await walker.frame('Specimen');
  });

  it('shows every element on every scheme, then across widths and states', async () => {
    const rows = await sheet.$$eval('.name', names => names.map(name => name.firstChild?.textContent));
    for (const row of [
      'Heading 1',
      'Heading 2',
      'Heading 3',
      'Text',
      'Button',
      'Outlined',
      'Picture',
      'Feature',
      'Divider',
    ])
      expect(rows).toContain(row);
    expect(
      await sheet.$$eval('[role=columnheader]', heads =>
        heads.map(head => head.firstChild?.textContent).filter(Boolean),
      ),
    ).toEqual(['Daymark', 'Fog bank', 'Heather', 'Night run']);
    await walker.click('Widths', 'radio');
    await until(
      () => sheet.$$eval('[role=columnheader]', heads => heads.length),
      n => n === 4,
      'three widths and the corner',
    );
    expect(
      await walker.style(sheet, '[data-row="heading.look-h1"][data-column=narrow] h2', 'font-size'),
    ).not.toBe(await walker.style(sheet, '[data-row="heading.look-h1"][data-column=wide] h2', 'font-size'));
    await walker.click('States', 'radio');
    await sheet.waitForSelector('[data-column=hover]');
    expect(
      await walker.style(sheet, '[data-row=button][data-column=hover] .button-box', 'background-color'),
    ).not.toBe(
      await walker.style(sheet, '[data-row=button][data-column=rest] .button-box', 'background-color'),
    );
    await walker.click('Schemes', 'radio');
    await sheet.waitForSelector(button);
  });

  it.each([
    // Outside sRGB: as it is mapped and painted (CSS Color 4, section 13.2).
    ['oklch(0.5 0.1 200)', 'rgb(0, 116, 122)'],
    ['rgb(10 120 90)', 'rgb(10, 120, 90)'],
    ['hsl(200 60% 40%)', 'rgb(41, 122, 163)'],
    ['rebeccapurple', 'rgb(102, 51, 153)'],
    ['#6f3b8c', 'rgb(111, 59, 140)'],
  ])('a swatch typed as %s changes all that depends on it', async (typed, shown) => {
    await walker.click('Swatch Rope');
    await walker.type('Value', typed);
    await walker.styleIs(sheet, button, 'background-color', shown);
    await walker.page.keyboard.press('Escape');
  });

  it('a wrong value keeps what was typed, says what was expected, and changes nothing', async () => {
    await walker.click('Swatch Rope');
    await walker.type('Value', 'mauvish');
    await walker.says('a colour: #2a3d66, rgb(), hsl(), oklch() or a name');
    expect(
      await walker.page.$eval('[aria-invalid=true]', element =>
        element instanceof HTMLInputElement ? element.value : '',
      ),
    ).toBe('mauvish');
    expect(await walker.style(sheet, button, 'background-color')).toBe('rgb(111, 59, 140)');
    await walker.page.keyboard.press('Escape');
    await walker.page.keyboard.press('Escape');
  });

  it('a swatch dragged changes things under the hand, also one derived from it', async () => {
    const derived = () => walker.style(sheet, '.cell', '--t-rope-deep');
    const before = await derived();
    await walker.click('Swatch Rope');
    const slider = await walker.page.waitForSelector('::-p-aria([name="Lightness"][role="slider"])');
    const box = await slider?.boundingBox();
    if (!box) throw new Error('no slider');
    await walker.page.mouse.move(box.x + box.width * 0.45, box.y + box.height / 2);
    await walker.page.mouse.down();
    await walker.page.mouse.move(box.x + box.width * 0.7, box.y + box.height / 2, { steps: 4 });
    await until(
      derived,
      value => value !== before,
      'the derived swatch should follow while the slider moves',
    );
    await walker.page.mouse.up();
    await walker.page.keyboard.press('Escape');
    await walker.kept();
    await walker.click('Undo');
    await until(derived, value => value === before, 'undo should bring the derived swatch back');
  });

  it('a voice, the base size and the ratio change the whole sheet', async () => {
    const heading = '[data-row="heading.look-h1"][data-column=daymark] h2';
    await walker.click('Choose families…');
    await walker.choose('For the voice', 'Heading');
    await walker.click('Fraunces', 'button');
    await walker.click('Done');
    await walker.styleIs(sheet, heading, 'font-family', value => value.startsWith('Fraunces'));
    const size = await walker.style(sheet, heading, 'font-size');
    await walker.type('Ratio', '1.4');
    const larger = await walker.styleIs(sheet, heading, 'font-size', value => value !== size);
    expect(Number.parseFloat(larger)).toBeGreaterThan(Number.parseFloat(size));
    await walker.type('Base size', '20px');
    await walker.styleIs(sheet, heading, 'font-size', value => value !== larger);
    for (let i = 0; i < 3; i++) await walker.click('Undo');
    await walker.styleIs(sheet, heading, 'font-size', size);
  });

  it('a scheme and a text style are edited beside the sheet', async () => {
    await walker.click('Scheme Night run', 'button');
    await walker.choose('Main button fill', 'Foam');
    await walker.styleIs(
      sheet,
      '[data-row=button][data-column=night-run] .button-box',
      'background-color',
      'rgb(245, 251, 255)',
    );
    await walker.click('Undo');
    await walker.click('Text style Lead', 'button');
    await walker.type('Size', '30px');
    await walker.styleIs(sheet, '[data-row="text.look-lead"][data-column=daymark] p', 'font-size', '30px');
    await walker.click('Undo');
  });

  it('a click on a cell opens the bench, where a default is set for all', async () => {
    await walker.page.goto(`${PROGRAM}/sites/tolvane/guide`);
    sheet = await walker.frame('Specimen');
    await pressOn(sheet, '[data-row=button][data-column=daymark]', 'Enter');
    await walker.says('Elements');
    await walker.type('Padding left', '3rem');
    await walker.styleIs(sheet, button, 'padding-left', '48px');
    await walker.kept();
  });

  it('has nothing that axe-core finds wrong', async () => {
    expect(await walker.violations()).toEqual([]);
  });
});

describe('overrides', () => {
  it('a value set by hand becomes the rule for its kind on this scheme, its impact told first', async () => {
    await walker.open('pages/home?node=feature-dogs&part=box');
    const other = await walker.frame('Page');
    const fill = (id: string) => walker.style(other, `[data-node=${id}]`, 'background-color');
    expect(await fill('feature-cars')).not.toBe(await fill('feature-dogs'));
    await walker.click('Knot of Fill: where its value comes from');
    await walker.page.locator('div.border-l ::-p-text(Promote…)').click();
    await walker.choose('It becomes the rule for', 'The variant Card');
    await walker.says('would look different');
    expect(await walker.violations()).toEqual([]);
    await walker.click('Promote', 'button');
    await walker.styleIs(other, '[data-node=feature-cars]', 'background-color', 'rgb(201, 213, 227)');
    await walker.click('Undo');
    await walker.styleIs(
      other,
      '[data-node=feature-cars]',
      'background-color',
      it => it !== 'rgb(201, 213, 227)',
    );
    await walker.kept();
  });

  it('a look is carried to the others in the row, and its overrides are listed and reset together', async () => {
    await walker.open('pages/home?node=feature-dogs&part=box');
    const other = await walker.frame('Page');
    await walker.click('Carry look…');
    // What it would alter is told above the button, and moves it.
    await walker.says('would look different');
    await walker.click('Carry to 2');
    for (const id of ['feature-cars', 'feature-bikes'])
      await walker.styleIs(other, `[data-node=${id}]`, 'background-color', 'rgb(201, 213, 227)');
    await walker.click('Overrides…');
    const rows = () => walker.page.$$eval('ul[aria-label=Overrides] li', all => all.length);
    const before = await until(rows, n => n >= 9, 'three of each');
    expect(await walker.violations()).toEqual([]);
    await walker.click('Reset Fill of Cars');
    await until(rows, n => n === before - 1, 'one less');
    await walker.click('Fill of Bikes', 'checkbox');
    await walker.click('Fill of Dogs', 'checkbox');
    await walker.click('Reset 2');
    await until(rows, n => n === before - 3, 'two less');
    await walker.click('Close');
    for (let i = 0; i < 3; i++) await walker.click('Undo');
    await walker.kept();
    await walker.styleIs(
      other,
      '[data-node=feature-cars]',
      'background-color',
      it => it !== 'rgb(201, 213, 227)',
    );
  });
});

describe('the pages', () => {
  let canvas: Frame;
  beforeAll(async () => {
    await walker.open('pages/home');
    canvas = await walker.frame('Page');
  });
  const pick = async (label: string) => {
    await (await walker.row(label)).click();
    await walker.row(label, true);
  };
  const rows = () =>
    walker.page.$$eval('[role=treeitem]', items => items.map(item => item.textContent ?? ''));
  const undo = () => walker.click('Undo');

  it('open at wide, medium and narrow', async () => {
    for (const [name, width] of [
      ['Medium', 780],
      ['Narrow', 360],
      ['Wide', 1280],
    ] as const) {
      await walker.click(name, 'radio');
      await until(
        () => canvas.evaluate(() => innerWidth),
        value => value === width,
        `the page should be ${width} px wide`,
      );
    }
  });

  it('are dragged to any width, by pointer and by keys', async () => {
    const width = () => canvas.evaluate(() => innerWidth);
    const handle = await walker.page.waitForSelector('button[aria-label^="Width of the page"]');
    const box = await handle?.boundingBox();
    if (!box) throw new Error('no handle');
    await walker.page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await walker.page.mouse.down();
    await walker.page.mouse.move(box.x - 60, box.y + box.height / 2, { steps: 5 });
    await walker.page.mouse.up();
    // The last of the moves may still be on its way when the button is up.
    let before = 0;
    const dragged = await until(
      width,
      it => {
        const settled = it === before;
        before = it;
        return settled && it < 1250;
      },
      'the page should be narrower, and stay so',
    );
    await handle?.focus();
    await walker.page.keyboard.press('ArrowLeft');
    await until(width, it => it === dragged - 20, 'a key should take 20 px');
    await walker.click('Wide', 'radio');
    await until(width, it => it === 1280, 'the page should be wide again');
  });

  it('a section takes another scheme and padding step', async () => {
    await pick('Before you sail, Section');
    await walker.choose('Scheme', 'Night run');
    await walker.styleIs(canvas, '[data-node=before]', 'background-color', 'rgb(20, 28, 48)');
    await walker.choose('Padding', 'Roomy');
    await walker.styleIs(canvas, '[data-node=before]', 'padding-top', '112px');
    await undo();
    await undo();
    await walker.styleIs(canvas, '[data-node=before]', 'background-color', 'rgb(245, 251, 255)');
  });

  it('a value set on a widget is a knot; its thread tells what won and what it hides, and leads there', async () => {
    await pick('Book a crossing, Button');
    await walker.type('Padding left', '5rem');
    await walker.styleIs(canvas, '[data-node=book]', 'padding-left', '80px');
    expect((await rows()).find(it => it.startsWith('Book a crossing'))).toContain('1 knot');
    await walker.click('Knot of Padding left: where its value comes from');
    await walker.says('own: Book a crossing');
    await walker.says('variant Large');
    await walker.says('a more specific origin wins');
    await walker.click('Reset');
    await walker.styleIs(canvas, '[data-node=book]', 'padding-left', value => value !== '80px');
  });

  it('CSS that the guide does not follow is typed, shown as such, and taken away', async () => {
    await pick('Today’s sailings, Button');
    await walker.find('contain: layout');
    await walker.says('contain could reach outside the element');
    await walker.find('background-blend-mode: multiplied');
    await walker.says('not multiplied.');
    await walker.find('padding-left: 3rem; background-blend-mode: multiply');
    await walker.click('Set padding left, background-blend-mode');
    await walker.styleIs(canvas, '[data-node=today]', 'background-blend-mode', 'multiply');
    await walker.styleIs(canvas, '[data-node=today]', 'padding-left', '48px');
    await walker.says('Not followed');
    await walker.click('Remove background-blend-mode');
    await walker.styleIs(canvas, '[data-node=today]', 'background-blend-mode', 'normal');
    await undo();
    await walker.styleIs(canvas, '[data-node=today]', 'background-blend-mode', 'multiply');
    await walker.click('Reset all');
    await walker.styleIs(canvas, '[data-node=today]', 'background-blend-mode', 'normal');
  });

  it('a state chosen on the bench shows in the canvas, and is set for itself', async () => {
    await pick('Today’s sailings, Button');
    await walker.choose('State', 'Hover');
    await walker.styleIs(canvas, '[data-node=today]', 'background-color', 'rgb(42, 58, 95)');
    await walker.find('see-through');
    await walker.type('Opacity', '0.5');
    await walker.styleIs(canvas, '[data-node=today]', 'opacity', '0.5');
    await walker.choose('State', 'Rest');
    await walker.styleIs(canvas, '[data-node=today]', 'opacity', '1');
    await undo();
  });

  it('words are edited where they stand', async () => {
    await walker.clickOnCanvas('[data-node=welcome-title]');
    await walker.says('Home›Welcome');
    const before = await canvas.$eval('[data-node=welcome-title]', it => it.textContent);
    await walker.clickOnCanvas('[data-node=welcome-title]', 2);
    await walker.page.keyboard.down('Control');
    await walker.page.keyboard.press('a');
    await walker.page.keyboard.up('Control');
    await walker.page.keyboard.type('The late boat is fine <b>too</b>');
    await walker.page.keyboard.press('Enter');
    await until(
      () => canvas.$eval('[data-node=welcome-title]', it => it.innerHTML),
      text => text === 'The late boat is fine &lt;b&gt;too&lt;/b&gt;',
      'the title should be what was typed, as text',
    );
    await undo();
    await until(
      () => canvas.$eval('[data-node=welcome-title]', it => it.textContent),
      text => text === before,
      'undo should bring the words back',
    );
  });

  it('running text is written where it stands, with emphasis and links from the bench', async () => {
    await walker.clickOnCanvas('[data-node=crossing-small]');
    await walker.row('Times are those', true);
    await walker.clickOnCanvas('[data-node=crossing-small][data-part=paragraph]', 2);
    await canvas.waitForSelector('[data-node=crossing-small][contenteditable=true]:focus');
    await walker.says('Edited on the page.');
    await walker.page.keyboard.down('Control');
    await walker.page.keyboard.press('a');
    await walker.page.keyboard.up('Control');
    await walker.page.keyboard.type('Tides permitting');
    await walker.page.keyboard.down('Control');
    await walker.page.keyboard.press('a');
    await walker.page.keyboard.up('Control');
    await walker.click('Strong', 'button');
    await walker.choose('Link the selected words', 'Fares');
    const html = () => canvas.$eval('[data-node=crossing-small][data-part=paragraph]', it => it.innerHTML);
    await until(
      html,
      it => /<a [^>]*data-part="link"[^>]*><strong>Tides permitting<\/strong><\/a>/.test(it),
      'the words should be strong and a link',
    );
    await walker.choose('Change the link', 'Somewhere else…');
    await walker.type('Address of the link', 'javascript:alert(1)');
    await walker.says('Enter an address that begins with https://');
    await walker.page.keyboard.press('Escape');
    while ((await html()) !== 'Times are those of the outer harbour.') {
      await undo();
      await new Promise(resolve => setTimeout(resolve, 50));
    }
    // Something else is picked, and the words are words of the page again.
    await pick('Before you sail, Section');
    await until(
      () => canvas.$$eval('[contenteditable]', all => all.length),
      count => count === 0,
      'nothing is written any more',
    );
  });

  it('lists and callouts are written where they stand, in the looks they have; steps back are the program’s', async () => {
    await walker.open('pages/fares');
    const fares = await walker.frame('Page');
    const writing = async (selector: string) => {
      await fares.waitForSelector(`${selector}:focus`);
      // For 200 ms the editor takes a jump to the beginning for the browser's doing, and jumps back.
      await new Promise(resolve => setTimeout(resolve, 250));
    };
    const texts = (selector: string) => fares.$$eval(selector, all => all.map(it => it.textContent));
    // Keys of a hand come far enough apart for the browser to have moved the cursor between them.
    const cursorAt = (offset: number) =>
      until(
        () => fares.evaluate(() => document.getSelection()?.focusOffset),
        at => at === offset,
        `the cursor at ${offset}`,
      );
    const entries = '[data-node=fares-with] > li';
    const items = `${entries} > [data-part=words]`;
    const list = await texts(items);
    const looks = () =>
      fares.$$eval(entries, all => all.map(it => `${it.className} ${getComputedStyle(it).fontSize}`));
    const [look] = await looks();
    const bag = '[data-node=fares-with-bag] > [data-part=words]';
    await walker.clickOnCanvas(bag);
    await walker.clickOnCanvas(bag, 2);
    await writing('[data-part=words][contenteditable=true]');
    await walker.press('End');
    await cursorAt(list[1]?.length ?? 0);
    await walker.press('Enter');
    await until(
      () => texts(items),
      all => all.length === list.length + 1 && all[2] === '',
      'an entry more, which is written in',
    );
    await writing('[data-part=words][contenteditable=true]');
    await walker.page.keyboard.type('A bike');
    await until(
      () => texts(items),
      all => all[2] === 'A bike',
      'its words',
    );
    expect(new Set(await looks())).toEqual(new Set([look]));
    await walker.press('Control', 'z');
    await until(
      () => texts(items),
      all => all[2] === '',
      'one step back',
    );
    await walker.press('Control', 'y');
    await until(
      () => texts(items),
      all => all[2] === 'A bike',
      'and forth',
    );
    await walker.press('Escape');
    await until(
      () => fares.$$('[contenteditable]').then(all => all.length),
      n => n === 0,
      'ended',
    );
    // Beside a title, which is not among the words.
    const box = '[data-node=fares-callout][data-part=box]';
    const heights = () => fares.$eval(box, it => Math.round(it.getBoundingClientRect().height));
    const height = await heights();
    await walker.clickOnCanvas('[data-node=fares-callout][data-part=paragraph]');
    await walker.clickOnCanvas('[data-node=fares-callout][data-part=paragraph]', 2);
    await writing('div[contenteditable=true]');
    expect(await heights()).toBe(height);
    await walker.press('Home');
    await cursorAt(0);
    await walker.page.keyboard.type('Please: ');
    await walker.press('Control', 'b');
    await walker.page.keyboard.type('now ');
    await walker.press('Escape');
    await until(
      () => fares.$eval(`${box} p`, it => it.innerHTML),
      html => html.startsWith('Please: <strong>now </strong>Lights off'),
      'the words and their emphasis',
    );
    expect(await fares.$eval(box, it => it.children.length)).toBe(2);
    await walker.kept();
    // The words beside the title, those of the new entry, and the entry itself.
    for (let i = 0; i < 3; i++) await undo();
    await until(
      () => texts(items),
      all => all.join() === list.join(),
      'as it was',
    );
    await walker.open('pages/home');
    canvas = await walker.frame('Page');
  });

  it('sections and widgets are added, moved, duplicated and deleted by keys, and all of it undone', async () => {
    // The outline draws what is in view of it; the page has them all, in order.
    const order = () =>
      canvas.$$eval('[data-node]', all => all.map(it => it.getAttribute('data-node')).join());
    const start = await order();
    const things = () =>
      canvas.$$eval('[data-node]', all => new Set(all.map(it => it.getAttribute('data-node'))).size);
    const before = await things();
    await pick('Before you sail, Section');
    await walker.add('Button');
    await until(things, count => count === before + 1, 'a widget more');
    const key = async (name: 'ArrowUp' | 'd' | 'Delete', modifier?: 'Alt' | 'Control') => {
      if (modifier) await walker.page.keyboard.down(modifier);
      await walker.page.keyboard.press(name);
      if (modifier) await walker.page.keyboard.up(modifier);
    };
    const focus = async () => (await walker.row('Button, Button', true)).focus();
    await focus();
    await key('ArrowUp', 'Alt');
    await until(
      () => canvas.$eval('[data-node=before] > .section-inner > :nth-child(2)', it => it.className),
      name => name.includes('button'),
      'the button should stand second',
    );
    await focus();
    await key('d', 'Control');
    await until(things, count => count === before + 2, 'a copy more');
    await focus();
    await key('Delete');
    await until(things, count => count === before + 1, 'one less');
    await walker.addSection('Empty section');
    await until(things, count => count === before + 2, 'a section more');
    for (let i = 0; i < 5; i++) await undo();
    await until(order, now => now === start, 'all undone');
    await walker.click('Redo');
    await until(things, count => count === before + 1, 'one done again');
    await undo();
  });

  it('a row is dragged to another place in the outline', async () => {
    const boxOf = async (label: string) => {
      const box = await (await walker.row(label)).boundingBox();
      if (!box) throw new Error(`${label} is not drawn`);
      return box;
    };
    const order = () =>
      canvas.$$eval('[data-node=before-row] > [data-node]', items =>
        items.map(it => it.getAttribute('data-node')),
      );
    await (await walker.row('Dogs, Feature')).evaluate(it => it.scrollIntoView({ block: 'center' }));
    const from = await boxOf('Cars, Feature');
    const to = await boxOf('Bikes, Feature');
    await walker.drag({ x: from.x + 60, y: from.y + 10 }, { x: to.x + 60, y: to.y + to.height - 3 }, () =>
      walker.page.waitForSelector('[data-row=feature-bikes][data-drop=after]'),
    );
    await until(
      order,
      list => list.join() === 'feature-dogs,feature-bikes,feature-cars',
      'Cars should stand last',
    );
    await undo();
    await until(
      order,
      list => list.join() === 'feature-cars,feature-dogs,feature-bikes',
      'Cars should stand first again',
    );
  });

  it('a section is added at a seam by the pointer', async () => {
    const before = await canvas.$$eval('main > [data-node]', it => it.length);
    await canvas.evaluate(() => scrollTo(0, 0));
    const border = await canvas.$eval('[data-node=welcome]', it => it.getBoundingClientRect().bottom);
    const { x, y } = await walker.onCanvas(640, border - 4);
    await walker.page.mouse.move(x, y - 60);
    await walker.page.mouse.move(x, y, { steps: 3 });
    await walker.addSection('Three voices', { opener: 'Add a section here' });
    await until(
      () => canvas.$$eval('main > [data-node]', it => it.length),
      n => n === before + 1,
      'a section more',
    );
    // It stands at the seam, and wears the guide: its row is the guide's own arrangement.
    expect(await canvas.$eval('main > :nth-child(2)', it => it.textContent)).toContain('What people say');
    expect(
      await canvas.$eval('main > :nth-child(2) [class*=v-arrangement-three]', it => it.children.length),
    ).toBe(3);
    await undo();
  });

  it('a preset is made of what a widget has set, worn by another, switched off, turned and edited', async () => {
    await pick('Dogs, Feature');
    await walker.click('Create a preset from these overrides');
    await walker.type('Name of the preset', 'Wet dog');
    await until(
      rows,
      list => list.some(it => it === 'Dogs, Feature'),
      'what was set here is now in the preset',
    );
    await pick('Cars, Feature');
    await walker.choose('Wear a preset', 'Wet dog');
    await walker.styleIs(canvas, '[data-node=feature-cars]', 'background-color', 'rgb(201, 213, 227)');
    await walker.choose('Wear a preset', 'Low tide');
    await walker.styleIs(canvas, '[data-node=feature-cars]', 'opacity', '0.92');
    await walker.click('Low tide is worn', 'switch');
    await walker.styleIs(canvas, '[data-node=feature-cars]', 'opacity', '1');
    await walker.click('Low tide is worn', 'switch');
    await walker.click('Move Low tide earlier');
    const order = await walker.page.$$eval('ul[aria-label="Presets worn"] li > button:first-child', items =>
      items.map(it => it.textContent),
    );
    expect(order).toEqual(['Low tide', 'Wet dog']);
    await walker.click('Wet dog', 'button');
    await walker.says('2 uses on 1 page');
    await walker.type('Fill', '#ffeedd');
    await walker.kept();
    await walker.open('pages/home');
    canvas = await walker.frame('Page');
    for (const node of ['feature-cars', 'feature-dogs'])
      await walker.styleIs(canvas, `[data-node=${node}]`, 'background-color', 'rgb(255, 238, 221)');
  });

  it('has nothing that axe-core finds wrong', async () => {
    await pick('Dogs, Feature');
    expect(await walker.violations()).toEqual([]);
  });
});

describe('a change that the server refuses', () => {
  it('is taken back with a word', async () => {
    const page = await browser.newPage();
    const other = new Walker(page);
    await page.setRequestInterception(true);
    page.on('request', request => {
      if (request.method() !== 'POST' || !request.url().endsWith('/changes')) void request.continue();
      else
        void request.respond({
          status: 422,
          contentType: 'application/json',
          body: JSON.stringify({
            code: 'dangling',
            message: 'welcome refers to nobody, which is not there.',
          }),
        });
    });
    await other.open('pages/home?node=welcome&part=box');
    const canvas = await other.frame('Page');
    await other.choose('Scheme', 'Fog bank');
    await other.says('Taken back: welcome refers to nobody');
    await other.styleIs(canvas, '[data-node=welcome]', 'background-color', 'rgb(20, 28, 48)');
    await page.close();
    await walker.page.bringToFront();
  });
});

describe('somebody else at the same site', () => {
  it.each(['another tab', 'another browser'])('in %s sees an edit without asking for it', async kind => {
    const context =
      kind === 'another tab' ? browser.defaultBrowserContext() : await browser.createBrowserContext();
    const other = new Walker(await context.newPage());
    if (kind === 'another browser') await other.enterDemo();
    await other.open('pages/fares');
    const theirs = await other.frame('Page');
    await walker.page.bringToFront();
    await walker.open('pages/fares?node=fares-title');
    await walker.frame('Page');
    await walker.type('Words', `Fares for ${kind}`);
    await until(
      () => theirs.$eval('[data-node=fares-title]', it => it.textContent),
      text => text === `Fares for ${kind}`,
      'the title should follow',
    );
    await other.page.close();
    await walker.page.bringToFront();
  });
});

describe('a server that is away', () => {
  it('holds nobody up: what is made is kept in the browser, over a reload, and sent when it is back', async () => {
    const page = await browser.newPage();
    const other = new Walker(page);
    let away = false;
    await page.setRequestInterception(true);
    page.on('request', request =>
      away && request.url().endsWith('/changes') ? request.abort() : request.continue(),
    );
    await other.open('pages/fares?node=fare-foot-title');
    await other.frame('Page');
    away = true;
    await other.type('Words', 'By foot');
    await other.says('1 edit waiting');
    await other.open('pages/fares?node=fare-foot-title');
    const canvas = await other.frame('Page');
    await until(
      () => canvas.$eval('[data-node=fare-foot-title]', it => it.textContent),
      text => text === 'By foot',
      'the words should be there after a reload',
    );
    away = false;
    await other.kept();
    await page.close();
    await walker.page.bringToFront();
    errors.splice(0, errors.length, ...errors.filter(it => !it.includes('ERR_FAILED')));
  });
});

describe('a part of the program that cannot be fetched', () => {
  it('is told in its place, with the rest within reach, and is tried again', async () => {
    const page = await browser.newPage();
    const other = new Walker(page);
    let lost = true;
    await page.setRequestInterception(true);
    page.on('request', request =>
      lost && request.url().includes('/assets/ReleaseStation') ? request.abort() : request.continue(),
    );
    await other.open('guide');
    await other.frame('Specimen');
    await other.click('Release', 'link');
    await other.says('This could not be displayed');
    expect(await page.$('nav[aria-label=Stations]')).not.toBeNull();
    expect(await other.violations()).toEqual([]);
    lost = false;
    await other.click('Try again');
    await page.waitForSelector('section[aria-label=Releases]');
    await page.close();
    await walker.page.bringToFront();
  });
});

describe('releases', () => {
  const title = async () =>
    (await (await fetch(`${SITES}/tolvane/`)).text()).match(/<h1[^>]*>(.*?)<\/h1>/)?.[1];

  it('publish with progress, show on a host of their own, and go back', async () => {
    await walker.open('pages/home');
    const canvas = await walker.frame('Page');
    const first = await canvas.$eval('[data-node=welcome-title]', it => it.innerHTML);
    await walker.open('release');
    await walker.says('Nothing is published yet');
    expect((await fetch(`${SITES}/tolvane/`)).status).toBe(404);
    await walker.type('What is new', 'The first one', null);
    await walker.click('Publish');
    await until(title, it => it === first, 'the first release should be public');
    await walker.open('pages/home?node=welcome-title');
    await walker.frame('Page');
    await walker.type('Words', 'The late boat');
    await walker.kept();
    expect(await title()).toBe(first);
    await walker.open('release');
    await walker.says('1 change since the latest release');
    await walker.click('Publish');
    await until(title, it => it === 'The late boat', 'the second release should be public');
    await walker.click('Go back to this release');
    await until(title, it => it === first, 'the first release should be public again');
    expect(await walker.violations()).toEqual([]);
    // The policy of their host lets the modules of the site run.
    const visitor = await walker.page.browser().newPage();
    await visitor.goto(`${SITES}/tolvane/sailings/`);
    await visitor.click('#w-days-sunday-tab');
    await visitor.waitForSelector('#w-days-sunday-tab[aria-selected=true]');
    expect(await visitor.$eval('#w-days-weekdays', it => it.getAttribute('hidden'))).toBe('until-found');
    await visitor.close();
    await walker.page.bringToFront();
  });
});

describe('all the while', () => {
  it('nothing went wrong in the browser', () => {
    expect(errors).toEqual([]);
  });
});
