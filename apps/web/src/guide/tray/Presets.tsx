import {
  addPreset,
  byOrder,
  FACETS,
  type Facet,
  type Id,
  nearPresets,
  PART_KINDS,
  type PartKind,
  type PresetRecord,
  parseSlot,
  presetStyles,
  propertyOf,
  type Site,
  unusedPresets,
} from '@cove/core';
import { useMemo, useState } from 'react';
import { useReachOfAll } from '../../reach/useReach.ts';
import { useCommit } from '../../session/context.tsx';
import { Button } from '../../ui/Button.tsx';
import { useLocked } from '../../ui/locked.ts';
import { SetFromScale } from './SetFromScale.tsx';

/** What a preset is filed under: the facets it sets, in the order of the bench. */
export function facetsOf(site: Site, id: Id): Facet[] {
  const set = new Set(
    Object.keys(presetStyles(site, id).styles).flatMap((slot): Facet[] => {
      const at = parseSlot(slot);
      if (!at) return [];
      return at.property === 'textStyle' ? ['type'] : [propertyOf(at.property).facet];
    }),
  );
  return FACETS.filter(it => set.has(it));
}

/** And the kinds of part it reaches. */
export function kindsOf(site: Site, id: Id): PartKind[] {
  const set = new Set(Object.keys(presetStyles(site, id).styles).map(slot => parseSlot(slot)?.part));
  return PART_KINDS.filter(it => set.has(it));
}

/** Filters that are no labels of a preset. */
const UNUSED = ' unused';
const ALIKE = ' alike';

/** Named bundles; filtered by what they set, or to those that could go. */
export function Presets({ site, onOpen }: { site: Site; onOpen(id: Id): void }) {
  const commit = useCommit();
  const locked = useLocked();
  const reach = useReachOfAll();
  const [filed, setFiled] = useState('');
  const [making, setMaking] = useState(false);
  const all = [...site.kinds.preset.values()].filter(it => it.use === undefined).sort(byOrder);
  const unused = useMemo(() => new Set(unusedPresets(site)), [site]);
  const alike = useMemo(() => nearPresets(site), [site]);
  const labels = (it: PresetRecord): string[] => [...facetsOf(site, it.id), ...kindsOf(site, it.id)];
  const offered = [...new Set(all.flatMap(labels))].sort();
  const holds = (it: PresetRecord): boolean => {
    if (filed === '') return true;
    if (filed === UNUSED) return unused.has(it.id);
    if (filed === ALIKE) return alike.some(({ a, b }) => a === it.id || b === it.id);
    return labels(it).includes(filed);
  };
  const shown = all.filter(holds);
  const add = () => {
    const { edits, id } = addPreset(site, 'New preset');
    if (commit(edits, 'Add a preset')) onOpen(id);
  };
  return (
    <>
      {(all.length > 4 || unused.size > 0 || alike.length > 0) && (
        <select
          aria-label="Show presets for"
          value={filed}
          onChange={event => setFiled(event.target.value)}
          className="mb-1 h-6 w-full rounded-sm border border-hair bg-paper px-1"
        >
          <option value="">all of them</option>
          {unused.size > 0 && <option value={UNUSED}>not used ({unused.size})</option>}
          {alike.length > 0 && <option value={ALIKE}>nearly alike ({alike.length})</option>}
          {offered.map(it => (
            <option key={it} value={it}>
              {it}
            </option>
          ))}
        </select>
      )}
      {all.length === 0 && <p className="text-muted">None yet.</p>}
      {filed === ALIKE && (
        <p className="text-small text-muted">Open one to merge it into the one that is like it.</p>
      )}
      <ul aria-label="Presets">
        {shown.map(preset => (
          <li key={preset.id}>
            <button
              type="button"
              onClick={() => onOpen(preset.id)}
              title={preset.note}
              className="flex w-full items-baseline gap-2 text-left hover:text-teal"
            >
              <span className="truncate">{preset.name}</span>
              {preset.set !== undefined && (
                <span className="truncate text-small text-muted">of {preset.set}</span>
              )}
              <span className="ml-auto font-mono text-[11px] text-muted">
                {reach.get(preset.id)?.uses ?? 0}
              </span>
            </button>
          </li>
        ))}
      </ul>
      {!locked && (
        <p className="flex gap-3">
          <Button kind="link" className="h-6! text-small" onClick={add}>
            New preset
          </Button>
          <Button kind="link" className="h-6! text-small" onClick={() => setMaking(true)}>
            Set from a scale…
          </Button>
        </p>
      )}
      {making && (
        <SetFromScale
          site={site}
          onMade={id => {
            setMaking(false);
            onOpen(id);
          }}
          onClose={() => setMaking(false)}
        />
      )}
    </>
  );
}
