import {
  bindRole,
  type Edit,
  explainRole,
  isFailure,
  pinRole,
  printPainted,
  printRatio,
  type Role,
  roleColor,
  roleContrasts,
  roleFixes,
  roleIn,
  type SchemeRecord,
  type Site,
  tightest,
} from '@cove/core';
import { Pin, PinOff } from 'lucide-react';
import { useCommit } from '../../session/context.tsx';
import { TokenField } from '../../tokens/picker/TokenField.tsx';
import { Button } from '../../ui/Button.tsx';
import { useLocked } from '../../ui/locked.ts';

/** One role of a scheme: its swatch, the tightest of its contrasts as painted, why it is bound so, and a cure where it cannot be read. */
export function RoleRow({
  site,
  scheme,
  role,
  explained,
}: {
  site: Site;
  scheme: SchemeRecord;
  role: Role;
  /** Whether to say why. */
  explained: boolean;
}) {
  const commit = useCommit();
  const locked = useLocked();
  const own = Object.hasOwn(scheme.roles, role.name) ? scheme.roles[role.name] : undefined;
  const color = roleColor(site, scheme.id, role.name);
  const pairs = roleContrasts(site, scheme.id, role.name);
  const pair = tightest(pairs);
  const ground = pair && roleColor(site, scheme.id, pair.on);
  const failing = pairs.filter(isFailure);
  const label = (name: string) => roleIn(site, name)?.label.toLowerCase() ?? name;
  const change = (edits: readonly Edit[]) => commit(edits, `Change a role of ${scheme.name}`);
  const fixes = failing.length > 0 && !locked ? roleFixes(site, scheme.id, role.name) : [];
  const why = explained ? explainRole(site, scheme.id, role.name) : null;
  const pinned = Object.hasOwn(scheme.pinned ?? {}, role.name);
  const Mark = pinned ? Pin : PinOff;
  const list = pairs
    .map(it => `${printRatio(it.ratio)} on ${label(it.on)}, at least ${it.wanted} needed`)
    .join('\n');
  return (
    <li className="group py-px">
      <div className="grid grid-cols-[24px_104px_minmax(0,1fr)_18px_34px] items-center gap-x-1">
        {color && ground ? (
          <span
            aria-hidden
            data-sample
            title={list}
            className="rounded-sm border border-black/15 text-center text-small"
            style={{ color: printPainted(color), background: printPainted(ground) }}
          >
            Aa
          </span>
        ) : (
          <span />
        )}
        <span className={`truncate ${own ? '' : 'text-muted'}`} title={role.label}>
          {role.label}
        </span>
        <TokenField
          label={role.label}
          hideLabel
          site={site}
          type="color"
          value={own?.type === 'token' ? own.token : null}
          empty={
            role.fallback === null
              ? null
              : `as ${roleIn(site, role.fallback)?.label.toLowerCase() ?? role.fallback}`
          }
          onChange={(id, before = []) => change([...before, ...bindRole(site, scheme.id, role.name, id)])}
        />
        {own && role.name !== 'surface' && !locked ? (
          <button
            type="button"
            aria-pressed={pinned}
            aria-label={`Pin ${role.label.toLowerCase()}`}
            title={pinned ? 'Pinned: solving again leaves it' : 'Pin: solving again will leave it'}
            onClick={() =>
              commit(pinRole(scheme.id, role.name, !pinned), pinned ? 'Unpin a role' : 'Pin a role')
            }
            className="rounded-sm p-0.5 text-muted opacity-0 group-hover:opacity-100 hover:text-teal focus-visible:opacity-100 aria-pressed:text-teal aria-pressed:opacity-100"
          >
            <Mark size={12} aria-hidden />
          </button>
        ) : (
          <span />
        )}
        <span className="text-right font-mono text-[11px]" title={list}>
          {pair && printRatio(pair.ratio)}
        </span>
      </div>
      {why && <p className="pb-1 pl-7 text-small text-muted">{why}</p>}
      {failing.length > 0 && (
        <p className="flex flex-wrap items-center gap-x-2 pb-1 pl-7 text-small">
          <strong>
            Below {failing[0]?.wanted} on {failing.map(it => label(it.on)).join(', ')}.
          </strong>
          {fixes.map(({ label: text, edits }) => (
            <Button key={text} kind="link" className="h-5! text-small" onClick={() => change(edits)}>
              {text}
            </Button>
          ))}
        </p>
      )}
    </li>
  );
}
