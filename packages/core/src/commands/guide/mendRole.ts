import { type Color, convert, distance, leastShift } from '../../color/index.ts';
import { roleIn } from '../../guide/index.ts';
import { isFailure, roleColor, roleContrasts, siteContrast } from '../../measure/index.ts';
import { MARGIN, type Role } from '../../roles/index.ts';
import { type Edit, editAt, type Id, type Site, type TokenRecord } from '../../site/index.ts';
import { literalOf, NO_REBINDS } from '../../tokens/index.ts';
import { addToken } from '../tokens/tokens.ts';

/**
 * Binds a role of a scheme to a swatch; to nothing where it falls back on another role. It is no longer what was worked out
 * then, and so stays as it is when the scheme is worked out again.
 */
export function bindRole(site: Site, scheme: Id, role: string, swatch: Id | null): Edit[] {
  const edit = editAt<'scheme'>(scheme);
  const solved = site.kinds.scheme.get(scheme)?.solved ?? {};
  return [
    swatch === null
      ? edit.unsetIn('roles', role)
      : edit.setIn('roles', role, { type: 'token', token: swatch }),
    ...(Object.hasOwn(solved, role) ? [edit.unsetIn('solved', role)] : []),
  ];
}

const colorOf = ({ kinds: { token } }: Site, { value }: TokenRecord): Color | null => {
  const end = literalOf(token, NO_REBINDS, value);
  return end?.type === 'color' ? end.value : null;
};

/** Whether a colour has the contrast asked of a role on every ground of it, with what our proposals keep above it. */
function passesOn(site: Site, scheme: Id, role: Role): (color: Color) => boolean {
  const grounds = role.on.flatMap(({ ground, ratio }) => {
    const color = roleColor(site, scheme, ground);
    return color ? [{ color, ratio }] : [];
  });
  return color => grounds.every(it => siteContrast(site, color, it.color) >= it.ratio + MARGIN);
}

/** The swatch nearest to a colour that passes; an alias would be the same colour again. */
function nearestThatPasses(
  site: Site,
  color: Color,
  passes: (color: Color) => boolean,
): TokenRecord | undefined {
  return [...site.kinds.token.values()]
    .flatMap(it => {
      const shown = it.type === 'color' && it.value.type !== 'token' ? colorOf(site, it) : null;
      return shown && shown.alpha === 1 && passes(shown) ? [{ it, far: distance(shown, color) }] : [];
    })
    .sort((a, b) => a.far - b.far)[0]?.it;
}

/** Makes a swatch that follows another at a lightness of its own. */
function atOtherLightness(site: Site, of: TokenRecord, from: Color, to: Color) {
  const [lightness] = convert(to, 'oklch').coords;
  const [was] = convert(from, 'oklch').coords;
  return addToken(site, {
    type: 'color',
    group: of.group,
    name: `${of.name} ${lightness > was ? 'lighter' : 'darker'}`,
    value: { type: 'derived', derivation: { op: 'lightness', from: [of.id], by: [lightness] } },
  });
}

/**
 * What would make a role of a scheme readable on all that it stands on: the nearest swatch that is, and one that follows the
 * swatch in use, moved in lightness as little as that takes. Nothing where it is readable already.
 */
export function roleFixes(site: Site, scheme: Id, name: string): { label: string; edits: Edit[] }[] {
  const role = roleIn(site, name);
  const color = roleColor(site, scheme, name);
  if (!role || !color || !roleContrasts(site, scheme, name).some(isFailure)) return [];
  const passes = passesOn(site, scheme, role);
  const fixes: { label: string; edits: Edit[] }[] = [];
  const swatch = nearestThatPasses(site, color, passes);
  if (swatch) fixes.push({ label: `Use ${swatch.name}`, edits: bindRole(site, scheme, name, swatch.id) });
  const bound = site.kinds.scheme.get(scheme)?.roles[name];
  const of = bound?.type === 'token' ? site.kinds.token.get(bound.token) : undefined;
  const moved = leastShift(color, passes);
  if (of && moved) {
    const made = atOtherLightness(site, of, color, moved);
    const [lightness] = convert(moved, 'oklch').coords;
    fixes.push({
      label: `Move ${of.name} to ${(lightness * 100).toFixed(0)}% lightness`,
      edits: [...made.edits, ...bindRole(site, scheme, name, made.id)],
    });
  }
  return fixes;
}
