import { describe, expect, it } from '@jest/globals';
import { until, walkDemo } from './support/program.ts';

const demo = walkDemo();
const page = () => demo.walker.page;

/** The rows of the table on the page, headings first. */
const rows = async (): Promise<string[]> =>
  (await demo.walker.frame('Page')).$$eval('[data-node=sailings-table] tr', all =>
    all.map(row =>
      [...row.children]
        .map(cell =>
          [...cell.childNodes]
            .filter(it => !(it instanceof Element && it.matches('[data-part=cellLabel]')))
            .map(it => it.textContent)
            .join(''),
        )
        .join(' | '),
    ),
  );
/** The lines of the grid below it. */
const lines = (): Promise<string[]> =>
  page().$$eval('[role=grid] [role=row]', all =>
    all.map(row => [...row.querySelectorAll('[data-column] > span')].map(it => it.textContent).join(' | ')),
  );
const entries = async (): Promise<string[]> =>
  (await demo.walker.frame('Page')).$$eval('[data-node=fares-with] [data-part=words]', all =>
    all.map(it => `${'-'.repeat(it.closest('[data-part=below]') ? 1 : 0)}${it.textContent}`),
  );
/** Writes where the cursor is, once something is being written. */
const write = async (text: string) => {
  const frame = await demo.walker.frame('Page');
  await frame.waitForSelector('[contenteditable=true]');
  await page().keyboard.type(text);
};
/** What is written in now, by its words. */
const writing = async () =>
  (await demo.walker.frame('Page')).$$eval('[contenteditable=true]', all =>
    all.map(it => it.textContent ?? '').join(),
  );
/** Begins to write in something. For 200 ms an editor takes the cursor at the start for a browser’s doing, and puts it back. */
async function begin(selector: string, words: string): Promise<void> {
  await demo.walker.clickOnCanvas(selector, 2);
  await until(writing, it => it.includes(words), `${words} is written in`);
  await new Promise(resolve => setTimeout(resolve, 250));
}
/** Goes to an end of the line; no hand presses the next key before the editor has heard of it. */
async function to(end: 'Home' | 'End'): Promise<void> {
  await demo.walker.press(end);
  await new Promise(resolve => setTimeout(resolve, 60));
}
const pasteInto = (selector: string, text: string, html = '') =>
  page().$eval(
    selector,
    (element, plain, rich) => {
      const data = new DataTransfer();
      data.setData('text/plain', plain);
      if (rich) data.setData('text/html', rich);
      element.dispatchEvent(
        new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
      );
    },
    text,
    html,
  );
const ONE_BAG = '[data-node=fares-with-bag] > [data-part=words]';

describe('a list, written where it stands', () => {
  it('goes on in a new entry with Enter, which can be put below another with Tab', async () => {
    const { walker } = demo;
    await walker.open('pages/fares');
    await begin(ONE_BAG, 'One bag');
    await to('End');
    await walker.press('Enter');
    await until(writing, it => it === '', 'a new entry is written in');
    await write('A kite');
    await walker.press('Tab');
    await until(writing, it => it === 'A kite', 'it is still written in');
    await write(' or two');
    await walker.press('Escape');
    await until(
      entries,
      it =>
        it.join() ===
        'Prams and wheelchairs,One bag that you can lift,-A kite or two,Tea from the ramp up,-Milk while it lasts,-Mugs come back to the bar',
      'the new entry stands below the other',
    );
  });
  it('makes one of two with Backspace, and each step can be undone', async () => {
    const { walker } = demo;
    await begin('[data-node=fares-with-mugs] > [data-part=words]', 'Mugs');
    await to('Home');
    await walker.press('Backspace');
    await until(writing, it => it.startsWith('Milk while it lastsMugs'), 'both are one');
    await walker.press('Escape');
    await walker.click('Undo');
    await until(entries, it => it.at(-1) === '-Mugs come back to the bar', 'they are two again');
  });
  it('makes an entry of every line that is pasted', async () => {
    const { walker } = demo;
    await begin('[data-node=fares-with-prams] > [data-part=words]', 'Prams');
    await to('End');
    const frame = await walker.frame('Page');
    await frame.$eval('[contenteditable=true]', element => {
      const data = new DataTransfer();
      data.setData('text/plain', ', folded\nSticks\n\nA hat');
      element.dispatchEvent(
        new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
      );
    });
    await until(
      entries,
      it => it.slice(0, 3).join() === 'Prams and wheelchairs, folded,Sticks,A hat',
      'three entries',
    );
    await walker.press('Escape');
    await walker.click('Undo');
    await until(entries, it => it[1] === 'One bag that you can lift', 'one again');
  });
  it('has its entries listed on the bench, and adds one there', async () => {
    const { walker } = demo;
    await (await walker.row('List, List')).click();
    await walker.click('Add a list entry');
    await until(entries, it => it.at(-1) === 'Entry', 'a new one at the end');
    await walker.click('Delete List entry 4');
    await until(entries, it => it.at(-1) !== 'Entry', 'it is gone');
  });
});

