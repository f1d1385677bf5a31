import {
  byOrder,
  contrast,
  fail,
  type Id,
  literalOf,
  NO_REBINDS,
  ok,
  ROLES,
  roleValue,
  type SchemeRecord,
  type Site,
} from '@cove/core';
import { Chip, colourOf } from '../bench/ColourControl.tsx';
import { useCommit } from '../session/context.tsx';
import { useLocked } from '../session/rights.tsx';
import { TypedField } from '../ui/TypedField.tsx';

/** What a role shows in a scheme, fallbacks followed. */
function shown(site: Site, scheme: Id, role: string) {
  const bound = roleValue(site, scheme, role);
  const end = bound && literalOf(site.kinds.token, NO_REBINDS, bound.value);
  return end?.type === 'color' ? end.value : null;
}

/** A scheme: which swatch each role has, and how well it can be read on what it stands on. */
export function SchemePanel({ site, scheme }: { site: Site; scheme: SchemeRecord }) {
  const commit = useCommit();
  const locked = useLocked();
  const swatches = [...site.kinds.token.values()].filter(token => token.type === 'color').sort(byOrder);
  const bind = (role: string, token: string) =>
    commit(
      [
        token === ''
          ? { op: 'unset', id: scheme.id, path: ['roles', role] }
          : { op: 'set', id: scheme.id, path: ['roles', role], value: { type: 'token', token } },
      ],
      `Change a role of ${scheme.name}`,
    );
  return (
    <div className="thin-scroll h-full overflow-auto px-3.5 py-3">
      <TypedField
        label="Scheme"
        mono={false}
        text={scheme.name}
        className="[&_input]:border-hair"
        parse={text =>
          text.trim() === '' ? fail({ code: 'empty', message: 'A scheme needs a name.' }) : ok(text.trim())
        }
        onCommit={name =>
          commit([{ op: 'set', id: scheme.id, path: ['name'], value: name }], `Rename ${scheme.name}`)
        }
      />
      <ul className="mt-3">
        {ROLES.map(role => {
          const own = Object.hasOwn(scheme.roles, role.name) ? scheme.roles[role.name] : undefined;
          const color = shown(site, scheme.id, role.name);
          const surface = role.on === null ? null : shown(site, scheme.id, role.on);
          return (
            <li
              key={role.name}
              className="grid grid-cols-[16px_104px_minmax(0,1fr)_34px] items-center gap-x-1.5 py-px"
            >
              <Chip color={color ?? (own ? colourOf(site, null, own) : null)} />
              <span className={`truncate ${own ? '' : 'text-muted'}`} title={role.label}>
                {role.label}
              </span>
              <select
                aria-label={role.label}
                value={own?.type === 'token' ? own.token : ''}
                disabled={locked}
                onChange={event => bind(role.name, event.target.value)}
                className={`h-6 min-w-0 rounded-sm border border-transparent bg-paper hover:border-hair ${own ? '' : 'text-muted'}`}
              >
                <option value="" disabled={role.fallback === null}>
                  {role.fallback === null
                    ? 'choose a swatch'
                    : `as ${ROLES.find(it => it.name === role.fallback)?.label.toLowerCase()}`}
                </option>
                {swatches.map(token => (
                  <option key={token.id} value={token.id}>
                    {token.name}
                  </option>
                ))}
              </select>
              <span
                className="text-right font-mono text-[11px] text-muted"
                title="Contrast on what it stands on"
              >
                {color && surface ? contrast(color, surface).toFixed(1) : ''}
              </span>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
