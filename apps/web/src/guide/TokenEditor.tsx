import {
  type Color,
  DERIVATIONS,
  derivationNamed,
  fail,
  type Id,
  keyBetween,
  literalOf,
  NO_REBINDS,
  newId,
  ok,
  parseTokenValue,
  printTyped,
  type Site,
  type TokenRecord,
  type Value,
} from '@cove/core';
import { useMemo } from 'react';
import { useCommit, useSession } from '../session/context.tsx';
import { useLocked } from '../session/rights.tsx';
import { useGo } from '../shell/go.ts';
import { nameOf } from '../shell/names.ts';
import { Button } from '../ui/Button.tsx';
import { ColourSliders } from '../ui/ColourSliders.tsx';
import { Select } from '../ui/Select.tsx';
import { TypedField } from '../ui/TypedField.tsx';
import { usersOf } from './uses.ts';

export const lastOrder = (site: Site): string =>
  keyBetween(
    [...site.kinds.token.values()].reduce<string | null>(
      (last, { order }) => (last === null || order > last ? order : last),
      null,
    ),
    null,
  );

/** One token: its name, what it is, how it is derived, and who follows it. */
export function TokenEditor({
  site,
  token,
  onGone,
  onMade,
}: {
  site: Site;
  token: TokenRecord;
  onGone(): void;
  onMade(id: Id): void;
}) {
  const session = useSession();
  const commit = useCommit();
  const go = useGo();
  const locked = useLocked();
  const {
    kinds: { token: tokens },
  } = site;
  const users = useMemo(() => usersOf(site, token.id), [site, token.id]);
  const end = literalOf(tokens, NO_REBINDS, token.value);
  const edit = (value: Value) => [{ op: 'set' as const, id: token.id, path: ['value'] as const, value }];
  const set = (value: Value) => commit(edit(value), `Change ${token.name}`);
  const color: Color | null = end?.type === 'color' ? end.value : null;
  const { value } = token;
  const derived = value.type === 'derived' ? value.derivation : null;
  const rule = derived && derivationNamed(derived.op);

  const derive = (op: string) => {
    const made = DERIVATIONS.find(it => it.op === op);
    const other = [...tokens.values()].find(it => it.type === 'color' && it.id !== token.id);
    if (!made || (made.from.length > 1 && !other)) return;
    const id = newId('t');
    const from = made.from.map((_, i) => (i === 0 ? token.id : (other?.id ?? token.id)));
    const record: TokenRecord = {
      ...token,
      id,
      name: `${token.name} ${made.label.toLowerCase()}`,
      order: lastOrder(site),
      value: { type: 'derived', derivation: { op, from, by: made.by.map(by => by.start) } },
    };
    if (commit([{ op: 'put', record }], `Derive a swatch from ${token.name}`)) onMade(id);
  };

  return (
    <div className="grid gap-3">
      <TypedField
        label="Name"
        mono={false}
        text={token.name}
        className="[&_input]:border-hair"
        parse={text =>
          text.trim() === '' ? fail({ code: 'empty', message: 'A token needs a name.' }) : ok(text.trim())
        }
        onCommit={name =>
          commit([{ op: 'set', id: token.id, path: ['name'], value: name }], `Rename ${token.name}`)
        }
      />
      <TypedField
        label="Value"
        text={printTyped(token.value, tokens)}
        className="[&_input]:border-hair"
        parse={text => parseTokenValue(text, token.type, tokens)}
        onCommit={set}
      />
      {derived && rule && (
        <div className="grid gap-1">
          <p className="text-muted">
            {rule.label} of{' '}
            {derived.from.map((id, i) => (
              <span key={id}>
                {i > 0 && ' and '}
                <button type="button" className="text-teal hover:underline" onClick={() => go(id)}>
                  {tokens.get(id)?.name ?? id}
                </button>
              </span>
            ))}
            , which it follows.
          </p>
          {rule.by.map(({ label, min, max, share }, i) => {
            const at = derived.by[i] ?? 0;
            const make = (n: number): Value => ({
              type: 'derived',
              derivation: { ...derived, by: derived.by.map((by, k) => (k === i ? n : by)) },
            });
            return (
              <label
                key={label}
                className="grid grid-cols-[64px_1fr_52px] items-center gap-2 text-small text-muted"
              >
                {label}
                <input
                  type="range"
                  min={share ? min : Math.max(min, -4)}
                  max={share ? max : Math.min(max, 10)}
                  step={share ? 0.01 : 0.5}
                  value={at}
                  disabled={locked}
                  onChange={event => session.show(edit(make(event.target.valueAsNumber)))}
                  onPointerUp={event => set(make(event.currentTarget.valueAsNumber))}
                  onKeyUp={event => set(make(event.currentTarget.valueAsNumber))}
                  className="accent-teal"
                />
                <output className="text-right font-mono text-[11px]">
                  {share ? `${Math.round(at * 100)}%` : at}
                </output>
              </label>
            );
          })}
          {!locked && (
            <Button kind="link" className="justify-self-start" onClick={() => end && set(end)}>
              Let go: keep the colour, follow nothing
            </Button>
          )}
        </div>
      )}
      {!locked && !derived && color && (
        <ColourSliders
          color={color}
          onShow={it => session.show(edit({ type: 'color', value: it }))}
          onCommit={it => set({ type: 'color', value: it })}
        />
      )}
      {!locked && token.type === 'color' && (
        <Select
          label="Derive another from it"
          value=""
          options={[
            { value: '', label: 'Choose how …' },
            ...DERIVATIONS.filter(it => it.type === 'color').map(it => ({ value: it.op, label: it.label })),
          ]}
          onChange={derive}
        />
      )}
      <div>
        <p className="label-line">
          {users.length === 0 ? 'Used nowhere' : `Used ${users.length} time${users.length > 1 ? 's' : ''}`}
        </p>
        <ul className="thin-scroll max-h-24 overflow-auto">
          {users.map(id => (
            <li key={id}>
              <button
                type="button"
                className="text-left text-muted hover:text-teal hover:underline"
                onClick={() => go(id)}
              >
                {nameOf(site, id)}
              </button>
            </li>
          ))}
        </ul>
      </div>
      {!locked && users.length === 0 && (
        <Button
          kind="line"
          className="justify-self-start"
          onClick={() => commit([{ op: 'remove', id: token.id }], `Delete ${token.name}`) && onGone()}
        >
          Delete
        </Button>
      )}
    </div>
  );
}
