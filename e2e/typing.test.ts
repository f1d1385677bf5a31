import { SCHEMA } from '@cove/core';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { Browser } from 'puppeteer-core';
import { howMuch, type Random, seeded, seedOr } from '../packages/core/test/support/random.ts';
import { launchBrowser } from '../scripts/lib/browser.mjs';
import { PROGRAM, until, Walker } from './support/program.ts';

const ACTS = howMuch(24, 400);
const SEED = seedOr(7);

let browser: Browser;
let vera: Walker;
let ines: Walker;
beforeAll(async () => {
  browser = await launchBrowser();
  const somebody = async () => {
    const context = await browser.createBrowserContext();
    const walker = new Walker(await context.newPage(), PROGRAM);
    await walker.enterDemo();
    await atButton(walker);
    await until(
      () => valueIn(walker, 'Label'),
      value => value !== null,
      'the field should be there',
    );
    return walker;
  };
  vera = await somebody();
  ines = await somebody();
});
afterAll(() => browser.close());

/** Goes to the button, with its words to be edited. */
async function atButton(walker: Walker): Promise<void> {
  await walker.open('pages/home?node=book');
  await walker.frame('Page');
  await walker.openContent();
}
const field = (walker: Walker, name: string) => walker.page.$(`::-p-aria([name="${name}"][role="textbox"])`);
const valueIn = async (walker: Walker, name: string): Promise<string | null> =>
  (await (await field(walker, name))?.evaluate(it => ('value' in it ? String(it.value) : ''))) ?? null;
const into = async (walker: Walker, name: string) => {
  await walker.page.bringToFront();
  await (await field(walker, name))?.click({ count: 3 });
};
/** What is told of words that no longer stand, or could not be kept. */
const offered = (walker: Walker): Promise<string> =>
  walker.page.evaluate(
    () => document.querySelector('[aria-label="Overwritten by others"]')?.textContent ?? '',
  );

describe('a field in which one types while somebody else changes the same', () => {
  it('keeps what is typed, says what they set, and keeps one’s own on leaving it; they are told', async () => {
    await into(vera, 'Label');
    await vera.page.keyboard.type('Veras words');
    await into(ines, 'Label');
    await ines.page.keyboard.type('Ines words');
    await ines.press('Enter');
    await ines.kept();
    await vera.page.bringToFront();
    await vera.says('Somebody else set this to “Ines words”');
    expect(await valueIn(vera, 'Label')).toBe('Veras words');
    expect(await vera.violations()).toEqual([]);
    await vera.press('Tab');
    await vera.kept();
    expect(await valueIn(vera, 'Label')).toBe('Veras words');
    await until(
      () => valueIn(ines, 'Label'),
      value => value === 'Veras words',
      'the later stands',
    );
    await ines.page.bringToFront();
    await until(
      () => offered(ines),
      text => text.includes('Ines words'),
      'Ines is told',
    );
    await ines.click('Keep theirs');
  });

  it('can be left to what they set', async () => {
    await into(vera, 'Label');
    await vera.page.keyboard.type('Not after all');
    await into(ines, 'Label');
    await ines.page.keyboard.type('Better words');
    await ines.press('Enter');
    await ines.kept();
    await vera.page.bringToFront();
    await vera.says('Somebody else set this to “Better words”');
    await vera.click('Take theirs');
    expect(await valueIn(vera, 'Label')).toBe('Better words');
  });

  it('offers back what was typed where the thing it is about goes away', async () => {
    await into(vera, 'Label');
    await vera.page.keyboard.type('Words for nobody');
    await ines.page.bringToFront();
    await (await ines.row('Better words')).click();
    await ines.press('Delete');
    await ines.kept();
    await vera.page.bringToFront();
    await until(
      () => offered(vera),
      text => text.includes('Words for nobody'),
      'the words are offered back',
    );
    await vera.click('Dismiss');
    await ines.page.bringToFront();
    await ines.click('Undo');
    await ines.kept();
    for (const walker of [vera, ines]) {
      await walker.page.bringToFront();
      await atButton(walker);
      await until(
        () => valueIn(walker, 'Label'),
        value => value !== null,
        'the field should be there again',
      );
    }
  });
});

