import { ELEMENT_FAMILIES, type ElementFamily, type SpecimenColumn } from '@cove/core';
import { READY_GUIDES } from '@cove/core/starters';
import { Popover } from 'radix-ui';
import { Button } from '../ui/Button.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Floating } from '../ui/Floating.tsx';
import { Select } from '../ui/Select.tsx';
import { Tick } from '../ui/Tick.tsx';
import { useKeptGuides } from './guides/useKept.ts';

/** The sheet as it was when the station was opened, or in another guide: a ready-made one, or one that was kept. */
export type Beside = '' | 'before' | `ready:${string}` | `kept:${string}`;

/** How the specimen is looked at; nothing of it alters the guide. */
export interface View {
  zoom: string;
  /** Words of the sample, or the site's own. */
  words: 'sample' | 'own';
  /** What is seen beside the sheet of now; empty for nothing. */
  beside: Beside;
  /** Whether that stands above the sheet, or at its left with half the room. */
  stands: 'above' | 'left';
  /** Columns left out, by id. */
  without: ReadonlySet<string>;
  /** Families of elements whose rows are left out. */
  withoutRows: ReadonlySet<ElementFamily>;
}

export const FIRST_VIEW: View = {
  zoom: '0.6',
  words: 'sample',
  beside: '',
  stands: 'above',
  without: new Set(),
  withoutRows: new Set(),
};

export function ViewMenu({
  view,
  columns,
  onChange,
}: {
  view: View;
  columns: readonly SpecimenColumn[];
  onChange(view: View): void;
}) {
  const kept = useKeptGuides();
  const besides: readonly { value: Beside; label: string }[] = [
    { value: '', label: 'Nothing' },
    { value: 'before', label: 'When you opened it' },
    ...READY_GUIDES.map(it => ({ value: `ready:${it.id}` as const, label: `In ${it.name}` })),
    ...(kept.data ?? []).map(it => ({ value: `kept:${it.id}` as const, label: `In ${it.name} (own)` })),
  ];
  const toggle = (id: string, on: boolean) => {
    const without = new Set(view.without);
    if (on) without.delete(id);
    else without.add(id);
    // One column at least is always shown.
    if (columns.some(it => !without.has(it.id))) onChange({ ...view, without });
  };
  const toggleRows = (family: ElementFamily, on: boolean) => {
    const withoutRows = new Set(view.withoutRows);
    if (on) withoutRows.delete(family);
    else withoutRows.add(family);
    onChange({ ...view, withoutRows });
  };
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button kind="line" className="h-6!">
          View
        </Button>
      </Popover.Trigger>
      <Floating label="View" side="bottom" align="end" width={264}>
        <div className="grid gap-3">
          <fieldset>
            <legend className="label-line mb-1">Columns shown</legend>
            <ul className="thin-scroll max-h-44 overflow-auto">
              {columns.map(({ id, label }) => (
                <li key={id}>
                  <Tick checked={!view.without.has(id)} onChange={on => toggle(id, on)}>
                    {label}
                  </Tick>
                </li>
              ))}
            </ul>
          </fieldset>
          <fieldset>
            <legend className="label-line mb-1">Rows shown</legend>
            <ul className="grid grid-cols-2 gap-x-2">
              {ELEMENT_FAMILIES.map(({ name, label }) => (
                <li key={name}>
                  <Tick checked={!view.withoutRows.has(name)} onChange={on => toggleRows(name, on)}>
                    {label}
                  </Tick>
                </li>
              ))}
            </ul>
          </fieldset>
          <Choice<View['words']>
            label="Words"
            value={view.words}
            options={[
              { value: 'sample', label: 'Sample words' },
              { value: 'own', label: 'The site’s own' },
            ]}
            onChange={words => onChange({ ...view, words })}
          />
          <Select
            label="Size"
            value={view.zoom}
            options={['0.4', '0.6', '0.8', '1'].map(it => ({ value: it, label: `${Number(it) * 100} %` }))}
            onChange={zoom => onChange({ ...view, zoom })}
          />
          <Select
            label="Beside it"
            value={view.beside}
            options={besides}
            onChange={value => {
              const beside = besides.find(it => it.value === value);
              if (beside) onChange({ ...view, beside: beside.value });
            }}
          />
          {view.beside !== '' && (
            <Select
              label="It stands"
              value={view.stands}
              options={[
                { value: 'above', label: 'Above' },
                { value: 'left', label: 'At the left' },
              ]}
              onChange={value => onChange({ ...view, stands: value === 'left' ? 'left' : 'above' })}
            />
          )}
        </div>
      </Floating>
    </Popover.Root>
  );
}
