import { describe, expect, it } from '@jest/globals';
import { until, walkDemo } from './support/program.ts';

const demo = walkDemo();

/** From wherever the focus is into the pane of that name, by F6 alone. */
async function toPane(name: string): Promise<void> {
  const { walker } = demo;
  const pane = () =>
    walker.page.evaluate(
      () => document.activeElement?.closest('[data-pane]')?.getAttribute('aria-label') ?? 'the bar on top',
    );
  for (let i = 0; i < 5; i++) {
    await walker.press('F6');
    if ((await pane()) === name) return;
  }
  throw new Error(`F6 never came to ${name}`);
}
/** One on among radio buttons, as long as a hand holds a key. */
async function arrowTo(name: string): Promise<void> {
  const { page } = demo.walker;
  await page.keyboard.press('ArrowRight', { delay: 80 });
  const chosen = () =>
    page.evaluate(() => {
      const at = document.activeElement;
      return at instanceof HTMLInputElement && at.checked ? (at.labels?.[0]?.textContent ?? '') : '';
    });
  await until(chosen, it => it.startsWith(name), `${name} should be chosen`);
}
/** Takes steps back until something is so: choosing in a list by keys comes past others, each a step of its own. */
async function undoUntil<T>(read: () => Promise<T>, holds: (value: T) => boolean): Promise<void> {
  for (let i = 0; i < 15 && !holds(await read()); i++) await undo();
  await until(read, holds, 'as it was');
}
const undo = async () => {
  const { walker } = demo;
  await walker.kept();
  // The focus may be in a field, where the keys are the field's own.
  await toPane('the bar on top');
  await walker.press('Control', 'z');
  await walker.kept();
};

