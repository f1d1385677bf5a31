import { LIMITS, nestsTooDeep } from '../limits/index.ts';

/** A number or a sum of numbers with + - * / and brackets; null for anything else. */
export function parseArithmetic(source: string): number | null {
  if (source.length > LIMITS.typed.value || nestsTooDeep(source)) return null;
  const tokens = source.match(/\d+\.?\d*|\.\d+|[-+*/()]/g) ?? [];
  if (tokens.join('') !== source.replace(/\s+/g, '')) return null;
  let at = 0;
  const factor = (): number => {
    const t = tokens[at++];
    if (t === '-') return -factor();
    if (t === '+') return factor();
    if (t === '(') {
      const inner = sum();
      return tokens[at++] === ')' ? inner : Number.NaN;
    }
    return t === undefined ? Number.NaN : Number(t);
  };
  const product = (): number => {
    let n = factor();
    while (tokens[at] === '*' || tokens[at] === '/') n = tokens[at++] === '*' ? n * factor() : n / factor();
    return n;
  };
  const sum = (): number => {
    let n = product();
    while (tokens[at] === '+' || tokens[at] === '-') n = tokens[at++] === '+' ? n + product() : n - product();
    return n;
  };
  const result = sum();
  return at === tokens.length && Number.isFinite(result) ? Number(result.toFixed(6)) : null;
}
