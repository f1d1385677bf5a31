import {
  addPresetSet,
  BUNDLES,
  byOrder,
  groupBy,
  type Id,
  PART_KINDS,
  type PartKind,
  PROPERTIES,
  type PropertyName,
  propertyOf,
  type Site,
  type TokenRecord,
  tokenTypesOf,
} from '@cove/core';
import { useMemo, useState } from 'react';
import { useCommit } from '../../session/context.tsx';
import { Button } from '../../ui/Button.tsx';
import { Select } from '../../ui/Select.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import { Tick } from '../../ui/Tick.tsx';
import { titled } from '../../ui/titled.ts';

/** A property, or some that are one thing to whoever sets them. */
interface Offered {
  label: string;
  properties: readonly PropertyName[];
}

/** What a kind of part can be given from tokens of some type. */
function offeredFor(kind: PartKind, type: TokenRecord['type']): Offered[] {
  const fits = (name: PropertyName) => {
    const row = propertyOf(name);
    return tokenTypesOf(row).includes(type) && (!row.kinds || row.kinds.includes(kind));
  };
  const bundled = BUNDLES.map(({ label, members }) => ({
    label,
    properties: members.map(([name]) => name),
  })).filter(it => it.properties.every(fits));
  const single = PROPERTIES.filter(it => fits(it.name)).map(it => ({
    label: it.label,
    properties: [it.name],
  }));
  return [...bundled, ...single];
}

/** Makes a set of presets of the steps of a scale, or of swatches: one each, of which a thing wears one. */
export function SetFromScale({
  site,
  onMade,
  onClose,
}: {
  site: Site;
  onMade(first: Id): void;
  onClose(): void;
}) {
  const commit = useCommit();
  const scales = useMemo(
    () =>
      [...groupBy([...site.kinds.token.values()].sort(byOrder), it => `${it.type} ${it.group}`)].filter(
        ([, all]) => all.length > 1,
      ),
    [site],
  );
  const first = scales.find(([key]) => key === 'dimension Space') ?? scales[0];
  const [scale, setScale] = useState(first?.[0] ?? '');
  const [kind, setKind] = useState<PartKind>('box');
  const [property, setProperty] = useState(0);
  const [without, setWithout] = useState<ReadonlySet<Id>>(new Set());
  const [typed, setTyped] = useState<string | null>(null);
  const tokens = scales.find(([key]) => key === scale)?.[1] ?? [];
  const offered = offeredFor(kind, tokens[0]?.type ?? 'dimension');
  const chosen = offered[property] ?? offered[0];
  const name = typed ?? chosen?.label ?? '';
  const made = addPresetSet(site, {
    name,
    kind,
    properties: chosen?.properties ?? [],
    tokens: tokens.filter(it => !without.has(it.id)).map(it => it.id),
  });
  return (
    <Sheet
      title="Set from a scale"
      about="One preset for each step; wearing one takes off the others."
      onClose={onClose}
      foot={
        <Button
          kind="main"
          disabled={!made.ok}
          onClick={() => {
            if (made.ok && commit(made.value.edits, `Make the set ${name}`)) onMade(made.value.ids[0] ?? '');
          }}
        >
          {made.ok ? `Make ${made.value.ids.length} presets` : 'Make presets'}
        </Button>
      }
    >
      <div className="grid grid-cols-2 gap-3">
        <Select
          label="Scale or swatches"
          value={scale}
          options={scales.map(([key, all]) => ({ value: key, label: `${all[0]?.group} (${all.length})` }))}
          onChange={next => {
            setScale(next);
            setProperty(0);
            setWithout(new Set());
          }}
        />
        <Select<PartKind>
          label="For"
          value={kind}
          options={PART_KINDS.map(it => ({ value: it, label: titled(it) }))}
          onChange={next => {
            setKind(next);
            setProperty(0);
          }}
        />
        <Select
          label="Property"
          value={String(property)}
          options={offered.map((it, i) => ({ value: String(i), label: it.label }))}
          onChange={it => setProperty(Number(it))}
        />
        <label className="grid gap-0.5">
          <span className="label-line">Set name</span>
          <input
            value={name}
            maxLength={40}
            onChange={event => setTyped(event.target.value)}
            className="h-6 rounded-sm border border-hair bg-paper px-1.5"
          />
        </label>
      </div>
      <fieldset className="mt-4">
        <legend className="label-line pb-1">Steps</legend>
        <ul className="grid grid-cols-2 gap-x-3 gap-y-1">
          {tokens.map(it => (
            <li key={it.id}>
              <Tick
                checked={!without.has(it.id)}
                onChange={on => {
                  const next = new Set(without);
                  if (on) next.delete(it.id);
                  else next.add(it.id);
                  setWithout(next);
                }}
              >
                {it.name}
              </Tick>
            </li>
          ))}
        </ul>
      </fieldset>
      <p role={made.ok ? undefined : 'alert'} className={`mt-3 ${made.ok ? 'text-muted' : 'text-madder'}`}>
        {made.ok
          ? made.value.edits
              .flatMap(it => (it.op === 'put' && 'name' in it.record ? [it.record.name] : []))
              .join(', ')
          : made.problem.message}
      </p>
    </Sheet>
  );
}
