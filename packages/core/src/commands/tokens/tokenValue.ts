import { fail, ok, type Result } from '../../result/index.ts';
import { type Site, settingsOf, type TokenRecord } from '../../site/index.ts';
import { literalOf, NO_REBINDS, parseTokenValue } from '../../tokens/index.ts';
import { BASE_RANGE, RATIO_RANGE } from '../../type/index.ts';
import { lengthInPx, type Value } from '../../values/index.ts';

/** Why a value cannot be meant by what a token is for; null where it can. */
function problemOf(site: Site, token: TokenRecord, end: Value): string | null {
  const { textBase, textRatio } = settingsOf(site);
  if (end.type === 'fluid') {
    const [least, most] = [lengthInPx(end.min), lengthInPx(end.max)];
    if (least !== null && most !== null && least > most)
      return 'The first size has to be the smaller one: it is used on narrow screens, and grows to the second.';
  }
  if (token.id === textBase) {
    const sizes = end.type === 'dimension' ? [end.value] : end.type === 'fluid' ? [end.min, end.max] : [];
    for (const size of sizes) {
      const px = lengthInPx(size);
      if (px === null || px < BASE_RANGE.from || px > BASE_RANGE.to)
        return `The base size has to be between ${BASE_RANGE.from}px and ${BASE_RANGE.to}px, such as 17px.`;
    }
  }
  if (token.id === textRatio && end.type === 'number')
    if (end.value < RATIO_RANGE.from || end.value > RATIO_RANGE.to)
      return `The ratio has to be between ${RATIO_RANGE.from} and ${RATIO_RANGE.to}, such as 1.25.`;
  return null;
}

/** Reads what is typed into the field of one token; refuses what cannot be meant by it, with the reason. */
export function parseValueOf(site: Site, token: TokenRecord, source: string): Result<Value> {
  const read = parseTokenValue(source, token.type, site.kinds.token);
  if (!read.ok) return read;
  const end = literalOf(site.kinds.token, NO_REBINDS, read.value);
  const message = end && problemOf(site, token, end);
  return message ? fail({ code: 'out-of-range', message, record: token.id, found: source }) : ok(read.value);
}
