import {
  byOrder,
  distance,
  literalOf,
  NO_REBINDS,
  removeToken,
  type Site,
  type TokenRecord,
  tokenPath,
  usersOf,
} from '@cove/core';
import { useMemo } from 'react';
import { RemoveWith } from '../reach/RemoveWith.tsx';

/** Others of its type, for a swatch those that look most like it first. */
function replacements(site: Site, token: TokenRecord): TokenRecord[] {
  const { token: tokens } = site.kinds;
  const colorOf = (it: TokenRecord) => {
    const end = literalOf(tokens, NO_REBINDS, it.value);
    return end?.type === 'color' ? end.value : null;
  };
  const own = colorOf(token);
  const far = (it: TokenRecord) => {
    const color = own && colorOf(it);
    return color ? distance(own, color) : 0;
  };
  return [...tokens.values()]
    .filter(it => it.type === token.type && it.id !== token.id)
    .sort(byOrder)
    .map(it => ({ it, far: far(it) }))
    .sort((a, b) => a.far - b.far)
    .map(({ it }) => it);
}

/** Takes a token away; where it is in use, another takes its place, and what that alters is told first. */
export function RemoveToken({ site, token, onGone }: { site: Site; token: TokenRecord; onGone(): void }) {
  const used = useMemo(() => usersOf(site, token.id).length > 0, [site, token.id]);
  const others = useMemo(() => (used ? replacements(site, token) : []), [used, site, token]);
  return (
    <RemoveWith
      site={site}
      id={token.id}
      name={token.name}
      used={used}
      question="What takes its place"
      answers={others.map(it => ({ value: it.id, label: tokenPath(site.kinds.token, it.id) }))}
      edits={by => removeToken(site, token.id, by || null)}
      onGone={onGone}
      confirm="Replace and delete"
    />
  );
}
