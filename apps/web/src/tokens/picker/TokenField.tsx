import {
  fail,
  type Id,
  ok,
  parseTokenValue,
  type Result,
  type Site,
  type TokenRecord,
  type TokenType,
  type Value,
} from '@cove/core';
import { Chip } from '../../ui/Chip.tsx';
import { DrawnValue } from './DrawnValue.tsx';
import { colorOf, endOf } from './endOf.ts';
import { ValueField } from './ValueField.tsx';

/** A field that takes a token and nothing else: what it is bound to, by name, from the list, or made anew of a typed value. */
export function TokenField({
  label,
  hideLabel = false,
  site,
  type,
  value,
  accepts,
  empty = null,
  onChange,
  className = '',
}: {
  label: string;
  hideLabel?: boolean;
  site: Site;
  type: TokenType;
  value: Id | null;
  /** Which tokens are offered; all of the type where left out. */
  accepts?: (token: TokenRecord) => boolean;
  /** What it is called to be bound to nothing; null where it must be bound. */
  empty?: string | null;
  /** `before` is to be done in the same step: a token that was made here. */
  onChange(id: Id | null, before?: Parameters<Parameters<typeof ValueField>[0]['onCommit']>[1]): void;
  className?: string;
}) {
  const { token: tokens } = site.kinds;
  const parse = (text: string): Result<Value | null> => {
    if (text.trim() === '' && empty !== null) return ok(null);
    const read = parseTokenValue(text, type, tokens);
    if (!read.ok || read.value.type === 'token') return read;
    return fail({
      code: 'not-a-token',
      message: 'It takes a token. Choose one below, or add this value as one.',
      found: text,
      expected: 'a token',
    });
  };
  const bound: Value | null = value === null ? null : { type: 'token', token: value };
  const end = endOf(site, null, bound);
  return (
    <div data-picker-row className={`min-w-0 ${className}`}>
      {!hideLabel && (
        <span aria-hidden className="label-line mb-0.5 block">
          {label}
        </span>
      )}
      <div className="flex min-w-0 items-center gap-1.5">
        {type === 'color' ? (
          <Chip color={colorOf(site, null, bound)} />
        ) : (
          <DrawnValue site={site} end={end} use={null} most={96} longest={18} />
        )}
        <ValueField
          label={label}
          className="flex-1"
          site={site}
          scope={null}
          wants={{
            types: [type],
            use: null,
            keywords: [],
            roles: false,
            ties: true,
            literals: false,
            empty,
            ...(accepts && { accepts }),
          }}
          value={bound}
          parse={parse}
          reads={text => {
            const read = parseTokenValue(text, type, tokens);
            return read.ok ? read.value : null;
          }}
          onCommit={(next, before) =>
            next === null ? onChange(null) : next.type === 'token' && onChange(next.token, before)
          }
        />
      </div>
    </div>
  );
}