describe('undo', () => {
  it('right after Enter takes back the value, though the field has the focus', async () => {
    const before = await valueIn(vera, 'Label');
    await into(vera, 'Label');
    await vera.page.keyboard.type('Soon undone');
    await vera.press('Enter');
    await until(
      () => valueIn(vera, 'Label'),
      value => value === 'Soon undone',
      'it is set',
    );
    await vera.press('Control', 'z');
    await until(
      () => valueIn(vera, 'Label'),
      value => value === before,
      'it is taken back',
    );
    expect(await vera.page.evaluate(() => document.activeElement?.tagName)).toBe('INPUT');
    await vera.press('Control', 'Shift', 'z');
    await until(
      () => valueIn(vera, 'Label'),
      value => value === 'Soon undone',
      'it is done again',
    );
    await vera.page.keyboard.type('!');
    await vera.press('Control', 'z');
    expect(await valueIn(vera, 'Label')).toBe('Soon undone');
    await vera.press('Enter');
    await vera.kept();
  });
});

/** What one of the two does next; the words it leaves in the field to be kept, if any. */
async function act(walker: Walker, random: Random, n: number): Promise<string | null> {
  const words = `w${n}x`;
  await into(walker, 'Label');
  await walker.page.keyboard.type(words);
  switch (random.int(6)) {
    case 0:
      await walker.press('Escape');
      return null;
    case 1:
      await walker.press('Tab');
      return words;
    case 2:
      // Left in the field, for whatever comes next.
      return words;
    case 3:
      await (await walker.row('The crossing')).click();
      await atButton(walker);
      await until(
        () => valueIn(walker, 'Label'),
        value => value !== null,
        'the field should be there',
      );
      return words;
    default:
      await walker.press('Enter');
      return words;
  }
}

describe('two who type into the same field in random order', () => {
  it(`lose nothing without a word, in ${ACTS} acts (seed ${SEED})`, async () => {
    const random = seeded(SEED);
    const { seq } = await vera.page.evaluate(
      async schema => (await fetch(`/api/sites/tolvane?schema=${schema}`)).json(),
      SCHEMA,
    );
    const wanted: { walker: Walker; words: string }[] = [];
    /** What each has in the field and has not left yet: typing again replaces it, as anybody would expect. */
    const open = new Map<Walker, string>();
    for (let n = 0; n < ACTS; n++) {
      const walker = random.int(2) ? vera : ines;
      await walker.page.bringToFront();
      const words = await act(walker, random, n);
      open.delete(walker);
      if (words === null) continue;
      const isOpen =
        (await valueIn(walker, 'Label')) === words &&
        (await walker.page.evaluate(
          () => document.activeElement instanceof HTMLInputElement && !document.activeElement.dataset.settled,
        ));
      if (isOpen) open.set(walker, words);
      else wanted.push({ walker, words });
    }
    for (const walker of [vera, ines]) {
      await walker.page.bringToFront();
      const words = open.get(walker);
      await (await walker.row('The crossing')).click();
      if (words) wanted.push({ walker, words });
      await walker.kept();
    }
    const changes: unknown[] = await vera.page.evaluate(
      async (after, schema) =>
        (await fetch(`/api/sites/tolvane/changes?after=${after}&schema=${schema}`)).json(),
      seq,
      SCHEMA,
    );
    const log = JSON.stringify(changes);
    for (const { walker, words } of wanted)
      if (!log.includes(`"${words}"`))
        expect([words, await offered(walker)]).toEqual([words, expect.stringContaining(words)]);
    expect(wanted.length).toBeGreaterThan(ACTS / 3);
  });
});
