import {
  contributionsTo,
  dimension,
  elementNamed,
  PROPERTIES,
  type PropertyName,
  printSlot,
  role,
  type Site,
  type StyleTarget,
  setSlots,
  settingsOf,
  specimenScope,
  targetId,
  token,
  type Value,
  type Width,
  winner,
} from '@cove/core';
import { X } from 'lucide-react';
import { useMemo } from 'react';
import { PropertyRow } from '../bench/PropertyRow.tsx';
import { drawnSize } from '../drawings/drawn.ts';
import { useCommit } from '../session/context.tsx';
import { Choice } from '../ui/Choice.tsx';

const PAGE: StyleTarget = { type: 'default', element: 'page' };
const GROUND: readonly PropertyName[] = [
  'backgroundColor',
  'backgroundImage',
  'backgroundSize',
  'backgroundPositionX',
  'backgroundPositionY',
  'backgroundRepeat',
  'backgroundAttachment',
];
const SHEET: readonly PropertyName[] = [
  'maxWidth',
  'backgroundColor',
  'marginTop',
  'marginBottom',
  'boxShadow',
];
const slotOf = (property: PropertyName, part: string, width: Width) =>
  printSlot({ part, state: 'rest', width, property });
const BOX = { widest: slotOf('maxWidth', 'sheet', 'wide'), fill: slotOf('backgroundColor', 'sheet', 'wide') };

/** The widest of the sizes that the guide has for pages, so that the box is tied to it. */
const widestOf = (site: Site): Value => {
  const sizes = [...site.kinds.token.values()].filter(it => it.type === 'dimension' && it.group === 'Page');
  const [widest] = sizes.sort((a, b) => drawnSize(site, b.value) - drawnSize(site, a.value));
  return widest ? token(widest.id) : dimension(75, 'rem');
};

/** What lies behind every page, on wide and on small screens, and how the pages lie on it. */
export function GroundPanel({ site, onClose }: { site: Site; onClose(): void }) {
  const commit = useCommit();
  const scope = useMemo(
    () => specimenScope(elementNamed('page'), settingsOf(site).defaultScheme, {}),
    [site],
  );
  const styles = site.kinds.default.get(targetId(PAGE))?.styles ?? {};
  const boxed = styles[BOX.widest] !== undefined;
  const rows = (part: string, width: Width, names: readonly PropertyName[]) => {
    const contributions = contributionsTo(site, scope, part);
    return (
      <ul>
        {PROPERTIES.filter(row => names.includes(row.name)).map(row => {
          const own = styles[slotOf(row.name, part, width)];
          return (
            <PropertyRow
              key={row.name}
              site={site}
              scope={scope}
              row={row}
              asked={{ part, state: 'rest', width }}
              target={PAGE}
              value={own ?? winner(contributions.get(row.name), 'rest', width)?.value ?? null}
              knot={own !== undefined}
              noEffect={null}
            />
          );
        })}
      </ul>
    );
  };
  const lay = (choice: 'full' | 'boxed') => {
    if ((choice === 'boxed') === boxed) return;
    const box = choice === 'boxed';
    commit(
      setSlots(site, PAGE, {
        [BOX.widest]: box ? widestOf(site) : null,
        [BOX.fill]: box ? role('surface') : null,
      }),
      box ? 'Box the pages' : 'Let pages fill the window',
    );
  };
  return (
    <div className="thin-scroll h-full overflow-auto px-3.5 py-3">
      <header className="mb-2 flex items-baseline">
        <h2 className="mr-auto font-semibold">The site’s ground</h2>
        <button type="button" aria-label="Close" className="rounded p-1 hover:bg-ground" onClick={onClose}>
          <X size={14} />
        </button>
      </header>
      <section aria-label="Behind every page" className="mb-4">
        <h3 className="label-line mb-1">Behind every page</h3>
        {rows('box', 'wide', GROUND)}
      </section>
      <section aria-label="On small screens" className="mb-4">
        <h3 className="label-line mb-1">On small screens</h3>
        {rows('box', 'narrow', GROUND)}
      </section>
      <section aria-label="Pages on it" className="mb-4">
        <h3 className="label-line mb-1">Pages lie on it</h3>
        <Choice<'full' | 'boxed'>
          label="Pages lie on it"
          value={boxed ? 'boxed' : 'full'}
          options={[
            { value: 'full', label: 'Full width' },
            { value: 'boxed', label: 'Boxed' },
          ]}
          onChange={lay}
        />
        {boxed && <div className="mt-1">{rows('sheet', 'wide', SHEET)}</div>}
      </section>
    </div>
  );
}
