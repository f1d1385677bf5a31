import { writeFileSync } from 'node:fs';
import { ALLOWED_DECLARATIONS } from '@cove/core';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { Browser } from 'puppeteer-core';
import { seeded } from '../packages/core/test/support/random.ts';
import { launchBrowser } from '../scripts/lib/browser.mjs';
import {
  alone,
  faultsOf,
  knownLonghands,
  MOST,
  type Prepared,
  prepare,
  samplesOf,
  together,
} from './support/declarations.ts';

let browser: Browser;
let prepared: Prepared;
beforeAll(async () => {
  browser = await launchBrowser();
  prepared = await prepare(await browser.newPage());
});
afterAll(() => browser.close());

const FILE = new URL('../packages/core/src/properties/allowedDeclarations.ts', import.meta.url);
const ROUNDS = 3;

const isHarmless = async (css: string) =>
  samplesOf(css).length > 0 && (await faultsOf(prepared, alone(css))).length === 0;

/** Those of some properties that do nothing outside their element together either: who spoils it is left out. */
async function harmlessTogether(all: readonly string[]): Promise<string[]> {
  const harmless: string[] = [];
  for (const css of all)
    if (
      (await faultsOf(prepared, together([...harmless, css], seeded(harmless.length), MOST * ROUNDS)))
        .length === 0
    )
      harmless.push(css);
  return harmless;
}

/** Writes the list anew from what the browser and css-tree know: `COVE_WRITE=1 ./cove test e2e`. */
async function writeList(): Promise<void> {
  const single: string[] = [];
  for (const css of await knownLonghands(prepared.page)) if (await isHarmless(css)) single.push(css);
  const harmless = await harmlessTogether(single);
  writeFileSync(
    FILE,
    [
      '/**',
      ' * CSS properties that one may set in one’s own words, without the program following them: those that do nothing outside',
      ' * the element and alter nothing that is followed, whatever they are set to, alone and together. Generated from the',
      ' * properties that Chromium knows and the grammars of css-tree, and held to Chromium by e2e/declarations.test.ts, which',
      ' * writes it.',
      ' */',
      'export const ALLOWED_DECLARATIONS: ReadonlySet<string> = new Set([',
      ...harmless.map(css => `  '${css}',`),
      ']);',
      '',
    ].join('\n'),
  );
}

describe('a declaration of one’s own', () => {
  if (process.env.COVE_WRITE) it('is one of a list that is written here', writeList, 900_000);

  it('paints nothing outside its element and alters nothing that is followed, whatever it is set to', async () => {
    const faults: string[] = [];
    for (const css of ALLOWED_DECLARATIONS) faults.push(...(await faultsOf(prepared, alone(css, MOST))));
    expect(faults).toEqual([]);
    expect(ALLOWED_DECLARATIONS.size).toBeGreaterThan(40);
  });

  it('does not do so together with others either', async () => {
    for (let seed = 1; seed <= 4; seed++)
      expect([seed, await faultsOf(prepared, together([...ALLOWED_DECLARATIONS], seeded(seed)))]).toEqual([
        seed,
        [],
      ]);
  });

  it.each([
    'text-shadow',
    'text-indent',
    'border-image-outset',
    'border-style',
    'rotate',
    'z-index',
    'order',
    'counter-reset',
  ])('is refused where it would: %s', css => {
    expect(ALLOWED_DECLARATIONS.has(css)).toBe(false);
  });

  it.each<[string, string]>([
    ['text-shadow', '30px 30px 0 red'],
    ['text-indent', '-40px'],
    ['transform', 'translate(30px)'],
    ['outline', '9px solid red'],
    ['z-index', '9'],
    ['align-self', 'end'],
    ['border-width', '3px'],
  ])('would be found out: %s: %s', async (css, value) => {
    const found = await faultsOf(prepared, [[[css, value]]]);
    if (css === 'z-index')
      expect(
        await faultsOf(prepared, [
          [
            ['position', 'relative'],
            [css, value],
          ],
        ]),
      ).not.toEqual([]);
    else expect(found).not.toEqual([]);
  });
});
