import { CHECKS, failuresOf, isLoose, SCHEMA, type Site, siteOf } from '@cove/core';
import { describe, expect, it } from '@jest/globals';
import type { KeyInput } from 'puppeteer-core';
import { howMuch } from '../packages/core/test/support/random.ts';
import { PROGRAM, until, walkDemo } from './support/program.ts';

const demo = walkDemo();

/** The most that somebody does who has never seen the program. */
const MOST_ACTIONS = 150;

/** Brands of the scenario that nothing else in the program or its tests uses. */
const BRANDS = [
  {
    name: 'Gannet Row Bindery',
    lines: [
      'Identity #3b1f4a',
      'Action oklch(0.52 0.17 28)',
      'Neutral #7d7a72',
      'Success #2c7a4b, warning #a8650b, danger #b3202f',
      'headings Literata, text Figtree',
      'base 17px, ratio 1.2',
    ],
  },
  {
    name: 'Low Tide Radio',
    lines: [
      '--brand: hsl(192 70% 30%);',
      '--action: #f2b705;',
      '--neutral: #8a9296;',
      '--success: #1f9d6b; --warning: #e08a00; --danger: #d0342c;',
      '--font-heading: "Bricolage Grotesque", sans-serif;',
      '--font-text: "Source Sans 3", sans-serif;',
      'base 17px',
      'ratio 1.25',
    ],
  },
  {
    name: 'Shearwater Yard',
    lines: [
      'Identity rgb(24 24 27), action rgb(190 242 100), neutral rgb(113 113 122)',
      'success #4d7c0f, warning #ca8a04, danger #9f1239',
      'headings Outfit, text Lora',
      'base 17px, ratio 1.333, corners 0',
    ],
  },
] as const;

const SECTIONS = [
  ['Opening', 'Large words'],
  ['Features', 'Three in a row'],
  ['Proof', 'One voice'],
  ['Content', 'Steps in order'],
  ['Call to action', 'One thing to do'],
  ['Contact', 'Where to find us'],
] as const;

/** What each text that asks for words is given, and the field of the bench that holds it. */
const WORDS: readonly (readonly [field: string, asked: string, words: string])[] = [
  ['Words', 'Say it in a few large words', 'Books that open flat'],
  [
    'Words',
    'Then add what people need to know first: what, where, and when.',
    'Sewn by hand behind the old fish market, Tuesday to Saturday.',
  ],
  ['Title', 'Reason one', 'Sewn, never glued'],
  ['Text', 'What people get, in a sentence or two.', 'Every page turns right down to the fold.'],
  ['Title', 'Reason two', 'Your own cover'],
  [
    'Text',
    'How it is done, in a sentence or two.',
    'Bring a cloth you are fond of, and we stretch it over board.',
  ],
  ['Title', 'Reason three', 'Mended for life'],
  ['Text', 'What it saves them, in a sentence or two.', 'If a seam ever gives, we sew it again for nothing.'],
  [
    'Words',
    'What somebody said about you, in their own words.',
    'It has been to sea and back, and it still closes with a click.',
  ],
  ['Source', 'Who said it', 'A keeper of log books'],
  ['Words', 'The first thing that people do.', 'Choose a size and a paper.'],
  ['Words', 'What you do then.', 'We fold, sew and press for a week.'],
  ['Words', 'What they have in the end.', 'A book that lies flat on the table.'],
  [
    'Words',
    'Say in a sentence what happens after they press the button, and how long it takes.',
    'We answer by the next evening with a price.',
  ],
  [
    'Words',
    'Street and number, town, and how to find the door. Opening hours by day.',
    '7 Gannet Row, up the green stairs. Tuesday to Saturday, nine to five.',
  ],
  ['Words', 'The nearest stop or station', 'Bus 4 to the Fish Market'],
  ['Words', 'Where to park a car or a bike', 'Bikes in the yard, cars by the quay'],
  ['Words', 'Step-free access', 'A lift from the yard'],
];

/** The site that is open. */
async function siteNow(): Promise<Site> {
  const id = /\/sites\/([^/?]+)/.exec(demo.walker.page.url())?.[1] ?? '';
  const records = await demo.walker.page.evaluate(
    async (site, schema) => (await (await fetch(`/api/sites/${site}?schema=${schema}`)).json()).records,
    id,
    SCHEMA,
  );
  return siteOf(records);
}

/** Values on pages that come from nowhere in the guide. */
const looseOnPages = ({ kinds: { section, widget } }: Site): string[] =>
  [...section.values(), ...widget.values()].flatMap(it =>
    Object.entries(it.styles).flatMap(([slot, value]) => (isLoose(value) ? [`${it.id} ${slot}`] : [])),
  );

