/** A piece of a colour as CSS Syntax 3 cuts it; references in braces are ours. */
export type Token =
  | { type: 'number'; value: number; unit: string }
  | { type: 'word'; text: string }
  | { type: 'hash'; text: string }
  /** A function's name with its bracket; '' of a bracket alone. */
  | { type: 'open'; name: string }
  | { type: 'close' }
  | { type: 'symbol'; text: ',' | '/' | '+' | '-' | '*' }
  /** What stands in `{…}`: the way to a token of the guide. */
  | { type: 'braces'; text: string };

const PIECE =
  /([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)(%|[a-z]+)?|(--[\w-]+|[a-z][\w-]*)(\()?|(#[0-9a-z]+)|\{([^{}]*)\}|([(),/+*-])/iy;
const SPACE = /\s*/y;

const isSymbol = (text: string): text is ',' | '/' | '+' | '-' | '*' => ',/+-*'.includes(text);

/** Null where something stands that no colour holds. Every character is looked at once. */
export function tokenize(source: string): Token[] | null {
  const tokens: Token[] = [];
  let at = 0;
  const skip = () => {
    SPACE.lastIndex = at;
    SPACE.exec(source);
    at = SPACE.lastIndex;
  };
  skip();
  while (at < source.length) {
    PIECE.lastIndex = at;
    const found = PIECE.exec(source);
    if (!found) return null;
    at = PIECE.lastIndex;
    const [, number, unit = '', word, bracket, hash, braces, symbol] = found;
    if (number !== undefined)
      tokens.push({ type: 'number', value: Number(number), unit: unit.toLowerCase() });
    else if (word !== undefined) {
      const name = word.startsWith('--') ? word : word.toLowerCase();
      tokens.push(bracket ? { type: 'open', name } : { type: 'word', text: name });
    } else if (hash !== undefined) tokens.push({ type: 'hash', text: hash.toLowerCase() });
    else if (braces !== undefined) tokens.push({ type: 'braces', text: braces.trim() });
    else if (symbol === '(') tokens.push({ type: 'open', name: '' });
    else if (symbol === ')') tokens.push({ type: 'close' });
    else if (symbol !== undefined && isSymbol(symbol)) tokens.push({ type: 'symbol', text: symbol });
    skip();
  }
  return tokens;
}

/** Goes along the pieces, one at a time. */
export class Cursor {
  private at = 0;
  constructor(private readonly tokens: readonly Token[]) {}

  peek(): Token | undefined {
    return this.tokens[this.at];
  }
  next(): Token | undefined {
    return this.tokens[this.at++];
  }
  get done(): boolean {
    return this.at >= this.tokens.length;
  }
  takesSymbol(text: string): boolean {
    const it = this.peek();
    const found = it?.type === 'symbol' && it.text === text;
    if (found) this.at++;
    return found;
  }
  takesWord(text: string): boolean {
    const it = this.peek();
    const found = it?.type === 'word' && it.text === text;
    if (found) this.at++;
    return found;
  }
  closes(): boolean {
    const found = this.peek()?.type === 'close';
    if (found) this.at++;
    return found;
  }
}
