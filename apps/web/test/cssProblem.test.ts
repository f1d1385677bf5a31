import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cssProblem } from '../src/bench/cssProblem.ts';

const supported = new Set<string>();
const { CSS: original } = globalThis;
// jsdom has no CSS.supports; what a browser newer than the grammars knows is told here.
beforeEach(() => {
  Object.assign(globalThis, {
    CSS: { supports: (css: string, value: string) => supported.has(`${css}:${value}`) },
  });
});
afterEach(() => {
  supported.clear();
  Object.assign(globalThis, { CSS: original });
});

describe('what is wrong with a declaration', () => {
  it.each([
    ['mix-blend-mode', 'multiply'],
    ['tab-size', 'calc(1 + 1)'],
    ['clip-path', 'circle(4px at 20% 50%)'],
    ['text-shadow', '1px 1px 2px rgb(0 0 0 / 40%)'],
    ['hyphens', 'auto'],
  ])('nothing: %s: %s', (css, value) => {
    expect(cssProblem(css, value)).toBeNull();
  });
  it('a value that the property does not take, with what it takes', () => {
    expect(cssProblem('hyphens', 'sometimes')).toBe('hyphens takes none | manual | auto, not sometimes.');
    expect(cssProblem('mix-blend-mode', 'multiplied')).toContain('not multiplied.');
    expect(cssProblem('tab-size', '')).not.toBeNull();
  });
  it('a property that there is not, unless the browser knows it', () => {
    expect(cssProblem('text-flavour', 'salty')).toBe('There is no property text-flavour.');
    supported.add('text-flavour:salty');
    expect(cssProblem('text-flavour', 'salty')).toBeNull();
  });
  it('a bracket that does not close, with the word of the parser', () => {
    expect(cssProblem('clip-path', 'circle(4px))')).not.toBeNull();
  });
});
