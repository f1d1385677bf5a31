import {
  contributionsTo,
  EDGES,
  type ElementType,
  type Id,
  LAYERS,
  type PropertyName,
  partOf,
  propertyOf,
  type Scope,
  type Site,
  type State,
  type StyleTarget,
  type Width,
  winner,
} from '@cove/core';
import { useState } from 'react';
import { Button } from '../ui/Button.tsx';
import { PropertyRow } from './PropertyRow.tsx';

export const isGround = (element: ElementType, part: string): boolean => {
  const kind = partOf(element, part)?.kind;
  return kind === 'ground' || kind === 'edge';
};

const ROWS: readonly { part: string; property: PropertyName }[] = [
  ...Object.keys(EDGES).map(part => ({ part, property: 'edgeShape' }) as const),
  ...LAYERS.map(part => ({ part, property: 'backgroundImage' }) as const),
];

/** What lies behind a section: the shape of its borders and the layers over its fill, each with its thread. */
export function GroundRows({
  site,
  scope,
  situation,
  target,
  record,
  onPart,
}: {
  site: Site;
  scope: Scope;
  situation: { state: State; width: Width };
  target: StyleTarget;
  /** The record that values set here are written in. */
  record: Id;
  /** Opens a layer or an edge on the bench: its place, its size, its turn. */
  onPart(part: string): void;
}) {
  const { width } = situation;
  const rows = ROWS.map(({ part, property }) => {
    const list = contributionsTo(site, scope, part).get(property);
    const best = winner(list, 'rest', width);
    const knot = list?.some(it => it.record === record && it.state === 'rest' && it.width === width) ?? false;
    return { part, property, best, knot };
  });
  const used = rows.filter(({ best }) => best && best.origin !== 'program').length;
  const [open, setOpen] = useState(used > 0);
  return (
    <details
      className="border-b border-hair px-3.5 py-2"
      open={open}
      onToggle={event => setOpen(event.currentTarget.open)}
    >
      <summary className="label-line cursor-pointer">Edges and layers behind it</summary>
      {open && (
        <ul className="pt-1">
          {rows.map(({ part, property, best, knot }) => {
            const label = partOf(scope.element, part)?.label ?? part;
            return (
              <li key={part} className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-1">
                <ul>
                  <PropertyRow
                    site={site}
                    scope={scope}
                    row={propertyOf(property)}
                    label={label}
                    asked={{ part, state: 'rest', width }}
                    target={target}
                    value={best?.value ?? null}
                    knot={knot}
                    noEffect={null}
                  />
                </ul>
                <Button
                  kind="link"
                  disabled={!best || best.origin === 'program'}
                  aria-label={`More of ${label.toLowerCase()}`}
                  onClick={() => onPart(part)}
                >
                  More
                </Button>
              </li>
            );
          })}
        </ul>
      )}
    </details>
  );
}
