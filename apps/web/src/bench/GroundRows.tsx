import {
  type Contributions,
  contributionsTo,
  EDGES,
  freeLayer,
  type Id,
  isSpokenOf,
  LAYERS,
  layersInOrder,
  namedPart,
  type PropertyName,
  placeLayer,
  propertyOf,
  type Scope,
  type Site,
  type State,
  type StyleTarget,
  setSlots,
  slotsOfPart,
  type Width,
  winner,
} from '@cove/core';
import { ArrowDown, ArrowUp, Plus, X } from 'lucide-react';
import { useState } from 'react';
import { useCommit } from '../session/context.tsx';
import { Button } from '../ui/Button.tsx';
import { useLocked } from '../ui/locked.ts';
import { presetContributions } from './held.ts';
import { PropertyRow } from './PropertyRow.tsx';

export const isGround = (part: string): boolean => {
  const kind = namedPart(part)?.kind;
  return kind === 'ground' || kind === 'edge';
};

interface Row {
  part: string;
  property: PropertyName;
}

const EDGE_ROWS: readonly Row[] = Object.keys(EDGES).map(part => ({ part, property: 'edgeShape' }));
const SMALL = 'w-6 justify-center px-0!';

/**
 * What lies behind a section, or what a ground of the guide says of it: the shape of its borders and the layers over its
 * fill, the uppermost first, each with its thread.
 */
export function GroundRows({
  site,
  scope,
  situation,
  target,
  record,
  onPart,
}: {
  site: Site;
  /** Null for a ground of the guide, which stands nowhere. */
  scope: Scope | null;
  situation: { state: State; width: Width };
  target: StyleTarget;
  /** The record that values set here are written in. */
  record: Id;
  /** Opens a layer or an edge on the bench: its place, its size, its turn. */
  onPart(part: string): void;
}) {
  const commit = useCommit();
  const locked = useLocked();
  const { width } = situation;
  const saidOf = (part: string): Contributions =>
    scope ? contributionsTo(site, scope, part) : presetContributions(site, record, part);
  const used = LAYERS.filter(it =>
    scope ? isSpokenOf(site, scope, it) : slotsOfPart(site, record, it).length > 0,
  );
  const layers = layersInOrder(used, saidOf);
  const edges = EDGE_ROWS.filter(({ part }) => {
    const best = winner(saidOf(part).get('edgeShape'), 'rest', width);
    return best && best.origin !== 'program';
  });
  const [open, setOpen] = useState(!scope || layers.length + edges.length > 0);
  /** The one that was asked for and holds nothing yet. */
  const [fresh, setFresh] = useState<string | null>(null);
  const free = freeLayer(layers);
  const shown = fresh !== null && !layers.includes(fresh) ? [fresh, ...layers] : layers;

  const labelOf = (part: string) => namedPart(part)?.label ?? part;
  const move = (layer: string, index: number) =>
    commit(setSlots(site, target, placeLayer(layers, layer, index)), `Move ${labelOf(layer).toLowerCase()}`);
  const remove = (layer: string) => {
    const gone = Object.fromEntries(slotsOfPart(site, record, layer).map(slot => [slot, null]));
    commit(setSlots(site, target, gone), `Remove ${labelOf(layer).toLowerCase()}`);
  };
  const row = ({ part, property }: Row) => {
    const list = saidOf(part).get(property);
    const best = winner(list, 'rest', width);
    const knot = list?.some(it => it.record === record && it.state === 'rest' && it.width === width) ?? false;
    return (
      <ul>
        <PropertyRow
          site={site}
          scope={scope}
          row={propertyOf(property)}
          label={labelOf(part)}
          asked={{ part, state: 'rest', width }}
          target={target}
          value={best?.value ?? null}
          knot={knot}
          noEffect={null}
        />
      </ul>
    );
  };
  const more = (part: string) => (
    <Button kind="link" aria-label={`More of ${labelOf(part).toLowerCase()}`} onClick={() => onPart(part)}>
      More
    </Button>
  );
  return (
    <details
      className="border-b border-hair px-3.5 py-2"
      open={open}
      onToggle={event => setOpen(event.currentTarget.open)}
    >
      <summary className="label-line cursor-pointer">Edges and layers behind it</summary>
      {open && (
        <>
          <ul className="pt-1">
            {EDGE_ROWS.map(it => (
              <li key={it.part} className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-1">
                {row(it)}
                {more(it.part)}
              </li>
            ))}
          </ul>
          <ul aria-label="Layers, the uppermost first" className="pt-1">
            {shown.map((layer, i) => {
              const name = labelOf(layer).toLowerCase();
              const isUsed = layers.includes(layer);
              return (
                <li key={layer} className="border-t border-hair py-1 first:border-t-0">
                  {row({ part: layer, property: 'backgroundImage' })}
                  <p className="flex items-center gap-1">
                    <span className="mr-auto">{more(layer)}</span>
                    {isUsed && !locked && (
                      <>
                        <Button
                          aria-label={`Move ${name} up`}
                          disabled={i === 0}
                          className={SMALL}
                          onClick={() => move(layer, i - 1)}
                        >
                          <ArrowUp size={13} />
                        </Button>
                        <Button
                          aria-label={`Move ${name} down`}
                          disabled={i === shown.length - 1}
                          className={SMALL}
                          onClick={() => move(layer, i + 1)}
                        >
                          <ArrowDown size={13} />
                        </Button>
                        <Button
                          aria-label={`Remove ${name}`}
                          disabled={slotsOfPart(site, record, layer).length === 0}
                          title={
                            slotsOfPart(site, record, layer).length === 0 ? 'It is not set here' : undefined
                          }
                          className={SMALL}
                          onClick={() => remove(layer)}
                        >
                          <X size={13} />
                        </Button>
                      </>
                    )}
                  </p>
                </li>
              );
            })}
          </ul>
          {!locked && free !== null && shown.length === layers.length && (
            <Button kind="link" onClick={() => setFresh(free)}>
              <Plus size={13} />
              Add a layer
            </Button>
          )}
        </>
      )}
    </details>
  );
}