describe('a table, written where it stands', () => {
  it('goes from cell to cell by keys, and on in a new row behind the last', async () => {
    const { walker } = demo;
    await walker.open('pages/sailings?node=sailings-table&part=table');
    await begin('[data-node=first-little] td:last-child', '08:10');
    await to('End');
    await write(' or so');
    await walker.press('Tab');
    await until(writing, it => it === '', 'the first cell of a new row');
    await write('Sant Bree');
    await walker.press('Tab');
    await until(writing, it => it === '', 'the cell beside it');
    await write('Hesk');
    await walker.press('Escape');
    await until(
      rows,
      it => it[3] === 'Hesk | Little Hesk | 08:00 | 08:10 or so' && it[4] === 'Sant Bree | Hesk |  | ',
      'both rows',
    );
    for (let i = 0; i < 4; i++) await walker.click('Undo');
    await until(rows, it => it.length === 4 && it[3]?.endsWith('08:10') === true, 'as it was');
  });
  it('has its headings written there too', async () => {
    const { walker } = demo;
    await begin('[data-node=sailings-table] th[scope=col]', 'From');
    await page().keyboard.down('Control');
    await walker.press('a');
    await page().keyboard.up('Control');
    await write('Quay');
    await walker.press('Escape');
    await until(rows, it => it[0]?.startsWith('Quay') === true, 'the heading');
    await walker.click('Undo');
    await until(rows, it => it[0]?.startsWith('From') === true, 'as it was');
  });
});

