import type { SpecimenColumn } from '@cove/core';
import { Popover } from 'radix-ui';
import { Button } from '../ui/Button.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Select } from '../ui/Select.tsx';

/** How the specimen is looked at; nothing of it alters the guide. */
export interface View {
  zoom: string;
  /** Words of the sample, or the site's own. */
  words: 'sample' | 'own';
  /** The sheet as it was when the station was opened, beside the one of now. */
  before: boolean;
  /** Columns left out, by id. */
  without: ReadonlySet<string>;
}

export const FIRST_VIEW: View = { zoom: '0.6', words: 'sample', before: false, without: new Set() };

export function ViewMenu({
  view,
  columns,
  onChange,
}: {
  view: View;
  columns: readonly SpecimenColumn[];
  onChange(view: View): void;
}) {
  const toggle = (id: string, on: boolean) => {
    const without = new Set(view.without);
    if (on) without.delete(id);
    else without.add(id);
    // One column at least is always shown.
    if (columns.some(it => !without.has(it.id))) onChange({ ...view, without });
  };
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button kind="line" className="h-6!">
          View
        </Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          collisionPadding={8}
          aria-label="View"
          className="z-30 grid w-60 gap-3 rounded-md border border-hair bg-paper p-3.5 text-base text-ink shadow-lg"
        >
          <fieldset>
            <legend className="label-line mb-1">Columns shown</legend>
            <ul className="thin-scroll max-h-44 overflow-auto">
              {columns.map(({ id, label }) => (
                <li key={id}>
                  <label className="flex items-center gap-2">
                    <input
                      type="checkbox"
                      className="accent-teal"
                      checked={!view.without.has(id)}
                      onChange={event => toggle(id, event.target.checked)}
                    />
                    {label}
                  </label>
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
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              className="accent-teal"
              checked={view.before}
              onChange={event => onChange({ ...view, before: event.target.checked })}
            />
            Beside it, as it was when you came here
          </label>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
