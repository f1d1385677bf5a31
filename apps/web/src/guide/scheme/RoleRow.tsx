import {
  bindRole,
  byOrder,
  contrast,
  type Edit,
  printColor,
  type Role,
  roleColor,
  roleFixes,
  roleIn,
  type SchemeRecord,
  type Site,
  wantedOf,
} from '@cove/core';
import { Chip } from '../../bench/ColorControl.tsx';
import { useCommit } from '../../session/context.tsx';
import { Button } from '../../ui/Button.tsx';
import { useLocked } from '../../ui/locked.ts';

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
  const change = (edits: readonly Edit[]) => commit(edits, `Change a role of ${scheme.name}`);
  const swatches = [...site.kinds.token.values()].filter(token => token.type === 'color').sort(byOrder);
  const fixes = fails && !locked ? roleFixes(site, scheme.id, role.name) : [];
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
          onChange={event => change([bindRole(scheme.id, role.name, event.target.value || null)])}
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
      {fixes.length > 0 && (
        <p className="flex flex-wrap items-center gap-x-2 pb-1 pl-[22px] text-small">
          <strong>Below {wanted}.</strong>
          {fixes.map(({ label, edits }) => (
            <Button key={label} kind="link" className="h-5! text-small" onClick={() => change(edits)}>
              {label}
            </Button>
          ))}
        </p>
      )}
    </li>
  );
}
