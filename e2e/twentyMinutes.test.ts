import { CHECKS, failuresOf, isLoose, SCHEMA, type Site, siteOf } from '@cove/core';
import { describe, expect, it } from '@jest/globals';
import { PROGRAM, until, walkDemo } from './support/program.ts';

const demo = walkDemo();

/** The most that somebody does who has never seen the program. */
const MOST_ACTIONS = 150;

/** Brands of the scenario that nothing else in the program or its tests uses. */
const BRANDS = [
  {
    name: 'Gannet Row Bindery',
    id: 'gannet-row-bindery',
    lines: [
      'Identity #3b1f4a',
      'Action oklch(0.52 0.17 28)',
      'Neutral #7d7a72',
      'Success #2c7a4b, warning #a8650b, danger #b3202f',
      'headings Literata, text Figtree',
      'base 17px, ratio 1.2',
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

/** What each text that asks for words is given. */
const WORDS: readonly (readonly [string, string])[] = [
  ['Say it in a few large words', 'Books that open flat'],
  [
    'Then add what people need to know first: what, where, and when.',
    'Sewn by hand behind the old fish market, Tuesday to Saturday.',
  ],
  ['Reason one', 'Sewn, never glued'],
  ['What people get, in a sentence or two.', 'Every page turns right down to the fold.'],
  ['Reason two', 'Your own cover'],
  ['How it is done, in a sentence or two.', 'Bring a cloth you are fond of, and we stretch it over board.'],
  ['Reason three', 'Mended for life'],
  ['What it saves them, in a sentence or two.', 'If a seam ever gives, we sew it again for nothing.'],
  [
    'What somebody said about you, in their own words.',
    'It has been to sea and back, and it still closes with a click.',
  ],
  ['Who said it', 'A keeper of log books'],
  ['The first thing that people do.', 'Choose a size and a paper.'],
  ['What you do then.', 'We fold, sew and press for a week.'],
  ['What they have in the end.', 'A book that lies flat on the table.'],
  [
    'Say in a sentence what happens after they press the button, and how long it takes.',
    'We answer by the next evening with a price.',
  ],
  [
    'Street and number, town, and how to find the door. Opening hours by day.',
    '7 Gannet Row, up the green stairs. Tuesday to Saturday, nine to five.',
  ],
  ['The nearest stop or station', 'Bus 4 to the Fish Market'],
  ['Where to park a car or a bike', 'Bikes in the yard, cars by the quay'],
  ['Step-free access', 'A lift from the yard'],
];

async function siteAt(id: string): Promise<Site> {
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
    async ({ name, id, lines }) => {
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
        await click(purpose, 'radio');
        await click(section, 'button');
      }
      await until(
        () => page.$$eval('main > *', all => all.length),
        n => n === SECTIONS.length,
        'six sections',
      );
      for (const [asked, words] of WORDS) {
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
      expectFinished(await siteAt(id));
      expect(demo.errors).toEqual([]);
    },
    180_000,
  );
});
