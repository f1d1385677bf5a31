import {
  type Id,
  nameOf,
  type Override,
  parseDeclarationKey,
  parseSlot,
  printTyped,
  propertyOf,
  resetOverrides,
  type Site,
} from '@cove/core';
import { useMemo, useState } from 'react';
import { useGo } from '../navigation/go.ts';
import { useOverrides } from '../reach/useReach.ts';
import { useCommit } from '../session/context.tsx';
import { useMay } from '../session/rights.tsx';
import { Button } from '../ui/Button.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Sheet } from '../ui/Sheet.tsx';

const keyOf = ({ node, at, key }: Override): string => `${node} ${at} ${key}`;

/** What is set, in words, and to what. */
function wordsOf(site: Site, { node, at, key }: Override): { what: string; where: string; value: string } {
  const record = site.kinds.widget.get(node) ?? site.kinds.section.get(node);
  const slot = at === 'styles' ? parseSlot(key) : parseDeclarationKey(key);
  const property = slot && 'property' in slot ? slot.property : null;
  const situation = [
    slot?.part,
    slot?.state === 'rest' ? null : slot?.state,
    slot?.width === 'wide' ? null : slot?.width,
  ];
  const value = record?.styles[key];
  return {
    what:
      property === null
        ? slot && 'css' in slot
          ? slot.css
          : key
        : property === 'textStyle'
          ? 'Text style'
          : propertyOf(property).label,
    where: situation.filter(Boolean).join(', '),
    value:
      at === 'declarations'
        ? (record?.declarations?.[key] ?? '')
        : value?.type === 'textStyle'
          ? nameOf(site, value.style)
          : value
            ? printTyped(value, site.kinds.token)
            : '',
  };
}

/** Every value that was set by hand, on this page or on the site: each leads to its place; one, some or all are reset. */
export function Overrides({ site, page, onClose }: { site: Site; page: Id; onClose(): void }) {
  const commit = useCommit();
  const go = useGo();
  const may = useMay('style');
  const [range, setRange] = useState<'page' | 'site'>('page');
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const list = useOverrides(range === 'page' ? page : null);
  const chosen = useMemo(() => list?.filter(it => ticked.has(keyOf(it))) ?? [], [list, ticked]);
  const reset = (some: readonly Override[]) => {
    if (
      commit(
        resetOverrides(site, some),
        some.length === 1 ? 'Reset one value' : `Reset ${some.length} values`,
      )
    )
      setTicked(new Set());
  };
  return (
    <Sheet
      wide
      title="Overrides"
      about="Values set by hand on one item, over its presets and the guide."
      onClose={onClose}
      foot={
        may && (
          <>
            <Button disabled={chosen.length === 0} onClick={() => reset(chosen)}>
              Reset {chosen.length === 0 ? 'what is ticked' : chosen.length}
            </Button>
            <Button disabled={!list || list.length === 0} onClick={() => list && reset(list)}>
              Reset all {list?.length ?? ''}
            </Button>
          </>
        )
      }
    >
      <Choice<'page' | 'site'>
        label="Of what"
        value={range}
        options={[
          { value: 'page', label: 'This page, header and footer' },
          { value: 'site', label: 'The whole site' },
        ]}
        onChange={setRange}
      />
      {!list && (
        <p role="status" className="mt-3 text-muted">
          Loading…
        </p>
      )}
      {list?.length === 0 && <p className="mt-3 text-muted">None. Everything follows the guide.</p>}
      <ul aria-label="Overrides" className="mt-3">
        {list?.map(it => {
          const { what, where, value } = wordsOf(site, it);
          const name = nameOf(site, it.node);
          return (
            <li
              key={keyOf(it)}
              className="grid grid-cols-[20px_minmax(0,1fr)_minmax(0,1fr)_minmax(0,1fr)_64px] items-center gap-3 border-t border-hair py-1 [contain-intrinsic-size:auto_33px] [content-visibility:auto]"
            >
              <input
                type="checkbox"
                className="accent-teal"
                aria-label={`${what} of ${name}`}
                checked={ticked.has(keyOf(it))}
                onChange={event => {
                  const next = new Set(ticked);
                  if (event.target.checked) next.add(keyOf(it));
                  else next.delete(keyOf(it));
                  setTicked(next);
                }}
              />
              <button
                type="button"
                className="truncate text-left hover:text-teal hover:underline"
                onClick={() => {
                  onClose();
                  go(it.node);
                }}
              >
                {name}
              </button>
              <span className="truncate">
                {what} <span className="text-muted">{where}</span>
              </span>
              <code className="truncate text-[12px]">{value}</code>
              {may && (
                <Button kind="link" aria-label={`Reset ${what} of ${name}`} onClick={() => reset([it])}>
                  Reset
                </Button>
              )}
            </li>
          );
        })}
      </ul>
    </Sheet>
  );
}
