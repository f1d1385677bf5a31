import {
  addToken,
  byOrder,
  type Color,
  colorName,
  type Edit,
  groupBy,
  literalOf,
  NO_REBINDS,
  type PropertyRow,
  parsePropertyValue,
  printColor,
  printTyped,
  rolesOf,
  roleValue,
  type Scope,
  type Site,
  type Value,
} from '@cove/core';
import { Popover } from 'radix-ui';
import { lazy, Suspense, useState } from 'react';
import { Button } from '../ui/Button.tsx';
import { ColorSliders } from '../ui/ColorSliders.tsx';
import { Floating } from '../ui/Floating.tsx';
import { useLocked } from '../ui/locked.ts';
import { TypedField } from '../ui/TypedField.tsx';

/** The colour a value ends in where it is set; null for what shows none. */
export function colorOf(site: Site, scope: Scope | null, value: Value | null): Color | null {
  if (!value) return null;
  const bound =
    value.type === 'role'
      ? scope
        ? (roleValue(site, scope.scheme, value.role)?.value ?? null)
        : null
      : value;
  const end = bound && literalOf(site.kinds.token, scope?.rebinds ?? NO_REBINDS, bound);
  return end?.type === 'color' ? end.value : null;
}

export const Chip = ({ color, large = false }: { color: Color | null; large?: boolean }) => (
  <span
    className={`inline-block shrink-0 rounded-sm border border-black/15 ${large ? 'size-5' : 'size-3.5'}`}
    style={
      color
        ? { background: printColor(color) }
        : { background: 'linear-gradient(135deg, transparent 46%, currentcolor 47% 53%, transparent 54%)' }
    }
  />
);

interface Props {
  site: Site;
  scope: Scope | null;
  row: PropertyRow;
  value: Value | null;
  onShow(value: Value | null): void;
  /** `before` is to be done in the same step: a swatch that the value names. */
  onCommit(value: Value, before?: readonly Edit[]): void;
}

/** Planes and derivations come when a swatch is to be changed. */
const TokenEditor = lazy(async () => ({
  default: (await import('../tokens/TokenEditor.tsx')).TokenEditor,
}));

/** Swatches and roles first, then a colour of one's own. */
export function ColorControl({ site, scope, row, value, onShow, onCommit }: Props) {
  const [open, setOpen] = useState(false);
  const locked = useLocked();
  const color = colorOf(site, scope, value);
  const swatches = [...site.kinds.token.values()].filter(token => token.type === 'color').sort(byOrder);
  const groups = groupBy(swatches, token => token.group);
  const pick = (next: Value) => {
    setOpen(false);
    onCommit(next);
  };
  const chosen = value?.type === 'token' ? site.kinds.token.get(value.token) : undefined;
  const keep = () => {
    if (value?.type !== 'color') return;
    const made = addToken(site, {
      type: 'color',
      group: swatches[0]?.group ?? 'Brand',
      name: colorName(value.value),
      value,
    });
    onCommit({ type: 'token', token: made.id }, made.edits);
  };
  const all = rolesOf(site);
  const roles = scope ? all.filter(role => roleValue(site, scope.scheme, role.name)) : all;
  if (locked) return <Chip color={color} />;
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger aria-label={`Choose ${row.label.toLowerCase()}`} className="flex items-center">
        <Chip color={color} />
      </Popover.Trigger>
      <Floating label={row.label} width={304}>
        <div className="grid gap-2">
          {[...groups].map(([group, tokens]) => (
            <div key={group}>
              <p className="label-line mb-1">{group}</p>
              <div className="flex flex-wrap gap-1">
                {tokens.map(token => (
                  <button
                    key={token.id}
                    type="button"
                    title={token.name}
                    aria-label={token.name}
                    aria-pressed={value?.type === 'token' && value.token === token.id}
                    onClick={() => pick({ type: 'token', token: token.id })}
                    className="size-6 rounded-sm border border-black/15 aria-pressed:outline-2 aria-pressed:outline-offset-1 aria-pressed:outline-teal"
                    style={{
                      background: printColor(
                        colorOf(site, scope, { type: 'token', token: token.id }) ?? {
                          space: 'srgb',
                          coords: [0, 0, 0],
                          alpha: 0,
                        },
                      ),
                    }}
                  />
                ))}
              </div>
            </div>
          ))}
          <details>
            <summary className="label-line cursor-pointer">Roles of the scheme</summary>
            <ul className="mt-1 grid gap-px">
              {roles.map(role => (
                <li key={role.name}>
                  <button
                    type="button"
                    onClick={() => pick({ type: 'role', role: role.name })}
                    className="flex w-full items-center gap-2 rounded-sm px-1 py-0.5 text-left hover:bg-ground"
                  >
                    <Chip color={colorOf(site, scope, { type: 'role', role: role.name })} />
                    {role.label}
                  </button>
                </li>
              ))}
            </ul>
          </details>
          <div className="border-t border-hair pt-2">
            {chosen && (
              <details className="mb-2">
                <summary className="cursor-pointer">
                  Edit swatch <strong>{chosen.name}</strong>
                </summary>
                <div className="mt-2">
                  <Suspense fallback={<p className="text-muted">Loading…</p>}>
                    <TokenEditor
                      site={site}
                      token={chosen}
                      onGone={() => setOpen(false)}
                      onMade={id => pick({ type: 'token', token: id })}
                    />
                  </Suspense>
                </div>
              </details>
            )}
            {value?.type === 'color' && (
              <Button kind="line" className="mb-2 h-6!" onClick={keep}>
                Save as swatch
              </Button>
            )}
            <TypedField
              label="Custom colour"
              text={value ? printTyped(value, site.kinds.token) : ''}
              parse={text => parsePropertyValue(text, row, site.kinds.token, site.kinds.role)}
              onCommit={onCommit}
            />
            <div className="mt-2">
              <ColorSliders
                color={color ?? { space: 'oklch', coords: [0.5, 0.1, 200], alpha: 1 }}
                onShow={it => onShow({ type: 'color', value: it })}
                onCommit={it => onCommit({ type: 'color', value: it })}
              />
            </div>
          </div>
        </div>
      </Floating>
    </Popover.Root>
  );
}
