import { type Color, contrast, convert, distance, leastShift, luminance } from '../../color/index.ts';
import { roleIn } from '../../guide/index.ts';
import { roleColor, wantedOf } from '../../measure/index.ts';
import { type Edit, editAt, type Id, type Site, type TokenRecord } from '../../site/index.ts';
import { literalOf, NO_REBINDS } from '../../tokens/index.ts';
import { addToken } from '../tokens/tokens.ts';

/** Binds a role of a scheme to a swatch; to nothing where it falls back on another role. */
export const bindRole = (scheme: Id, role: string, swatch: Id | null): Edit =>
  swatch === null
    ? editAt<'scheme'>(scheme).unsetIn('roles', role)
    : editAt<'scheme'>(scheme).setIn('roles', role, { type: 'token', token: swatch });

const colorOf = ({ kinds: { token } }: Site, { value }: TokenRecord): Color | null => {
  const end = literalOf(token, NO_REBINDS, value);
  return end?.type === 'color' ? end.value : null;
};

/** The swatch nearest to a colour that reads on a ground; an alias would be the same colour again. */
function nearestThatReads(site: Site, color: Color, ground: Color, wanted: number): TokenRecord | undefined {
  return [...site.kinds.token.values()]
    .flatMap(it => {
      const shown = it.type === 'color' && it.value.type !== 'token' ? colorOf(site, it) : null;
      return shown && shown.alpha === 1 && contrast(shown, ground) >= wanted
        ? [{ it, far: distance(shown, color) }]
        : [];
    })
    .sort((a, b) => a.far - b.far)[0]?.it;
}

/** Makes a swatch that follows another at a lightness of its own. */
function atOtherLightness(site: Site, of: TokenRecord, from: Color, to: Color) {
  const [lightness] = to.coords;
  const [was] = convert(from, 'oklch').coords;
  return addToken(site, {
    type: 'color',
    group: of.group,
    name: `${of.name} ${lightness > was ? 'lighter' : 'darker'}`,
    value: { type: 'derived', derivation: { op: 'lightness', from: [of.id], by: [lightness] } },
  });
}

/**
 * What would make a role of a scheme readable on what it stands on: the nearest swatch that reads, and one that follows the
 * swatch in use, moved in lightness as little as that takes. Nothing where it reads already.
 */
export function roleFixes(site: Site, scheme: Id, name: string): { label: string; edits: Edit[] }[] {
  const role = roleIn(site, name);
  const wanted = role && wantedOf(role);
  const color = roleColor(site, scheme, name);
  const ground = role?.on == null ? null : roleColor(site, scheme, role.on);
  if (wanted == null || !color || !ground || contrast(color, ground) >= wanted) return [];
  const fixes: { label: string; edits: Edit[] }[] = [];
  const swatch = nearestThatReads(site, color, ground, wanted);
  if (swatch) fixes.push({ label: `Use ${swatch.name}`, edits: [bindRole(scheme, name, swatch.id)] });
  const bound = site.kinds.scheme.get(scheme)?.roles[name];
  const of = bound?.type === 'token' ? site.kinds.token.get(bound.token) : undefined;
  const moved = leastShift(color, [luminance(ground)], wanted);
  if (of && moved) {
    const made = atOtherLightness(site, of, color, moved);
    fixes.push({
      label: `Move ${of.name} to ${(moved.coords[0] * 100).toFixed(0)}% lightness`,
      edits: [...made.edits, bindRole(scheme, name, made.id)],
    });
  }
  return fixes;
}
