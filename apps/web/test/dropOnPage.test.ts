import { nodesUnder } from '@cove/core';
import { tolvane } from '@cove/core/starters';
import { describe, expect, it } from '@jest/globals';
import { type Box, dropOnPage } from '../src/onPage/dropOnPage.ts';
import { placeOfDrop } from '../src/pages/Outline.tsx';
import { leadsTo } from '../src/pages/TryPage.tsx';

const demo = tolvane(() => 'abcdef0123456789.webp');
const row = demo.kinds.widget.get('feature-cars')?.at.parent ?? '';
/** Three cards beside each other in a row, below a heading, in a section; another section below. */
const boxes: Readonly<Record<string, Box>> = {
  before: { x: 0, y: 0, width: 900, height: 400 },
  'before-title': { x: 50, y: 40, width: 800, height: 40 },
  [row]: { x: 50, y: 100, width: 800, height: 240 },
  'feature-cars': { x: 50, y: 100, width: 250, height: 240 },
  'feature-dogs': { x: 325, y: 100, width: 250, height: 240 },
  'feature-bikes': { x: 600, y: 100, width: 250, height: 240 },
  crossing: { x: 0, y: 400, width: 900, height: 300 },
};
const boxOf = (id: string): Box | null => boxes[id] ?? null;
const drop = (ids: string[], under: string | null, x: number, y: number) =>
  dropOnPage(demo, ids, under, { x, y }, boxOf);

describe('what is dragged on the page', () => {
  it('comes to stand at the left or right of what stands beside others', () => {
    expect(drop(['welcome-title'], 'feature-dogs', 340, 200)).toMatchObject({
      parent: row,
      index: 1,
      line: { width: 3 },
    });
    expect(drop(['welcome-title'], 'feature-dogs', 560, 200)).toMatchObject({ parent: row, index: 2 });
  });
  it('comes to stand above or below what stands in a column', () => {
    const siblings = nodesUnder(demo, 'before');
    const at = siblings.indexOf('before-title');
    expect(drop(['welcome-title'], 'before-title', 300, 45)).toMatchObject({
      parent: 'before',
      index: at,
      line: { height: 3 },
    });
    expect(drop(['welcome-title'], 'before-title', 300, 75)).toMatchObject({
      parent: 'before',
      index: at + 1,
    });
  });
  it('is counted without itself', () => {
    expect(drop(['feature-cars'], 'feature-bikes', 840, 200)).toMatchObject({ parent: row, index: 2 });
  });
  it('cannot come into itself, and a section only among sections', () => {
    expect(drop([row], 'feature-dogs', 340, 200)).not.toMatchObject({ parent: row });
    expect(drop(['before'], 'crossing', 300, 680)).toMatchObject({ parent: 'home' });
    expect(drop(['before'], null, 300, 680)).toBeNull();
  });
});

describe('what is dragged in the outline', () => {
  it('goes before, after or into another, several in one', () => {
    expect(
      placeOfDrop(demo, ['feature-cars', 'feature-dogs'], { over: 'feature-bikes', where: 'after' }),
    ).toEqual({
      parent: row,
      index: 1,
    });
    expect(placeOfDrop(demo, ['feature-cars'], { over: 'crossing', where: 'inside' })).toMatchObject({
      parent: 'crossing',
    });
  });
  it('goes nowhere where it would stay, or stand in itself', () => {
    expect(placeOfDrop(demo, ['feature-cars'], { over: 'feature-dogs', where: 'before' })).toBeNull();
    expect(placeOfDrop(demo, [row], { over: 'feature-dogs', where: 'before' })).toBeNull();
    expect(placeOfDrop(demo, ['feature-cars'], { over: 'home', where: 'inside' })).toBeNull();
  });
});

describe('a link, tried out', () => {
  it.each([
    ['home', 'fares/', { page: 'fares', place: '' }],
    ['fares', '../', { page: 'home', place: '' }],
    ['fares', '../sailings/#s-sailings-list', { page: 'sailings', place: 's-sailings-list' }],
    ['home', '#s-crossing', { page: 'home', place: 's-crossing' }],
    ['home', 'https://tides.example/', { away: 'https://tides.example/' }],
    ['home', 'mailto:harbour@tolvane.example', { away: 'mailto:harbour@tolvane.example' }],
    ['home', 'nowhere/', null],
  ])('on %s to %s', (page, href, expected) => {
    expect(leadsTo(demo, page, href)).toEqual(expected);
  });
});
