import { describe, expect, it } from '@jest/globals';
import { printPainted } from '../src/color/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange } from '../src/site/index.ts';
import { literalOf, NO_REBINDS, parseTokenValue, pasteSwatches, printTyped } from '../src/tokens/index.ts';
import { demoSite } from './support/demo.ts';
import { pastedInto } from './support/incoming.ts';
import { tiny } from './support/tiny.ts';

const { token: tokens } = demoSite().kinds;
const typed = (text: string) => {
  const read = parseTokenValue(text, 'color', tokens);
  return read.ok ? printTyped(read.value, tokens) : read.problem.code;
};

describe('a colour of CSS Color Module Level 5 that names tokens', () => {
  it.each([
    ['color-mix(in oklch, {color.brand.hull} 80%, white)', 'tint({color.brand.hull}, 20%)'],
    ['color-mix(in oklch, white, {color.brand.hull} 80%)', 'tint({color.brand.hull}, 20%)'],
    ['color-mix(in oklab, {color.brand.hull}, black 30%)', 'shade({color.brand.hull}, 30%)'],
    [
      'color-mix(in oklch, {color.brand.hull}, {color.brand.rope} 30%)',
      'mix({color.brand.hull}, {color.brand.rope}, 30%)',
    ],
    ['color-mix(in srgb, {color.brand.hull} 40%, transparent)', 'alpha({color.brand.hull}, 40%)'],
    ['oklch(from {color.brand.hull} 0.6 c h)', 'lightness({color.brand.hull}, 60%)'],
    ['oklch(from {color.brand.hull} calc(l - 0.1) c h)', 'shift({color.brand.hull}, -10%)'],
    ['rgb(from {color.brand.hull} r g b / 50%)', 'alpha({color.brand.hull}, 50%)'],
  ])('%s is kept as %s', (text, kept) => {
    expect(typed(text)).toBe(kept);
  });
  it.each([
    'color-mix(in srgb, {color.brand.hull}, {color.brand.lamp})',
    'color-mix(in srgb, {color.brand.hull} 60%, white)',
    'oklch(from {color.brand.hull} l 0 h)',
    'hsl(from {color.brand.lamp} calc(h + 40) s l)',
  ])('%s, which no derivation says, is the colour it comes to', text => {
    expect(typed(text)).toMatch(/^(oklch|oklab|color|#|hsl)/);
  });
  it('is refused where it names no token, or makes no colour', () => {
    expect(typed('color-mix(in oklch, {color.brand.none}, white)')).toBe('bad-value');
    expect(typed('color-mix(in oklch, {size.space.one}, white)')).toBe('bad-value');
  });
});

describe('a pasted style sheet', () => {
  const SHEET = `:root {
    --hull: #2a3a5f;
    --hull-soft: color-mix(in oklch, var(--hull) 70%, white);
    --hull-hover: oklch(from var(--hull) calc(l - 0.06) c h);
    --glass: rgb(from var(--hull) r g b / 20%);
    --ink: var(--missing, #141c30);
    --page: light-dark(#f5fbff, #141c30);
    --odd: color-mix(in srgb, var(--hull), var(--page));
    --loop: color-mix(in oklch, var(--loop), white);
    --deep: color-mix(in oklch, var(--hull-soft), black 40%);
    --half: oklch(calc(0.2 + 0.3) 0.1 200);
  }`;
  const pasted = must(pasteSwatches(SHEET));
  it('has its derivations kept, and what none says as the colour it comes to', () => {
    const { edits } = pastedInto(tiny(), SHEET, 'Pasted');
    const made = must(applyChange(tiny(), { edits })).site.kinds.token;
    const said = [...made.values()].flatMap(it =>
      it.group === 'Pasted' ? [[it.name, printTyped(it.value, made)] as const] : [],
    );
    expect(Object.fromEntries(said)).toMatchObject({
      Hull: '#2a3a5f',
      'Hull soft': 'tint({color.pasted.hull}, 30%)',
      'Hull hover': 'shift({color.pasted.hull}, -6%)',
      Glass: 'alpha({color.pasted.hull}, 20%)',
      Ink: '#141c30',
      Page: '#f5fbff',
      Deep: 'shade({color.pasted.hull-soft}, 40%)',
      Half: 'oklch(0.5 0.1 200)',
    });
    const odd = [...made.values()].find(it => it.name === 'Odd');
    expect(odd?.value.type).toBe('color');
    for (const [i, swatch] of pasted.swatches.entries()) {
      const token = [...made.values()].filter(it => it.group === 'Pasted')[i];
      const end = token && literalOf(made, NO_REBINDS, token.value);
      expect(end?.type === 'color' && printPainted(end.value)).toBe(printPainted(swatch.color));
    }
  });
  it('says of a colour that follows itself that it was not read', () => {
    expect(pasted.unread.map(it => it.text)).toEqual(['--loop: color-mix(in oklch, var(--loop), white)']);
  });
});
