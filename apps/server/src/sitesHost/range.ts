/** First and last byte of a part of a file. */
interface ByteRange {
  from: number;
  to: number;
}

/**
 * The one part that is asked for (RFC 9110, section 14.2); null where the whole is, or where what is asked for is no range that
 * is understood, and `none` where there are no such bytes.
 */
export function rangeIn(header: string | undefined, length: number): ByteRange | 'none' | null {
  const match = /^bytes=(\d{0,15})-(\d{0,15})$/.exec(header ?? '');
  if (!match) return null;
  const [, first = '', last = ''] = match;
  if (first === '' && last === '') return null;
  // The last so many bytes.
  if (first === '') {
    const count = Math.min(length, Number(last));
    return count === 0 ? 'none' : { from: length - count, to: length - 1 };
  }
  const from = Number(first);
  const to = last === '' ? length - 1 : Math.min(Number(last), length - 1);
  if (from >= length) return 'none';
  return to < from ? null : { from, to };
}
