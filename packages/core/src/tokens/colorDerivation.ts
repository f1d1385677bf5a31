import { type Color, printPainted } from '../color/index.ts';
import {
  type ColorSyntax,
  colorOf,
  type Expression,
  evaluateChannel,
  type Lookup,
} from '../color/parse/index.ts';
import { derivationNamed } from '../derivations/index.ts';

type Reference = ColorSyntax & { type: 'reference' };

/** A derivation that is said of references instead of tokens. */
export interface WrittenDerivation {
  op: string;
  from: readonly Reference[];
  by: readonly number[];
}

const isReference = (it: ColorSyntax): it is Reference => it.type === 'reference';
const thousandths = (n: number): number => Number(n.toFixed(4));

/** The number a channel is, where it is one that names no other channel; per cent of 1. */
function numberIn(it: Expression): number | null {
  const found = evaluateChannel(it, {});
  return found === null || found === 'none' || found.unit === 'deg'
    ? null
    : found.unit === '%'
      ? found.value / 100
      : found.value;
}

const isChannel = (it: Expression, name: string): boolean => it.type === 'channel' && it.name === name;

/** `l + n`, `l - n`: how far a channel is moved; null for anything else. */
function movedBy(it: Expression, name: string): number | null {
  if (it.type !== 'operation' || (it.operator !== '+' && it.operator !== '-') || !isChannel(it.left, name))
    return null;
  const by = numberIn(it.right);
  return by === null ? null : it.operator === '+' ? by : -by;
}

/** What a mix of a reference and white, black, nothing or another reference could be. */
function ofMix(it: ColorSyntax & { type: 'mix' }): WrittenDerivation[] {
  const [a, b] = it.parts;
  const second = b.percent ?? 100 - (a.percent ?? 50);
  const first = a.percent ?? 100 - second;
  if (first + second !== 100) return [];
  const share = thousandths(second / 100);
  if (isReference(a.color) && isReference(b.color))
    return [{ op: 'mix', from: [a.color, b.color], by: [share] }];
  const [from, by] = isReference(a.color)
    ? [a.color, share]
    : isReference(b.color)
      ? [b.color, thousandths(1 - share)]
      : [null, 0];
  if (!from) return [];
  return [
    { op: 'tint', from: [from], by: [by] },
    { op: 'shade', from: [from], by: [by] },
    { op: 'alpha', from: [from], by: [thousandths(1 - by)] },
  ];
}

/** What a colour relative to a reference could be: another lightness, a step of it, or the same see-through. */
function ofRelative(it: ColorSyntax & { type: 'channels' }): WrittenDerivation[] {
  if (!it.from || !isReference(it.from)) return [];
  const from = [it.from];
  const [a, b, c] = it.channels;
  const [x, y, z] = it.shape.channels;
  const found: WrittenDerivation[] = [];
  const rest = isChannel(b, y) && isChannel(c, z);
  if (rest && it.alpha === null && it.shape.space === 'oklch') {
    const lightness = numberIn(a);
    const by = movedBy(a, x);
    if (lightness !== null) found.push({ op: 'lightness', from, by: [thousandths(lightness)] });
    if (by !== null) found.push({ op: 'shift', from, by: [thousandths(by)] });
  }
  const alpha = it.alpha && numberIn(it.alpha);
  if (rest && isChannel(a, x) && alpha !== null) found.push({ op: 'alpha', from, by: [alpha] });
  return found;
}

const samePaint = (a: Color, b: Color): boolean =>
  printPainted(a) === printPainted(b) && printPainted(a, 'display-p3') === printPainted(b, 'display-p3');

/**
 * The derivation that expresses the same as a written colour (CSS Color 5: `color-mix()`, relative colours): one of the
 * guide's that has the same shape, and with what its references stand for now paints the same. Null where none does.
 */
export function derivationOf(it: ColorSyntax, lookup: Lookup): WrittenDerivation | null {
  const whole = colorOf(it, lookup);
  if (!whole) return null;
  const candidates = it.type === 'mix' ? ofMix(it) : it.type === 'channels' ? ofRelative(it) : [];
  return (
    candidates.find(({ op, from, by }) => {
      const rule = derivationNamed(op);
      const inputs = from.map(lookup);
      if (!rule || inputs.some(input => input === null)) return false;
      if (!rule.accepts({ op, from: from.map(() => ''), by })) return false;
      const values = inputs.flatMap(input => (input ? [{ type: 'color', value: input } as const] : []));
      const computed = rule.compute(values, by);
      return computed?.type === 'color' && samePaint(computed.value, whole);
    }) ?? null
  );
}
