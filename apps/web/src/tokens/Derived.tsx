import {
  type Derivation,
  derivationNamed,
  editOf,
  literalOf,
  NO_REBINDS,
  type Site,
  type TokenRecord,
  type Value,
} from '@cove/core';
import { useGo } from '../navigation/go.ts';
import { useCommit, useSession } from '../session/context.tsx';
import { Button } from '../ui/Button.tsx';
import { useLocked } from '../ui/locked.ts';

/** What a derived token follows, and by how much; each number has its slider. */
export function Derived({
  site,
  token,
  derivation,
}: {
  site: Site;
  token: TokenRecord;
  derivation: Derivation;
}) {
  const session = useSession();
  const commit = useCommit();
  const go = useGo();
  const locked = useLocked();
  const rule = derivationNamed(derivation.op);
  if (!rule) return null;
  const edit = (value: Value) => [editOf(token).set('value', value)];
  const set = (value: Value) => commit(edit(value), `Change ${token.name}`);
  const end = literalOf(site.kinds.token, NO_REBINDS, token.value);
  return (
    <div className="grid gap-1">
      <p className="text-muted">
        {rule.label} of{' '}
        {derivation.from.map((id, i) => (
          <span key={id}>
            {i > 0 && ' and '}
            <button type="button" className="text-teal hover:underline" onClick={() => go(id)}>
              {site.kinds.token.get(id)?.name ?? id}
            </button>
          </span>
        ))}
        , which it follows.
      </p>
      {rule.by.map(({ label, min, max, share }, i) => {
        const at = derivation.by[i] ?? 0;
        const make = (n: number): Value => ({
          type: 'derived',
          derivation: { ...derivation, by: derivation.by.map((by, k) => (k === i ? n : by)) },
        });
        const step = share ? 0.01 : rule.op === 'ramp' ? 1 : 0.5;
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
              step={step}
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
          Let go: keep the value, follow nothing
        </Button>
      )}
    </div>
  );
}
