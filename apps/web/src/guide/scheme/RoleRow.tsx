import {
  byOrder,
  type Color,
  contrast,
  convert,
  distance,
  type Edit,
  freeName,
  leastShift,
  literalOf,
  luminance,
  NO_REBINDS,
  newId,
  printColor,
  type Role,
  roleColor,
  roleIn,
  type SchemeRecord,
  type Site,
  type TokenRecord,
  wantedOf,
} from '@cove/core';
import { Chip } from '../../bench/ColourControl.tsx';
import { useCommit } from '../../session/context.tsx';
import { useLocked } from '../../session/rights.tsx';
import { Button } from '../../ui/Button.tsx';
import { lastOrder } from '../token/TokenEditor.tsx';

/** The nearest swatch that can be read, and the bound one moved in lightness just far enough. */
function cures(site: Site, scheme: SchemeRecord, role: Role, color: Color, ground: Color, wanted: number) {
  const { token: tokens } = site.kinds;
  const colorOf = (it: TokenRecord) => {
    const end = literalOf(tokens, NO_REBINDS, it.value);
    return end?.type === 'color' ? end.value : null;
  };
  const swatch = [...tokens.values()]
    .flatMap(it => {
      const shown = it.type === 'color' && it.value.type !== 'token' ? colorOf(it) : null;
      return shown && shown.alpha === 1 && contrast(shown, ground) >= wanted
        ? [{ it, far: distance(shown, color) }]
        : [];
    })
    .sort((a, b) => a.far - b.far)[0]?.it;
  const bound = scheme.roles[role.name];
  const moved = leastShift(color, [luminance(ground)], wanted);
  const of = bound?.type === 'token' ? tokens.get(bound.token) : undefined;
  return { swatch, moved: moved && of ? { color: moved, of } : null };
}

/** One role of a scheme: its swatch, its contrast in the very colours, and a cure where it cannot be read. */
export function RoleRow({ site, scheme, role }: { site: Site; scheme: SchemeRecord; role: Role }) {
  const commit = useCommit();
  const locked = useLocked();
  const own = Object.hasOwn(scheme.roles, role.name) ? scheme.roles[role.name] : undefined;
  const color = roleColor(site, scheme.id, role.name);
  const ground = role.on === null ? null : roleColor(site, scheme.id, role.on);
  const wanted = wantedOf(role);
  const ratio = color && ground ? contrast(color, ground) : null;
  const fails = ratio !== null && wanted !== null && ratio < wanted;
  const bind = (token: string, more: readonly Edit[] = []) =>
    commit(
      [
        ...more,
        token === ''
          ? { op: 'unset', id: scheme.id, path: ['roles', role.name] }
          : { op: 'set', id: scheme.id, path: ['roles', role.name], value: { type: 'token', token } },
      ],
      `Change a role of ${scheme.name}`,
    );
  const swatches = [...site.kinds.token.values()].filter(token => token.type === 'color').sort(byOrder);
  const cure = fails && !locked && color && ground ? cures(site, scheme, role, color, ground, wanted) : null;
  const move = (of: TokenRecord, to: Color) => {
    const lightness = to.coords[0];
    const [from] = convert(color ?? to, 'oklch').coords;
    const record: TokenRecord = {
      id: newId('t'),
      kind: 'token',
      type: 'color',
      name: freeName(site, 'color', of.group, `${of.name} ${lightness > from ? 'lighter' : 'darker'}`),
      group: of.group,
      order: lastOrder(site),
      value: { type: 'derived', derivation: { op: 'lightness', from: [of.id], by: [lightness] } },
    };
    bind(record.id, [{ op: 'put', record }]);
  };
  return (
    <li className="py-px">
      <div className="grid grid-cols-[16px_100px_minmax(0,1fr)_56px] items-center gap-x-1.5">
        <Chip color={color} />
        <span className={`truncate ${own ? '' : 'text-muted'}`} title={role.label}>
          {role.label}
        </span>
        <select
          aria-label={role.label}
          value={own?.type === 'token' ? own.token : ''}
          disabled={locked}
          onChange={event => bind(event.target.value)}
          className={`h-6 min-w-0 rounded-sm border border-transparent bg-paper hover:border-hair ${own ? '' : 'text-muted'}`}
        >
          <option value="" disabled={role.fallback === null}>
            {role.fallback === null
              ? 'choose a swatch'
              : `as ${roleIn(site, role.fallback)?.label.toLowerCase() ?? role.fallback}`}
          </option>
          {swatches.map(token => (
            <option key={token.id} value={token.id}>
              {token.name}
            </option>
          ))}
        </select>
        {ratio !== null && color && ground ? (
          <span
            className="flex items-center justify-end gap-1 font-mono text-[11px]"
            title={`On ${roleIn(site, role.on ?? '')?.label.toLowerCase()}${wanted === null ? '' : `; at least ${wanted} is wanted`}`}
          >
            <span
              aria-hidden
              data-sample
              className="rounded-sm px-1 font-sans"
              style={{ color: printColor(color), background: printColor(ground) }}
            >
              Aa
            </span>
            {ratio.toFixed(1)}
          </span>
        ) : (
          <span />
        )}
      </div>
      {cure && wanted !== null && (
        <p className="flex flex-wrap items-center gap-x-2 pb-1 pl-[22px] text-small">
          <strong>Below {wanted}.</strong>
          {cure.swatch && (
            <Button kind="link" className="h-5! text-small" onClick={() => bind(cure.swatch?.id ?? '')}>
              Use {cure.swatch.name}
            </Button>
          )}
          {cure.moved && (
            <Button
              kind="link"
              className="h-5! text-small"
              onClick={() => cure.moved && move(cure.moved.of, cure.moved.color)}
            >
              Move {cure.moved.of.name} to {(cure.moved.color.coords[0] * 100).toFixed(0)}% lightness
            </Button>
          )}
        </p>
      )}
    </li>
  );
}
