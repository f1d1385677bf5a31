import { PROPERTIES } from '@cove/core';
import { type DSNode, definitionSyntax, lexer as untyped } from 'css-tree';
import type { Page } from 'puppeteer-core';
import sharp from 'sharp';
import type { Random } from '../../packages/core/test/support/random.ts';

/** What the types of css-tree leave out of its lexer. */
interface Grammars {
  getProperty(name: string): { syntax: DSNode } | null;
  getType(name: string): { syntax: DSNode } | null;
}
const lexer: Grammars & typeof untyped = Object.assign(untyped);

/** CSS names of what the program follows. A height is left out: what stands in an element may change it. */
const FOLLOWED = PROPERTIES.map(row => row.css).filter(css => css !== 'height');

/** Values of many types, some of them far out, so that what can reach outside does. */
const ANY = [
  ...[
    '0',
    '1',
    '3',
    '0.5',
    '40px',
    '-40px',
    '400px',
    '-400px',
    '150%',
    '-150%',
    '45deg',
    '1s',
    'red',
    'auto',
    'none',
  ],
  ...[
    '10px 20px',
    '-30px 30px',
    '1 1',
    'both',
    '2 / 3',
    'circle(40px)',
    'inset(-40px)',
    'translate(100px)',
    'scale(3)',
  ],
  ...[
    'blur(10px)',
    'drop-shadow(30px 30px 0 red)',
    '30px 30px 0 red',
    'linear-gradient(red, blue)',
    '4 200px',
    'repeat(3, 1fr)',
  ],
];

/** Words of a grammar of css-tree, its types followed a few steps. */
function wordsOf(syntax: DSNode, depth = 3): string[] {
  const words: string[] = [];
  definitionSyntax.walk(syntax, node => {
    if (node.type === 'Keyword') words.push(node.name);
    if (node.type !== 'Type' || depth === 0) return;
    const inner = lexer.getType(node.name)?.syntax;
    if (inner) words.push(...wordsOf(inner, depth - 1));
  });
  return words;
}

