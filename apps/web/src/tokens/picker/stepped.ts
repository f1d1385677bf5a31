import { byOrder, lengthInPx, literalOf, NO_REBINDS, type Result, type Site, type Value } from '@cove/core';
import { stepText } from '../../ui/TypedField.tsx';

/** Tokens of the same group by size. */
function scaleOf(site: Site, id: string): string[] {
  const token = site.kinds.token.get(id);
  if (token?.type !== 'dimension') return [];
  return [...site.kinds.token.values()]
    .filter(it => it.type === token.type && it.group === token.group)
    .sort(byOrder)
    .flatMap(it => {
      const end = literalOf(site.kinds.token, NO_REBINDS, it.value);
      const length = end?.type === 'dimension' ? end.value : end?.type === 'fluid' ? end.max : null;
      const px = length && lengthInPx(length);
      return px === null ? [] : [{ id: it.id, px }];
    })
    .sort((a, b) => a.px - b.px)
    .map(it => it.id);
}

/** A value so many steps further: a token along its scale, a literal by its first number; null where there is no such step. */
export function stepped(
  site: Site,
  value: Value | null,
  text: string,
  by: number,
  parse: (text: string) => Result<Value | null>,
): Value | null {
  if (value?.type === 'token') {
    const scale = scaleOf(site, value.token);
    const at = scale.indexOf(value.token);
    const next = at < 0 ? undefined : scale[Math.max(0, Math.min(scale.length - 1, at + Math.round(by)))];
    return next === undefined || next === value.token ? null : { type: 'token', token: next };
  }
  const next = value ? stepText(text, by) : null;
  const read = next === null ? null : parse(next);
  return read?.ok ? read.value : null;
}
