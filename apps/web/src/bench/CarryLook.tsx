import {
  alike,
  carryLook,
  elementOfNode,
  FACETS,
  type Facet,
  type NodeRecord,
  nameOf,
  RANGES,
  type Range,
  type Site,
} from '@cove/core';
import { Popover } from 'radix-ui';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { ImpactNote } from '../reach/ImpactNote.tsx';
import { useCommit } from '../session/context.tsx';
import { Button } from '../ui/Button.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Floating } from '../ui/Floating.tsx';
import { Tick } from '../ui/Tick.tsx';
import { FACET_NAMES } from './facetNames.ts';

const RANGE_NAMES: Record<Range, string> = {
  row: 'in this row',
  section: 'in this section',
  page: 'on this page',
  site: 'on the site',
};

/** Gives the look of one thing to others of its kind: all of it, or some facets of what is set by hand. */
export function CarryLook({ site, node }: { site: Site; node: NodeRecord }) {
  const [open, setOpen] = useState(false);
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <Button kind="link">Carry look…</Button>
      </Popover.Trigger>
      <Floating label="Carry the look" width={300}>
        <Panel site={site} node={node} onDone={() => setOpen(false)} />
      </Floating>
    </Popover.Root>
  );
}

function Panel({ site, node, onDone }: { site: Site; node: NodeRecord; onDone(): void }) {
  const commit = useCommit();
  const ranges = useMemo(
    () => RANGES.map(range => ({ range, ids: alike(site, node.id, range) })).filter(it => it.ids.length > 0),
    [site, node.id],
  );
  const [range, setRange] = useState<Range | null>(ranges[0]?.range ?? null);
  const [facets, setFacets] = useState<ReadonlySet<Facet> | null>(null);
  const [without, setWithout] = useState<ReadonlySet<string>>(new Set());
  const noun = elementOfNode(node).label.toLowerCase();
  const ids = ranges.find(it => it.range === range)?.ids ?? [];
  const to = ids.filter(id => !without.has(id));
  const key = to.join(' ');
  // biome-ignore lint/correctness/useExhaustiveDependencies: the ids stand in the key
  const carried = useMemo(() => carryLook(site, node.id, to, facets), [site, node, key, facets]);
  if (range === null) return <p className="text-muted">There is no other {noun} on the site.</p>;
  const toggle = (facet: Facet, on: boolean) => {
    const next = new Set(facets ?? []);
    if (on) next.add(facet);
    else next.delete(facet);
    setFacets(next);
  };
  const left = carried.ok ? carried.value.left.length : 0;
  const finish = () => {
    if (!carried.ok) toast.error(carried.problem.message);
    else if (commit(carried.value.edits, `Carry the look of ${nameOf(site, node.id)}`)) onDone();
  };
  return (
    <div className="grid gap-2.5">
      <Choice<Range>
        label="To every other"
        value={range}
        options={ranges.map(it => ({
          value: it.range,
          label: `${RANGE_NAMES[it.range]} (${it.ids.length})`,
        }))}
        onChange={setRange}
      />
      <ul aria-label="Carried to" className="thin-scroll max-h-28 overflow-auto">
        {ids.map(id => (
          <li key={id} className="[content-visibility:auto] [contain-intrinsic-size:auto_22px]">
            <Tick
              checked={!without.has(id)}
              onChange={on => {
                const next = new Set(without);
                if (on) next.delete(id);
                else next.add(id);
                setWithout(next);
              }}
            >
              <span className="truncate">{nameOf(site, id)}</span>
            </Tick>
          </li>
        ))}
      </ul>
      <Choice<'all' | 'some'>
        label="What to carry"
        value={facets === null ? 'all' : 'some'}
        options={[
          { value: 'all', label: 'Its whole look' },
          { value: 'some', label: 'What is set by hand of' },
        ]}
        onChange={it => setFacets(it === 'all' ? null : new Set())}
      />
      {facets !== null && (
        <ul className="grid grid-cols-2">
          {FACETS.map(facet => (
            <li key={facet}>
              <Tick checked={facets.has(facet)} onChange={on => toggle(facet, on)}>
                {FACET_NAMES[facet]}
              </Tick>
            </li>
          ))}
        </ul>
      )}
      {left > 0 && (
        <p role="note" className="text-muted">
          {left === 1 ? 'One of them has' : `${left} of them have`} no part or state for some of it.
        </p>
      )}
      <div className="min-h-24">
        {carried.ok && to.length > 0 && facets?.size !== 0 && <ImpactNote edits={carried.value.edits} />}
      </div>
      <Button
        kind="main"
        className="justify-self-start"
        disabled={to.length === 0 || facets?.size === 0}
        onClick={finish}
      >
        Carry to {to.length}
      </Button>
    </div>
  );
}