/** Values to try a property with: what its grammar says, and what many take. */
export function samplesOf(css: string): string[] {
  const syntax = lexer.getProperty(css)?.syntax;
  return [...new Set([...(syntax ? wordsOf(syntax) : []), ...ANY])]
    .filter(it => /^[\w\s.,%#()+\-*/]+$/.test(it) && !lexer.matchProperty(css, it).error)
    .slice(0, 28);
}

/** Types whose values are names that a whole page shares: what is named here is found elsewhere. */
const NAMES = new Set([
  'custom-ident',
  'dashed-ident',
  'counter-name',
  'keyframes-name',
  'timeline-range-name',
]);

function takesNames(syntax: DSNode, depth = 4): boolean {
  let found = false;
  definitionSyntax.walk(syntax, node => {
    if (node.type !== 'Type') return;
    if (NAMES.has(node.name)) found = true;
    const inner = depth > 0 ? lexer.getType(node.name)?.syntax : null;
    if (inner && takesNames(inner, depth - 1)) found = true;
  });
  return found;
}

/**
 * Families that are about more than one element, whatever a picture of it shows: what is named, timed, counted, placed,
 * broken over columns or pages, or scrolled to; and those of drawings, which would alter icons without a trace.
 */
const OF_MORE =
  /^(animation|transition|timeline|trigger|view|scroll-(timeline|marker|target|initial|behavior)|counter|anchor|position|offset|overlay|overflow-anchor|reading|interest|interactivity|pointer|z|order|border-image|column|break|contain|marker|grid|margin|perspective|speak|quotes|dynamic|visibility|interpolate|field|c[xy]|d|r[xy]?|x|y|fill|stroke|stop|flood|lighting|clip|color-interpolation|mask-type|vector|shape-rendering|paint|baseline|alignment|dominant|orphans|widows|ruby)(-|$)/;

/** Longhands that this browser knows and css-tree has a grammar for. */
export async function knownLonghands(page: Page): Promise<string[]> {
  const known = await page.evaluate(() => [...getComputedStyle(document.documentElement)]);
  return known
    .filter(css => {
      const grammar =
        css.startsWith('-') || OF_MORE.test(css) || FOLLOWED.includes(css) ? null : lexer.getProperty(css);
      return grammar !== null && !takesNames(grammar.syntax);
    })
    .sort();
}

/** How the element stands among others: by itself, in a row, in a grid, in a line of text, one below another. */
const CONTEXTS = ['alone', 'row', 'grid', 'line', 'flow'] as const;
const CELL = { width: 160, height: 110 };
/** Values that one picture has room for, each in every context. */
export const MOST = 7;
const VIEW = { width: CONTEXTS.length * CELL.width, height: MOST * CELL.height };

export interface Prepared {
  page: Page;
  /** The page with nothing set on any of its elements. */
  untouched: Pixels;
}

export async function prepare(page: Page): Promise<Prepared> {
  await page.setViewport(VIEW);
  const cells = Array.from({ length: MOST * CONTEXTS.length }, (_, i) => {
    const [x, y] = [(i % CONTEXTS.length) * CELL.width, Math.floor(i / CONTEXTS.length) * CELL.height];
    return `<div class="cell" style="left:${x}px;top:${y}px"><div class="${CONTEXTS[i % CONTEXTS.length]}"><span class="before">Before</span><div class="it">Words <b>in it</b> too<ul><li>one</li></ul><i class="block"></i></div><span class="behind">Behind</span></div><div class="over"></div></div>`;
  });
  await page.setContent(`<!doctype html><style>
    body { margin: 0; background: #fff; font: 9px/1.2 sans-serif; overflow: hidden }
    .cell { position: absolute; width: ${CELL.width}px; height: ${CELL.height}px }
    .cell > :first-child { position: absolute; left: 20px; top: 25px; width: 120px }
    .it { width: 64px; padding: 3px; border: 2px solid #258; background: #def; color: #123; box-sizing: border-box }
    .alone .it { position: absolute; left: 20px; top: 12px }
    .row { display: flex; height: 70px; align-items: start } .row .it { flex: none }
    .grid { display: grid; grid-template-columns: 25px 64px 25px; align-items: start }
    .line .it { display: inline-block }
    .over { position: absolute; left: 75px; top: 60px; width: 14px; height: 14px; background: #fc3 }
    ul { margin: 0; padding-left: 14px }
    .block { display: block; width: 16px; height: 6px; background: #c63 }
  </style>${cells.join('')}`);
  return { page, untouched: await picture(page) };
}

interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** Declarations set on the element of each context, and what came of them. */
type Declarations = readonly (readonly [css: string, value: string])[];

/** Sets each of some lists of declarations in a row of cells; answers what of what is followed it altered, and the boxes. */
const setAll = (page: Page, lists: readonly Declarations[], followed: readonly string[], contexts: number) =>
  page.evaluate(
    (all, names, perRow) => {
      const boxes: Box[] = [];
      const altered: string[] = [];
      let taken = 0;
      const boxOf = (it: Element): Box => {
        const { x, y, width, height } = it.getBoundingClientRect();
        return { x, y, width, height };
      };
      const valuesOf = (cell: Element) =>
        [...cell.querySelectorAll('.it, .it b, .it li, .it .block, .before, .behind')].map(it => {
          const style = getComputedStyle(it);
          return names.map(name => style.getPropertyValue(name));
        });
      const placesOf = (cell: Element) => [...cell.querySelectorAll('.before, .behind')].map(boxOf);
      for (const [i, cell] of [...document.querySelectorAll('.cell')].entries()) {
        const it = cell.querySelector<HTMLElement>('.it');
        if (!it) continue;
        it.removeAttribute('style');
        const [values, places, old] = [valuesOf(cell), placesOf(cell), boxOf(it)];
        const list = (all[Math.floor(i / perRow)] ?? []).filter(([css, value]) => CSS.supports(css, value));
        for (const [css, value] of list) it.style.setProperty(css, value);
        taken += list.length;
        const said = list.map(([css, value]) => `${css}: ${value}`).join('; ');
        if (list.length > 0)
          for (const [k, after] of valuesOf(cell).entries()) {
            const which = after.findIndex((text, n) => text !== values[k]?.[n]);
            if (which >= 0) altered.push(`${said} alters ${names[which]}`);
          }
        const now = boxOf(it);
        const isAlone = i % perRow === 0;
        const grew = now.width !== old.width || now.height !== old.height;
        // What stands beside something that grows makes room for it; else it stays where it is.
        if (now.width !== old.width || (isAlone && (now.x !== old.x || now.y !== old.y)))
          altered.push(`${said} moves or widens it`);
        else if (!grew && JSON.stringify([placesOf(cell), now]) !== JSON.stringify([places, old]))
          altered.push(`${said} moves what stands beside it, or it among them`);
        boxes.push(isAlone || !grew ? now : boxOf(cell));
      }
      return { boxes, altered, taken };
    },
    lists,
    followed,
    contexts,
  );

interface Pixels {
  width: number;
  height: number;
  /** Three bytes a pixel. */
  data: Uint8Array;
}

async function picture(page: Page): Promise<Pixels> {
  const { data, info } = await sharp(await page.screenshot({ type: 'png' }))
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { width: info.width, height: info.height, data };
}

/** How far the edge of a box may be drawn outside it, in px. */
const EDGE = 1;
/** What lies over the element stays over it: `.over` in its cell. */
const OVER: Box = { x: 76, y: 61, width: 12, height: 12 };

function differsOutside(
  before: Pixels,
  after: Pixels,
  boxes: readonly Box[],
): { x: number; y: number } | null {
  const inside = new Uint8Array(before.width * before.height);
  const fill = ({ x, y, width, height }: Box, by: number, edge: number) => {
    for (let row = Math.max(0, Math.floor(y) - edge); row < Math.min(before.height, y + height + edge); row++)
      inside.fill(
        by,
        row * before.width + Math.max(0, Math.floor(x) - edge),
        row * before.width + Math.min(before.width, Math.ceil(x + width) + edge),
      );
  };
  for (const box of boxes) fill(box, 1, EDGE);
  for (const [i, box] of boxes.entries()) {
    if (box.width >= CELL.width) continue;
    const [x, y] = [(i % CONTEXTS.length) * CELL.width, Math.floor(i / CONTEXTS.length) * CELL.height];
    fill({ ...OVER, x: x + OVER.x, y: y + OVER.y }, 0, 0);
  }
  for (let at = 0; at < inside.length; at++) {
    if (inside[at]) continue;
    for (let channel = 0; channel < 3; channel++)
      if (before.data[at * 3 + channel] !== after.data[at * 3 + channel])
        return { x: at % before.width, y: Math.floor(at / before.width) };
  }
  return null;
}

/** What some lists of declarations do beyond the element they are set on, or to what the program follows. */
export async function faultsOf(
  { page, untouched }: Prepared,
  lists: readonly Declarations[],
): Promise<string[]> {
  const faults: string[] = [];
  for (let from = 0; from < lists.length; from += MOST) {
    const some = lists.slice(from, from + MOST);
    const { boxes, altered, taken } = await setAll(page, some, FOLLOWED, CONTEXTS.length);
    faults.push(...altered);
    if (taken === 0 || altered.length > 0) continue;
    const at = differsOutside(untouched, await picture(page), boxes);
    const row = at && some[Math.floor(at.y / CELL.height)];
    if (at)
      faults.push(`${row?.map(it => it.join(': ')).join('; ')} paints outside its box, at ${at.x}, ${at.y}`);
  }
  return faults;
}

/** A property by itself, with every one of its samples, or some of them. */
export const alone = (css: string, most = Number.POSITIVE_INFINITY): Declarations[] =>
  samplesOf(css)
    .slice(0, most)
    .map(value => [[css, value]]);

/** Many properties together, each with some sample of its own: what one of them cannot do alone, another may let it. */
export const together = (all: readonly string[], random: Random, count = MOST): Declarations[] =>
  Array.from({ length: count }, () => all.map(css => [css, random.pick(samplesOf(css))] as const));