describe('by keys alone', () => {
  it('F6 goes round the parts of a station and back to where one was in each', async () => {
    const { walker } = demo;
    await walker.open('guide?element=button');
    await walker.frame('Specimen');
    await toPane('Foundations');
    await walker.tabTo('Swatch Lamp');
    await toPane('Bench');
    await toPane('Foundations');
    expect(await walker.page.evaluate(() => document.activeElement?.getAttribute('aria-label'))).toBe(
      'Swatch Lamp',
    );
    await walker.press('Shift', 'F6');
    expect(await walker.page.evaluate(() => document.activeElement?.closest('[data-pane]')?.tagName)).toBe(
      'HEADER',
    );
  });

  it('the specimen is one stop: its cells are walked with the arrows, and Enter opens the bench', async () => {
    const { walker } = demo;
    await walker.open('guide');
    const sheet = await walker.frame('Specimen');
    await toPane('Specimen');
    await walker.tabTo('View');
    await walker.press('Tab');
    const cell = () => sheet.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? '');
    const first = await until(cell, it => it.includes(', Daymark'), 'the first cell');
    await walker.press('ArrowRight');
    await walker.press('ArrowDown');
    const row = first.split(',')[0] ?? '';
    await until(
      cell,
      it => it.includes(', Fog bank') && !it.startsWith(`${row},`),
      'the cell below the one beside',
    );
    await walker.press('Enter');
    await walker.says('on Fog bank');
    const address = walker.page.url();
    // Past the cell there is nothing more of the sheet: the border of the pane, which can be moved, and the bench.
    await walker.press('Tab');
    expect(await walker.page.evaluate(() => document.activeElement?.getAttribute('aria-label'))).toBe(
      'Width of Bench',
    );
    await walker.press('Tab');
    expect(
      await walker.page.evaluate(() =>
        document.activeElement?.closest('[data-pane]')?.getAttribute('aria-label'),
      ),
    ).toBe('Bench');
    // Keys of the program hold in it, too.
    await walker.press('Shift', 'Tab');
    await walker.press('Shift', 'Tab');
    await walker.press('Control', 'k');
    await walker.page.waitForSelector('[role=dialog]');
    await walker.press('Escape');
    // What is open stands in the address: it is there again after one has been elsewhere, and for whoever is given it.
    await walker.click('Release', 'link');
    await until(
      async () => walker.page.url(),
      it => it.endsWith('/release'),
      'the releases',
    );
    await walker.page.goBack();
    await walker.says('on Fog bank');
    expect(walker.page.url()).toBe(address);
    await walker.page.reload();
    await walker.says('on Fog bank');
    // A swatch that is opened beside it leaves it on the bench.
    await walker.click('Swatch Lamp');
    await walker.page.waitForSelector('::-p-text(Derive another)');
    await walker.says('on Fog bank');
  });

  it('a value set by hand is promoted', async () => {
    const { walker } = demo;
    await walker.open('pages/home?node=feature-dogs&part=box');
    const canvas = await walker.frame('Page');
    const fill = '[data-node=feature-cars]';
    const before = await walker.style(canvas, fill, 'background-color');
    await toPane('Bench');
    await walker.tabTo('Promote…');
    await walker.press('Enter');
    await walker.tabToChoose('It becomes the rule for', 'The variant Card');
    await walker.says('would look different');
    await walker.tabTo('Promote');
    await walker.press('Enter');
    await walker.styleIs(canvas, fill, 'background-color', it => it !== before);
    await undo();
    await walker.styleIs(canvas, fill, 'background-color', before);
  });

  it('a look is carried to chosen ones', async () => {
    const { walker } = demo;
    await walker.open('pages/home?node=feature-dogs&part=box');
    const canvas = await walker.frame('Page');
    const fill = (id: string) => walker.style(canvas, `[data-node=feature-${id}]`, 'background-color');
    const before = await fill('cars');
    await toPane('Bench');
    await walker.tabTo('Carry look…');
    await walker.press('Enter');
    await walker.tabTo('Bikes');
    await walker.press('Space');
    await walker.tabTo('Carry to 1');
    await walker.press('Enter');
    await walker.styleIs(canvas, '[data-node=feature-cars]', 'background-color', it => it !== before);
    expect(await fill('bikes')).toBe(before);
    await undo();
  });

  it('a ground is chosen, with the ink it is drawn in', async () => {
    const { walker } = demo;
    await walker.open('pages/home?node=crossing&find=ground');
    const canvas = await walker.frame('Page');
    const image = () => walker.style(canvas, '[data-node=crossing][data-part=box]', 'background-image');
    const before = await image();
    await toPane('Bench');
    await walker.tabTo('Choose ground');
    await walker.press('Enter');
    await walker.tabTo('Swell');
    await walker.press('Enter');
    const drawn = await until(image, it => it !== before && it.includes('url("data:'), 'a drawing');
    await walker.tabTo('Ink');
    await walker.press('Control', 'a');
    await walker.page.keyboard.type('Lamp');
    await walker.press('Enter');
    await until(image, it => it !== drawn && it.includes('url("data:'), 'in another ink');
    await walker.press('Escape');
    await walker.press('Escape');
    await undo();
    await undo();
    expect(await image()).toBe(before);
  });

  it('ready sections and pages are added from the libraries', async () => {
    const { walker } = demo;
    await walker.open('pages/home');
    const canvas = await walker.frame('Page');
    const sections = () => canvas.$$eval('main > [data-node]', all => all.length);
    const before = await sections();
    await toPane('Pages and outline');
    await walker.tabTo('Section');
    await walker.press('Enter');
    await walker.findToAdd('section', 'Three in a row');
    await walker.press('Enter');
    await until(sections, n => n === before + 1, 'a section more');
    await undo();
    await until(sections, n => n === before, 'as it was');
    await toPane('Pages and outline');
    await walker.tabTo('New page');
    await walker.press('Enter');
    await walker.findToAdd('page', 'Questions');
    await walker.press('Enter');
    await until(
      () =>
        walker.page.$$eval('[role=tree][aria-label=Pages] [role=treeitem]', all =>
          all.map(it => it.textContent),
        ),
      all => all.some(it => it?.startsWith('Questions')),
      'a page more',
    );
    await undo();
  });

  it('a widget is added from the library, of which no step does anything by itself', async () => {
    const { walker } = demo;
    await walker.open('pages/home?node=crossing');
    const canvas = await walker.frame('Page');
    const inside = () => canvas.$$eval('main [data-node]', all => all.length);
    const before = await inside();
    await toPane('Pages and outline');
    await walker.tabTo('Add a widget…');
    await walker.press('Enter');
    const at = () =>
      walker.page.evaluate(() => {
        const id = document.activeElement?.getAttribute('aria-activedescendant');
        return document.getElementById(id ?? '')?.querySelector('[data-called]')?.textContent ?? null;
      });
    const stands = (wanted: string) => until(at, it => it === wanted, `on ${wanted}`);
    await stands('Heading');
    await walker.press('ArrowRight');
    await stands('Text');
    await walker.press('ArrowDown');
    await walker.press('ArrowUp');
    await stands('Text');
    // By what it is for, as people call it.
    await walker.page.keyboard.type('saying');
    await stands('Quote');
    expect(await inside()).toBe(before);
    expect(await walker.violations()).toEqual([]);
    await walker.press('Tab');
    await walker.press('ArrowRight');
    const look = await until(
      () => walker.page.$eval('[data-choices] [aria-checked=true]', it => it.getAttribute('aria-label')),
      it => it !== null && it !== 'Default',
      'the next look',
    );
    await walker.press('Enter');
    await canvas.waitForSelector('[data-node=crossing] [class*=quote-box]');
    await until(
      async () => {
        const choice = await walker.page.$('::-p-aria([name="Look"][role="combobox"])');
        return choice?.evaluate(it =>
          it instanceof HTMLSelectElement ? it.selectedOptions[0]?.textContent : null,
        );
      },
      it => it === look,
      'in the look that was chosen',
    );
    expect(await walker.page.evaluate(() => document.activeElement?.textContent)).toBe('Add a widget…');
    await undo();
    await until(inside, n => n === before, 'as it was');
    // Several one after the other, each behind the last.
    await walker.tabTo('Add a widget…');
    await walker.press('Enter');
    await stands('Quote');
    await walker.press('Shift', 'Enter');
    await walker.press('Enter');
    await until(inside, n => n > before, 'two more');
    expect(await canvas.$$eval('main figure[class*=quote-box]', all => all.length)).toBe(2);
    await undo();
    await undo();
    await until(inside, n => n === before, 'as it was');
    await walker.tabTo('Add a widget…');
    await walker.press('Enter');
    await stands('Quote');
    await walker.press('Escape');
    expect(await inside()).toBe(before);
  });

  it('a picture is put between the paragraphs of a text, and chosen to stand beside them', async () => {
    const { walker } = demo;
    await walker.open('pages/islands?node=morning-second');
    const canvas = await walker.frame('Page');
    const kinds = () =>
      canvas.$$eval('[data-node=morning-text][data-part=box] > * > *', all =>
        all.map(it => it.tagName.toLowerCase()),
      );
    const before = await until(kinds, all => all.length === 6, 'a long text');
    await toPane('Bench');
    await walker.tabTo('Words');
    // The cursor stands in the last paragraph; from there to the first.
    await walker.press('Control', 'Home');
    await walker.page.keyboard.down('Shift');
    await walker.tabTo('A picture below this paragraph');
    await walker.page.keyboard.up('Shift');
    await walker.press('Enter');
    await until(kinds, all => all.length === 8 && all[4] === 'figure', 'a picture and a second text');
    await toPane('Bench');
    await walker.tabToChoose('Position', 'Beside, left');
    const figure = '[data-node=morning-text][data-part=box] > :nth-child(5) > figure';
    await walker.styleIs(canvas, figure, 'float', 'inline-start');
    expect(await walker.violations()).toEqual([]);
    await undoUntil(kinds, all => all.length === 6);
    expect(await kinds()).toEqual(before);
  });

  it('texts are made one again once what stood between them is gone', async () => {
    const { walker } = demo;
    await walker.open('pages/islands?node=morning-beside');
    const canvas = await walker.frame('Page');
    const texts = () => canvas.$$eval('[data-node=morning-text] [class*=text-box]', all => all.length);
    await until(texts, count => count === 3, 'three texts');
    await toPane('Pages and outline');
    await walker.tabTo('The ridge, from the second cairn, Picture');
    await walker.press('Delete');
    // What comes after it is picked now; with Shift the one before as well.
    await walker.press('Shift', 'ArrowUp');
    await walker.tabTo('Join');
    await walker.press('Enter');
    await until(texts, count => count === 2, 'one of two');
    expect(await canvas.$$eval('[data-node=morning-first] p', all => all.length)).toBe(4);
    await undoUntil(texts, count => count === 3);
  });

  it('a version of a section is set aside, compared, shown, and alone kept', async () => {
    const { walker } = demo;
    await walker.open('pages/home?node=before');
    const canvas = await walker.frame('Page');
    const ground = () => walker.style(canvas, '[data-area=main] > :nth-child(2)', 'background-color');
    const day = await ground();
    await toPane('Bench');
    await walker.tabTo('Versions set aside');
    await walker.press('Enter');
    await walker.tabTo('Set this version aside');
    await walker.press('Enter');
    await walker.says('Versions set aside: 1');
    await toPane('Bench');
    await walker.tabToChoose('Scheme', 'Night run');
    const night = await until(ground, it => it !== day, 'another ground');
    await walker.tabTo('Compare with Version 1');
    await walker.press('Enter');
    const other = await walker.frame('Set aside: Home');
    expect(await walker.style(other, '[data-area=main] > :nth-child(2)', 'background-color')).not.toBe(night);
    await walker.press('Escape');
    await walker.tabTo('Show Version 1');
    await walker.press('Enter');
    await until(ground, it => it === day, 'the version');
    await walker.tabTo('Keep only what shows');
    await walker.press('Enter');
    await until(
      () => walker.text(),
      text => !text.includes('Versions set aside: 1'),
      'none set aside',
    );
    await undoUntil(ground, it => it === night);
    await undoUntil(ground, it => it === day);
    // The default scheme, which comes before the others in the list, and the version itself.
    await undo();
    await undo();
    await walker.open('pages/home?node=before');
    expect(await walker.text()).not.toContain('Versions set aside: 1');
  });

  it('the columns of a grid are typed, for one width of the window', async () => {
    const { walker } = demo;
    await walker.open('pages/home?node=before-row&part=box');
    const canvas = await walker.frame('Page');
    const across = () =>
      canvas.$$eval('[data-node=before-row] > *', all => {
        const [first] = all.map(it => it.getBoundingClientRect().top);
        return all.filter(it => it.getBoundingClientRect().top === first).length;
      });
    expect(await across()).toBe(3);
    await toPane('Bench');
    await walker.tabTo('Find a property');
    await walker.press('Control', 'a');
    await walker.page.keyboard.type('grid columns');
    await walker.tabTo('Columns');
    await walker.press('Control', 'a');
    await walker.page.keyboard.type('2');
    await walker.press('Enter');
    await until(across, it => it === 2, 'two across');
    await undo();
    await until(across, it => it === 3, 'as it was');
  });

  it('the page is seen at all widths abreast, and set for one of them', async () => {
    const { walker } = demo;
    await walker.open('pages/home?node=feature-dogs&part=box');
    await walker.frame('Page');
    // The first thing in that pane is the choice of widths.
    await toPane('Page');
    for (const name of ['Medium', 'Narrow', 'All three']) await arrowTo(name);
    const narrow = await walker.frame('Page, narrow');
    const wide = await walker.frame('Page, wide');
    const dogs = '[data-node=feature-dogs]';
    // The bench is at the width that was chosen last.
    await toPane('Bench');
    await walker.tabTo('Find a property');
    await walker.press('Control', 'a');
    await walker.page.keyboard.type('opacity');
    await walker.tabTo('Opacity');
    await walker.press('Control', 'a');
    await walker.page.keyboard.type('0.5');
    await walker.press('Enter');
    await walker.styleIs(narrow, dogs, 'opacity', '0.5');
    expect(await walker.style(wide, dogs, 'opacity')).toBe('1');
    await undo();
    await walker.styleIs(narrow, dogs, 'opacity', '1');
  });

  it('no error was thrown in the browser', () => {
    expect(demo.errors).toEqual([]);
  });
});
