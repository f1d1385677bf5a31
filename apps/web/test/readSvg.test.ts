import { LIMITS } from '@cove/core';
import { tolvane } from '@cove/core/starters';
import { describe, expect, it } from '@jest/globals';
import { readSvg } from '../src/guide/drawings/readSvg.ts';

const site = tolvane(() => 'abcdef0123456789.webp');
const svg = (inside: string) => `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10">${inside}</svg>`;
const said = (text: string) => {
  const read = readSvg(text, site);
  return read.ok ? read.value.paths.length : read.problem.message;
};

describe('an SVG file', () => {
  it('is read to its shapes, wherever they stand, without those that are only defined', () => {
    expect(
      said(svg('<g transform="translate(1 1)"><path d="M0 0h1"/><rect width="2" height="2"/></g>')),
    ).toBe(2);
    expect(said(svg('<defs><path d="M0 0h1"/></defs><path d="M0 0h1"/>'))).toBe(1);
  });
  it('has the same paint worked out once, however many shapes wear it', () => {
    const read = readSvg(svg('<path d="M0 0h1" fill="#2a3a5f"/>'.repeat(3)), site);
    if (!read.ok) throw new Error(read.problem.message);
    const [first, ...others] = read.value.paths;
    for (const it of others) expect(it.fill).toBe(first?.fill);
  });
  it('with more shapes than are taken is refused, and one with far more before any is looked at', () => {
    expect(said(svg('<path d="M0 0h1"/>'.repeat(401)))).toMatch(/^There are 401 shapes/);
    expect(said(svg('<path d="M0 0h1"/>'.repeat(LIMITS.typed.shapes + 1)))).toMatch(/^There are 2001 shapes/);
  });
  it('that is longer than is read is refused', () => {
    expect(said(svg(' '.repeat(LIMITS.typed.drawing)))).toContain('larger than 500 KB');
  });
  it.each(['', '<p>', '{"a":1}', svg('<image href="x"/>'), '<svg xmlns="http://www.w3.org/2000/svg"/>'])(
    'is not %j',
    text => {
      expect(said(text)).toEqual(expect.any(String));
    },
  );
});
