import type { Cursor } from './tokens.ts';

/** A number, a share in per cent, or an angle in degrees. */
export interface Quantity {
  value: number;
  unit: '' | '%' | 'deg';
}

/** A channel as it is written: what CSS Values 4, section 10 has of arithmetic, with the channels of another colour in it. */
export type Expression =
  | { type: 'quantity'; quantity: Quantity }
  | { type: 'none' }
  | { type: 'channel'; name: string }
  | { type: 'operation'; operator: '+' | '-' | '*' | '/'; left: Expression; right: Expression }
  | { type: 'call'; name: 'min' | 'max' | 'clamp'; inputs: readonly Expression[] };

const DEGREES: Readonly<Record<string, number>> = { deg: 1, grad: 0.9, rad: 180 / Math.PI, turn: 360 };
const CONSTANTS: Readonly<Record<string, number>> = { pi: Math.PI, e: Math.E };

const quantityOf = (value: number, unit: string): Quantity | null => {
  if (unit === '' || unit === '%') return { value, unit };
  const degrees = Object.hasOwn(DEGREES, unit) ? DEGREES[unit] : undefined;
  return degrees === undefined ? null : { value: value * degrees, unit: 'deg' };
};

/** One channel; null where none stands. Nesting was bounded before. */
export function parseChannel(cursor: Cursor): Expression | null {
  const it = cursor.next();
  switch (it?.type) {
    case 'number': {
      const quantity = quantityOf(it.value, it.unit);
      return quantity && { type: 'quantity', quantity };
    }
    case 'word': {
      if (it.text === 'none') return { type: 'none' };
      const constant = Object.hasOwn(CONSTANTS, it.text) ? CONSTANTS[it.text] : undefined;
      return constant === undefined
        ? { type: 'channel', name: it.text }
        : { type: 'quantity', quantity: { value: constant, unit: '' } };
    }
    case 'open':
      return parseCall(cursor, it.name);
    default:
      return null;
  }
}

function parseCall(cursor: Cursor, name: string): Expression | null {
  if (name === '' || name === 'calc') {
    const inner = parseSum(cursor);
    return cursor.closes() ? inner : null;
  }
  if (name !== 'min' && name !== 'max' && name !== 'clamp') return null;
  const inputs: Expression[] = [];
  do {
    const input = parseSum(cursor);
    if (!input) return null;
    inputs.push(input);
  } while (cursor.takesSymbol(','));
  const count = name === 'clamp' ? inputs.length === 3 : inputs.length > 0;
  return cursor.closes() && count ? { type: 'call', name, inputs } : null;
}

function parseChain(
  cursor: Cursor,
  operators: readonly ('+' | '-' | '*' | '/')[],
  operand: (cursor: Cursor) => Expression | null,
): Expression | null {
  let left = operand(cursor);
  for (;;) {
    const operator = operators.find(it => cursor.takesSymbol(it));
    if (!left || !operator) return left;
    const right = operand(cursor);
    left = right && { type: 'operation', operator, left, right };
  }
}
const parseProduct = (cursor: Cursor) => parseChain(cursor, ['*', '/'], parseChannel);
const parseSum = (cursor: Cursor): Expression | null => parseChain(cursor, ['+', '-'], parseProduct);

function operate(operator: '+' | '-' | '*' | '/', a: Quantity, b: Quantity): Quantity | null {
  switch (operator) {
    case '+':
    case '-':
      return a.unit === b.unit
        ? { value: operator === '+' ? a.value + b.value : a.value - b.value, unit: a.unit }
        : null;
    case '*':
      if (a.unit !== '' && b.unit !== '') return null;
      return { value: a.value * b.value, unit: a.unit === '' ? b.unit : a.unit };
    case '/':
      return b.unit === '' && b.value !== 0 ? { value: a.value / b.value, unit: a.unit } : null;
  }
}

/** What an expression comes to, given the channels it may name; 'none' of a missing one, null where it comes to nothing. */
export function evaluateChannel(
  it: Expression,
  channels: Readonly<Record<string, number>>,
): Quantity | 'none' | null {
  switch (it.type) {
    case 'quantity':
      return it.quantity;
    case 'none':
      return 'none';
    case 'channel': {
      const value = Object.hasOwn(channels, it.name) ? channels[it.name] : undefined;
      return value === undefined ? null : { value, unit: '' };
    }
    case 'operation': {
      const left = evaluateChannel(it.left, channels);
      const right = evaluateChannel(it.right, channels);
      if (left === null || right === null || left === 'none' || right === 'none') return null;
      return operate(it.operator, left, right);
    }
    case 'call': {
      const inputs: Quantity[] = [];
      for (const input of it.inputs) {
        const found = evaluateChannel(input, channels);
        if (found === null || found === 'none' || (inputs[0] && inputs[0].unit !== found.unit)) return null;
        inputs.push(found);
      }
      const [first, second, third] = inputs;
      if (!first) return null;
      const values = inputs.map(({ value }) => value);
      const value =
        it.name === 'min'
          ? Math.min(...values)
          : it.name === 'max'
            ? Math.max(...values)
            : Math.max(first.value, Math.min(second?.value ?? 0, third?.value ?? 0));
      return { value, unit: first.unit };
    }
  }
}