function expectFinished(site: Site) {
  expect(site.kinds.section.size).toBeGreaterThanOrEqual(6);
  expect(looseOnPages(site)).toEqual([]);
  expect(failuresOf(site).all).toEqual([]);
  for (const check of [CHECKS.firstWordsLeft, CHECKS.contrast])
    expect(
      check
        .begin()
        .findings(site)
        .map(it => it.message),
    ).toEqual([]);
}

describe('a brand and a page of six sections, by somebody who has never seen the program', () => {
  it.each(BRANDS)(
    'are made by pointer: $name',
    async ({ name, lines }) => {
      const { walker } = demo;
      let actions = 0;
      const click = async (what: string, role?: string) => {
        actions++;
        await walker.click(what, role);
      };
      const write = async (text: string) => {
        actions++;
        await walker.page.keyboard.type(text);
      };
      await walker.page.goto(PROGRAM);
      await click('New site');
      await click('Name', 'textbox');
      await write(name);
      await click('Brand values');
      await write(lines.join('\n'));
      await walker.says('every text meets its contrast');
      await click('Create site');
      await walker.frame('Specimen');
      await click('Pages');
      const page = await walker.frame('Page');
      for (const [purpose, section] of SECTIONS) {
        await click('Section', 'button');
        await click(purpose, 'button');
        await click(section, 'option');
        await click('Add section', 'button');
      }
      await until(
        () => page.$$eval('main > *', all => all.length),
        n => n === SECTIONS.length,
        'six sections',
      );
      for (const [, asked, words] of WORDS) {
        // Two clicks on the words, all of them marked, others typed.
        const at = await page.evaluate(text => {
          const found = [...document.querySelectorAll<HTMLElement>('main [data-part]')]
            .filter(it => it.textContent?.trim() === text)
            .at(-1);
          found?.setAttribute('data-asked', text);
          return found ? 1 : 0;
        }, asked);
        if (!at) throw new Error(`“${asked}” is nowhere on the page`);
        actions += 2;
        await walker.clickOnCanvas(`[data-asked="${asked}"]`, 2);
        await page.waitForSelector('[contenteditable]');
        await walker.press('Control', 'a');
        await write(words);
      }
      await walker.press('Escape');
      await walker.kept();
      expect(actions).toBeLessThanOrEqual(MOST_ACTIONS);
      expectFinished(await siteNow());
      expect(demo.errors).toEqual([]);
    },
    180_000,
  );

  // One is enough to see that keys lead everywhere; `--long` walks them all.
  it.each(BRANDS.slice(0, howMuch(1, BRANDS.length)))(
    'are made by keys alone: $name',
    async ({ name, lines }) => {
      const { walker } = demo;
      let actions = 0;
      const goTo = async (what: string) => {
        actions++;
        await walker.tabTo(what);
      };
      const press = async (...keys: KeyInput[]) => {
        actions++;
        await walker.press(...keys);
      };
      const write = async (text: string) => {
        actions++;
        await walker.page.keyboard.type(text);
      };
      /** Whatever the program has, by its name. */
      const find = async (what: string) => {
        await press('Control', 'k');
        await walker.page.waitForSelector('[role=dialog]');
        await write(what);
        await walker.page.waitForSelector('[cmdk-item][data-selected=true]');
        await walker.press('Enter');
        await until(
          () => walker.page.$('[role=dialog] [cmdk-input]'),
          it => it === null,
          'the search should be closed',
        );
      };
      await walker.page.goto(PROGRAM);
      await goTo('New site');
      await press('Enter');
      // The name is what the page begins with.
      await walker.page.waitForSelector('input:focus');
      await write(name);
      await goTo('Brand values');
      await write(lines.join('\n'));
      await walker.says('every text meets its contrast');
      await goTo('Create site');
      await press('Enter');
      await walker.frame('Specimen');
      await goTo('Pages');
      await press('Enter');
      const page = await walker.frame('Page');
      for (const [, section] of SECTIONS) {
        await find('Add a section at the end');
        await walker.page.waitForSelector('[role=combobox][aria-controls=library]:focus');
        await write(section);
        await press('Enter');
      }
      await until(
        () => page.$$eval('main > *', all => all.length),
        n => n === SECTIONS.length,
        'six sections',
      );
      let isOpen = false;
      for (const [field, asked, words] of WORDS) {
        await find(asked.slice(0, 40));
        if (field === 'Title' && !isOpen) {
          isOpen = true;
          await goTo('Content');
          await press('Enter');
        }
        await goTo(field);
        await walker.press('Control', 'a');
        await write(words);
      }
      await walker.press('Tab');
      await walker.kept();
      expect(actions).toBeLessThanOrEqual(MOST_ACTIONS);
      expectFinished(await siteNow());
      expect(demo.errors).toEqual([]);
    },
    300_000,
  );
});
