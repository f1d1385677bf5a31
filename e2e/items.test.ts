import { describe, expect, it } from '@jest/globals';
import { PROGRAM, until, walkDemo } from './support/program.ts';

const demo = walkDemo();
const outline = () =>
  demo.walker.page.$$eval('[role=tree][aria-label="On this page"] [role=treeitem]', all =>
    all.map(it => `${it.getAttribute('aria-level')} ${(it.textContent ?? '').split(',')[0]}`),
  );
const inTurn = (rows: string[], ...wanted: string[]) => rows.join('|').includes(wanted.join('|'));
const stands = (what: string, ...wanted: string[]) => until(outline, rows => inTurn(rows, ...wanted), what);
/** Entries that stand open, and the tab whose panel shows. */
const open = async (title = 'Page') =>
  (await demo.walker.frame(title)).$$eval('details[open], [role=tab][aria-selected=true]', all =>
    all.map(it => it.id.replace(/^w-/, '')),
  );

describe('items of a holder', () => {
  it('open on the page where something in them is selected, and close again', async () => {
    const { walker } = demo;
    await walker.open('pages/fares');
    expect(await open()).toEqual([]);
    await (await walker.row('In a basket')).click();
    await until(open, ids => ids.join() === 'asked-dogs,asked-saloon', 'both entries around it');
    await walker.clickOnCanvas('[data-node=asked-fog][data-part=bar]');
    await until(open, ids => ids.join() === 'asked-fog', 'the other entry alone');
    await walker.row('What if there is fog?', true);
    await walker.clickOnCanvas('[data-node=questions-title]');
    await until(open, ids => ids.length === 0, 'none');
  });

  it('are added where they belong, moved by keys, copied and undone', async () => {
    const { walker } = demo;
    await (await walker.row('The boat waits')).click();
    await walker.add('Entry');
    await stands(
      'a new entry behind the one that was selected',
      '3 What if there is fog?',
      '4 The boat waits until the other shore can be seen. Tickets hold for the next one.',
      '3 Title',
      '4 Write the text here.',
    );
    await (await walker.row('Title, Entry', true)).focus();
    await walker.press('Alt', 'ArrowUp');
    await stands(
      'the new entry before the other',
      '3 Title',
      '4 Write the text here.',
      '3 What if there is fog?',
    );
    await walker.press('Control', 'd');
    await stands('a copy with what stands in it', '3 Title', '4 Write the text here.', '3 Title');
    for (let i = 0; i < 3; i++) await walker.click('Undo');
    await until(outline, rows => !rows.includes('3 Title'), 'as it was');
  });

  it('take their look from a variant of their holder, and have it on their thread', async () => {
    const { walker } = demo;
    await (await walker.row('Accordion, Accordion')).click();
    const canvas = await walker.frame('Page');
    const line = () => walker.style(canvas, '[data-node=asked-fog][data-part=entry]', 'border-top-width');
    expect(await line()).toBe('1px');
    await walker.choose('Look', 'Ruled');
    await until(line, width => width === '0px', 'no box around an entry');
    expect(await walker.style(canvas, '[data-node=asked-fog][data-part=arrow]', 'order')).toBe('-1');
    await walker.click('Undo');
    await until(line, width => width === '1px', 'the box again');
    await walker.kept();
  });

  it('become items of another holder, and are the same after the way back', async () => {
    const { walker } = demo;
    await walker.choose('Change to', 'Tabs');
    await walker.says('Kept for changing back');
    await walker.row('May the dog come?, Tab');
    const canvas = await walker.frame('Page');
    await until(
      () =>
        canvas.$$eval('[data-node=asked] > [role=tablist] > [role=tab]', all =>
          all.map(it => it.textContent),
        ),
      titles => titles.length === 3 && titles[0] === 'May the dog come?',
      'three tabs',
    );
    expect(await walker.violations()).toEqual([]);
    await walker.choose('Change to', 'Accordion');
    await walker.row('May the dog come?, Entry');
    await until(
      () => walker.style(canvas, '[data-node=asked-fog][data-part=entry]', 'border-top-width'),
      width => width === '1px',
      'the variant it had before',
    );
    await walker.kept();
  });

  it('become plain widgets where they are pasted without a holder, and that is told', async () => {
    const { walker } = demo;
    await walker.page.browserContext().overridePermissions(PROGRAM, ['clipboard-read', 'clipboard-write']);
    const held = async (key: 'c' | 'v') => {
      await walker.page.keyboard.down('Control');
      await walker.page.keyboard.press(key);
      await walker.page.keyboard.up('Control');
    };
    await (await walker.row('What if I miss the last boat?')).click();
    await walker.row('What if I miss the last boat?', true);
    await held('c');
    await walker.says('is copied.');
    await (await walker.row('Asked at the window')).click();
    await walker.row('Asked at the window', true);
    await held('v');
    await walker.says('Pasted as plain widgets: an entry stands only in an accordion.');
    await stands(
      'its title as a heading, and what stood in it',
      '2 Asked at the window',
      '2 What if I miss the last boat?',
    );
    await walker.click('Undo');
    await until(outline, rows => !rows.includes('2 What if I miss the last boat?'), 'as it was');
  });

  it('answer to clicks and keys where the page is tried', async () => {
    const { walker } = demo;
    await walker.open('pages/sailings');
    const edited = await walker.frame('Page');
    await walker.click('Try it', 'button');
    const tried = await walker.frame('Page', edited);
    const selected = () =>
      tried.$$eval('[role=tab][aria-selected=true]', all => all.map(it => it.textContent));
    expect(await selected()).toEqual(['Weekdays']);
    await walker.clickOnCanvas('#w-days-sunday-tab');
    await until(selected, all => all.join() === 'Sunday', 'the tab that was clicked');
    await walker.press('ArrowLeft');
    await until(selected, all => all.join() === 'Saturday', 'the tab before it');
    await walker.open('pages/fares');
    const before = await walker.frame('Page');
    await walker.click('Try it', 'button');
    const fares = await walker.frame('Page', before);
    await walker.clickOnCanvas('#w-asked-fog > summary');
    await until(
      () => fares.$$eval('details[open]', all => all.map(it => it.id)),
      ids => ids.join() === 'w-asked-fog',
      'the entry that was clicked',
    );
  });
});
