import { roleValue, type Scope } from '../cascade/index.ts';
import { type Color, ciede2000, labOf } from '../color/index.ts';
import { rolesOf } from '../guide/index.ts';
import { byOrder, type Site } from '../site/index.ts';
import { literalOf } from '../tokens/index.ts';
import { role, token, type Value } from '../values/index.ts';

/** A value of the guide that a colour can be exchanged for. */
export interface ColorOffer {
  value: Value;
  label: string;
  color: Color;
}

/** Roles of words anywhere; others belong to a control, or to one of its states. */
const OF_WORDS: readonly string[] = ['text', 'heading', 'muted', 'link', 'accent'];

/** Roles of a scheme that are read, or that others are read on. */
function rolesFor(site: Site, what: 'text' | 'ground') {
  const roles = rolesOf(site);
  if (what === 'text')
    return roles.filter(
      it => OF_WORDS.includes(it.name) || (site.kinds.role.has(it.name) && it.on.length > 0),
    );
  const grounds = new Set(roles.flatMap(it => it.on.map(pair => pair.ground)));
  return roles.filter(it => grounds.has(it.name));
}

/**
 * Roles and swatches by which a colour can be exchanged so that something holds, the one that differs least first
 * (CIEDE2000); of two alike the role, which goes on to hold in another scheme.
 */
export function readableColors(
  site: Site,
  scope: Pick<Scope, 'scheme' | 'rebinds'>,
  from: Color,
  what: 'text' | 'ground',
  holds: (color: Color) => boolean,
): ColorOffer[] {
  const tokens = site.kinds.token;
  const offered: ColorOffer[] = [];
  const offer = (value: Value, label: string, bound: Value | undefined) => {
    const end = bound && literalOf(tokens, scope.rebinds, bound);
    if (end?.type === 'color' && end.value.alpha === 1 && holds(end.value))
      offered.push({ value, label, color: end.value });
  };
  for (const { name, label } of rolesFor(site, what))
    offer(role(name), label, roleValue(site, scope.scheme, name)?.value);
  for (const it of [...tokens.values()].filter(it => it.type === 'color').sort(byOrder))
    offer(token(it.id), it.name, token(it.id));
  const lab = labOf(from);
  return offered
    .map(it => ({ it, far: ciede2000(lab, labOf(it.color)) }))
    .sort((a, b) => a.far - b.far)
    .map(({ it }) => it);
}
