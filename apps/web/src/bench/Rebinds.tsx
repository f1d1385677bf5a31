import {
  byOrder,
  editOf,
  nameOf,
  type PageRecord,
  parseTokenValue,
  type SectionRecord,
  type Site,
  tokenPath,
} from '@cove/core';
import { X } from 'lucide-react';
import { useCommit } from '../session/context.tsx';
import { tokenWants } from '../tokens/picker/tokenWants.ts';
import { ValueField } from '../tokens/picker/ValueField.tsx';
import { ActMenu } from '../ui/ActMenu.tsx';
import { useLocked } from '../ui/locked.ts';

/** Tokens that have another value on one page or in one section; whatever follows them there follows it too. */
export function Rebinds({ site, record }: { site: Site; record: PageRecord | SectionRecord }) {
  const commit = useCommit();
  const locked = useLocked();
  const { token: tokens } = site.kinds;
  const { rebind } = record;
  const here = record.kind === 'page' ? 'on this page' : 'in this section';
  const bound = Object.entries(rebind);
  const free = [...tokens.values()].filter(it => !Object.hasOwn(rebind, it.id)).sort(byOrder);
  return (
    <section aria-label={`Tokens ${here}`} className="grid gap-1">
      <ul>
        {bound.map(([token, value]) => {
          const of = tokens.get(token);
          if (!of) return null;
          const path = tokenPath(tokens, token);
          return (
            <li
              key={token}
              data-picker-row
              className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_24px] items-center gap-1"
            >
              <span className="truncate" title={path}>
                {nameOf(site, token)}
              </span>
              <ValueField
                label={`${path} ${here}`}
                site={site}
                scope={null}
                wants={tokenWants(of.type, true)}
                value={value}
                parse={text => parseTokenValue(text, of.type, tokens)}
                onCommit={(next, before = []) =>
                  next &&
                  commit(
                    [...before, editOf(record).setIn('rebind', token, next)],
                    `Rebind ${of.name} ${here}`,
                  )
                }
              />
              {!locked && (
                <button
                  type="button"
                  aria-label={`Let ${path} be as everywhere`}
                  className="flex size-6 items-center justify-center rounded-sm hover:text-teal"
                  onClick={() =>
                    commit([editOf(record).unsetIn('rebind', token)], `Let ${of.name} be as everywhere`)
                  }
                >
                  <X size={13} />
                </button>
              )}
            </li>
          );
        })}
      </ul>
      {bound.length === 0 && <p className="text-muted">As in the guide.</p>}
      {!locked && (
        <ActMenu
          label={`Rebind a token ${here}`}
          className="w-full"
          options={free.map(it => ({ value: it.id, label: tokenPath(tokens, it.id) }))}
          onChoose={token => {
            const of = tokens.get(token);
            if (of) commit([editOf(record).setIn('rebind', token, of.value)], `Rebind ${of.name} ${here}`);
          }}
        />
      )}
    </section>
  );
}