describe('the grid of a table', () => {
  const at = () => page().$eval('[role=grid]', it => it.getAttribute('aria-activedescendant'));
  it('is opened from the bench, walked by keys and written in', async () => {
    const { walker } = demo;
    await walker.open('pages/sailings?node=sailings-table&part=table');
    await walker.frame('Page');
    await walker.openContent();
    await walker.click('Edit as a grid');
    await until(lines, it => it[1] === 'Hesk | Carrow | 07:10 | 07:50', 'the rows');
    expect(await walker.violations()).toEqual([]);
    for (const key of ['ArrowDown', 'ArrowDown', 'ArrowRight'] as const) await walker.press(key);
    expect(await at()).toBe('cell-2-1');
    await page().keyboard.type('North Bree');
    await walker.press('Enter');
    await until(rows, it => it[2] === 'Carrow | North Bree | 07:55 | 08:20', 'on the page');
    expect(await at()).toBe('cell-3-1');
    await walker.press('Control', 'Home');
    expect(await at()).toBe('cell-0-0');
    await walker.click('Undo');
    await until(rows, it => it[2]?.includes('Sant Bree') === true, 'as it was');
  });
  it('takes cells of a spreadsheet, with their emphasis, and makes what is missing', async () => {
    const { walker } = demo;
    await page().click('#cell-3-2');
    const html =
      '<meta charset="utf-8"><table><tr><td>09:00</td><td><b>09:10</b></td><td>6</td></tr><tr><td>10:00</td><td>10:10</td><td>8</td></tr></table><script>alert(1)</script>';
    await pasteInto('[role=grid]', '09:00\t09:10\t6\n10:00\t10:10\t8\n', html);
    await until(lines, it => it[4] === ' |  | 10:00 | 10:10 | 8', 'the new row');
    expect((await lines())[0]).toBe('From | To | Leaves | Arrives | ');
    const frame = await walker.frame('Page');
    expect(await frame.$eval('[data-node=first-little] td:nth-child(4)', it => it.innerHTML)).toContain(
      '<strong>09:10</strong>',
    );
    await walker.click('Undo');
    await until(lines, it => it.length === 4, 'as it was');
    await pasteInto('[role=grid]', '"a\tb\nc"\td');
    await until(lines, it => it[3] === 'Hesk | Little Hesk | a\tb ⏎ c | d', 'a cell of two lines');
    await walker.click('Undo');
  });
  it('is copied as a spreadsheet takes it, and emptied', async () => {
    const { walker } = demo;
    await until(lines, it => it[3] === 'Hesk | Little Hesk | 08:00 | 08:10', 'as it was');
    await page().click('#cell-1-2');
    await page().keyboard.down('Shift');
    await walker.press('ArrowRight');
    await walker.press('ArrowDown');
    await page().keyboard.up('Shift');
    const copied = await page().$eval('[role=grid]', element => {
      const data = new DataTransfer();
      element.dispatchEvent(
        new ClipboardEvent('copy', { clipboardData: data, bubbles: true, cancelable: true }),
      );
      return [data.getData('text/plain'), data.getData('text/html')];
    });
    expect(copied).toEqual([
      '07:10\t07:50\n07:55\t08:20',
      '<table><tbody><tr><td>07:10</td><td>07:50</td></tr><tr><td>07:55</td><td>08:20</td></tr></tbody></table>',
    ]);
    await page().focus('[role=grid]');
    await walker.press('Delete');
    await until(lines, it => it[1] === 'Hesk | Carrow |  | ', 'emptied');
    await walker.click('Undo');
    await until(lines, it => it[1] === 'Hesk | Carrow | 07:10 | 07:50', 'as it was');
  });
  it('has links in its cells, and keeps what is written when another cell is clicked', async () => {
    const { walker } = demo;
    await page().click('#cell-2-1');
    await walker.press('Enter');
    await page().waitForSelector('[role=grid] [contenteditable=true]');
    await walker.press('Control', 'a');
    await walker.choose('Link the selected words', 'Fares');
    await page().waitForSelector('[role=grid] [contenteditable=true] a');
    await page().click('#cell-3-3');
    const frame = await walker.frame('Page');
    await until(
      () => frame.$eval('[data-node=first-bree] td:nth-child(2)', it => it.innerHTML),
      html => /<a [^>]*data-part="link"[^>]*>Sant Bree<\/a>/.test(html),
      'the link',
    );
    expect(await at()).toBe('cell-3-3');
    expect((await lines())[3]).toBe('Hesk | Little Hesk | 08:00 | 08:10');
    await walker.click('Undo');
    await until(
      () => frame.$eval('[data-node=first-bree] td:nth-child(2)', it => it.innerHTML),
      html => !html.includes('<a '),
      'as it was',
    );
  });
  it('adds, moves and deletes rows and columns', async () => {
    const { walker } = demo;
    await page().click('#cell-1-1');
    await walker.click('Add a row');
    await until(lines, it => it[2] === ' |  |  | ', 'an empty row');
    await walker.click('Up');
    await until(lines, it => it[1] === ' |  |  | ', 'it went up');
    await walker.click('Delete row');
    await until(lines, it => it[1] === 'Hesk | Carrow | 07:10 | 07:50' && it.length === 4, 'it is gone');
    await page().click('#cell-1-0');
    await walker.click('Later');
    await until(lines, it => it[0] === 'To | From | Leaves | Arrives', 'the column went on');
    await walker.click('Delete column');
    await until(lines, it => it[0] === 'To | Leaves | Arrives', 'it is gone');
    await walker.click('Undo');
    await walker.click('Undo');
    await until(lines, it => it[0] === 'From | To | Leaves | Arrives', 'as it was');
    await walker.click('Words', 'radio');
  });
  it('takes a file of values in place of what it says', async () => {
    const { walker } = demo;
    const input = await page().$('input[aria-label="File of values"]');
    await input?.evaluate(element => {
      const data = new DataTransfer();
      const text = '\uFEFFIsle;Folk\r\nHesk;312\r\n"Sant; Bree";1 120\r\n';
      data.items.add(new File([text], 'isles.csv', { type: 'text/csv' }));
      if (element instanceof HTMLInputElement) element.files = data.files;
      element.dispatchEvent(new Event('change', { bubbles: true }));
    });
    await until(rows, it => it.join('/') === 'Isle | Folk/Hesk | 312/Sant; Bree | 1 120', 'the file');
    await walker.says('2 rows of isles.csv stand in the table now.');
    await walker.click('Undo');
    await until(rows, it => it.length === 4, 'as it was');
    await walker.click('Close the grid');
    await until(
      () => page().$('[role=grid]'),
      it => it === null,
      'the grid is closed',
    );
  });
});

describe('the choices of a field', () => {
  it('are written on the bench, an entry a line, and pasted several at a time', async () => {
    const { walker } = demo;
    await (await walker.row('First boats')).click();
    await walker.add('Field');
    await walker.row('Label', true);
    await walker.openContent();
    await walker.choose('Input type', 'choice');
    await walker.click('Add a choice');
    const field = '[data-entry]';
    await page().waitForSelector(field);
    await until(
      () => page().$eval(field, it => it === document.activeElement),
      Boolean,
      'it takes the focus',
    );
    await page().$eval(field, it => it instanceof HTMLInputElement && it.select());
    await page().keyboard.type('Morning boat');
    await walker.press('Enter');
    await until(
      () => page().$$eval(field, all => all.length),
      it => it === 2,
      'the next one',
    );
    await until(
      () => page().$$eval(field, all => all.indexOf(document.activeElement as Element)),
      it => it === 1,
      'it is written in',
    );
    await page().$eval(field, () => {
      const data = new DataTransfer();
      data.setData('text/plain', 'Noon boat\nEvening boat');
      document.activeElement?.dispatchEvent(
        new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
      );
    });
    const options = async () =>
      (await walker.frame('Page')).$$eval('select option', all => all.map(it => it.textContent));
    await until(options, it => it.join() === 'Morning boat,Noon boat,Evening boat', 'on the page');
    expect(await walker.violations()).toEqual([]);
  });
  it('throws no error on the way', () => {
    expect(demo.errors).toEqual([]);
  });
});
