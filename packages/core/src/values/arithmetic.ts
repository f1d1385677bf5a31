import { LIMITS } from '../limits/index.ts';
import { REM } from './fluid.ts';

/** A number with its unit, which is empty where it has none. */
interface Amount {
  value: number;
  unit: string;
}

/** What a sum comes to, as CSS writes it. */
export interface WorkedOut {
  text: string;
  /** Whether px and rem were put together, which holds where a rem is 16 px. */
  isMixed: boolean;
}

const NUMBER = /((?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)([a-z]+|%)?/iy;
const CALL = /(calc|min|max)?\(/iy;

/** One sum, read from its beginning to its end; every method answers null for what cannot be worked out. */
class Sum {
  isMixed = false;
  private at = 0;
  private depth = 0;

  constructor(private readonly text: string) {}

  whole(): Amount | null {
    const amount = this.sum();
    this.space();
    return this.at === this.text.length ? amount : null;
  }

  private space(): void {
    while (/\s/.test(this.text.charAt(this.at))) this.at++;
  }

  /** Passes over one of some characters; empty where another stands there. */
  private passed(characters: string): string {
    this.space();
    const c = this.text.charAt(this.at);
    if (c === '' || !characters.includes(c)) return '';
    this.at++;
    return c;
  }

  private sum(): Amount | null {
    let left = this.product();
    for (let sign = this.passed('+-'); sign !== ''; sign = this.passed('+-')) {
      const right = this.product();
      const both = left && right && this.alike(left, right);
      left = both && { value: both[0] + (sign === '+' ? both[1] : -both[1]), unit: both[2] };
    }
    return left;
  }

  private product(): Amount | null {
    let left = this.operand();
    for (let sign = this.passed('*/'); sign !== ''; sign = this.passed('*/')) {
      const right = this.operand();
      if (!left || !right) return null;
      if (sign === '/') left = right.unit === '' && right.value !== 0 ? scaled(left, 1 / right.value) : null;
      else
        left =
          right.unit === '' ? scaled(left, right.value) : left.unit === '' ? scaled(right, left.value) : null;
    }
    return left;
  }

  private operand(): Amount | null {
    let sign = 1;
    for (let c = this.passed('+-'); c !== ''; c = this.passed('+-')) if (c === '-') sign = -sign;
    NUMBER.lastIndex = this.at;
    const number = NUMBER.exec(this.text);
    if (number) {
      this.at = NUMBER.lastIndex;
      return { value: sign * Number(number[1]), unit: (number[2] ?? '').toLowerCase() };
    }
    CALL.lastIndex = this.at;
    const call = CALL.exec(this.text);
    if (!call || ++this.depth > LIMITS.typed.brackets) return null;
    this.at = CALL.lastIndex;
    const found = this.among(call[1]?.toLowerCase() ?? 'calc');
    this.depth--;
    return found && scaled(found, sign);
  }

  /** What stands in brackets: one sum, or the least or greatest of several. */
  private among(name: string): Amount | null {
    let found = this.sum();
    while (found && name !== 'calc' && this.passed(',') !== '') {
      const next = this.sum();
      const both = next && this.alike(found, next);
      found = both && {
        value: name === 'min' ? Math.min(both[0], both[1]) : Math.max(both[0], both[1]),
        unit: both[2],
      };
    }
    return this.passed(')') === '' ? null : found;
  }

  /** Two amounts in one unit. */
  private alike(a: Amount, b: Amount): [number, number, string] | null {
    if (a.unit === b.unit) return [a.value, b.value, a.unit];
    if (a.value === 0 && a.unit === '') return [0, b.value, b.unit];
    if (b.value === 0 && b.unit === '') return [a.value, 0, a.unit];
    const [x, y] = [inPx(a), inPx(b)];
    if (x === null || y === null) return null;
    this.isMixed = true;
    return [x, y, 'px'];
  }
}

const scaled = ({ value, unit }: Amount, by: number): Amount => ({ value: value * by, unit });
const inPx = ({ value, unit }: Amount): number | null =>
  unit === 'px' ? value : unit === 'rem' ? value * REM : null;

/** What a sum of numbers and lengths comes to (CSS Values 4, section 10); null for what is no such sum. */
export function workOut(text: string): WorkedOut | null {
  if (text.length > LIMITS.typed.value) return null;
  const sum = new Sum(text.trim());
  const amount = sum.whole();
  if (!amount || !Number.isFinite(amount.value)) return null;
  return { text: `${Number(amount.value.toFixed(6))}${amount.unit}`, isMixed: sum.isMixed };
}

const PLAIN = /^[-+]?\d+\.?\d*$/;

/** A number or a sum of numbers with + - * / and brackets; null for anything else. */
export function parseArithmetic(source: string): number | null {
  const text = PLAIN.test(source) ? source : workOut(source)?.text;
  const value = Number(text ?? Number.NaN);
  return Number.isFinite(value) ? Number(value.toFixed(6)) : null;
}
