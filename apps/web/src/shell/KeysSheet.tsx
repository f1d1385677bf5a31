import { Sheet } from '../ui/Sheet.tsx';

/** Every act that has keys, by where it is done. */
const KEYS: readonly { where: string; keys: readonly (readonly [keys: string, act: string])[] }[] = [
  {
    where: 'Everywhere',
    keys: [
      ['Ctrl K', 'Find anything'],
      ['Ctrl Z', 'Undo'],
      ['Ctrl Y', 'Redo'],
      ['F6', 'Go to the next part of the station, with Shift to the one before'],
      ['?', 'These keys'],
    ],
  },
  {
    where: 'In a field with a number',
    keys: [
      ['↑ ↓', 'One step up or down'],
      ['Shift ↑ ↓', 'Ten steps'],
      ['Alt ↑ ↓', 'A tenth of a step'],
      ['+2  *1.5', 'Calculate from the current value'],
      ['Enter', 'Set it'],
      ['Escape', 'Cancel'],
    ],
  },
  {
    where: 'Guide',
    keys: [
      ['← → ↑ ↓', 'Move between cells of the specimen'],
      ['Enter', 'Select the cell'],
      ['Alt ← →', 'Move a swatch in its group'],
      ['Alt ↑ ↓', 'Move a scheme, or a text style'],
    ],
  },
  {
    where: 'Pages',
    keys: [
      ['↑ ↓', 'Move in the pages or the outline'],
      ['Shift ↑ ↓', 'Extend the selection; so does Shift + click'],
      ['Ctrl G', 'Group the selection'],
      ['Ctrl Shift G', 'Ungroup it'],
      ['Alt ↑ ↓', 'Move it up or down'],
      ['Alt ← →', 'Move it out, or into the one before'],
      ['Ctrl C', 'Copy the selection'],
      ['Ctrl X', 'Cut it'],
      ['Ctrl V', 'Paste, also from another site'],
      ['Ctrl D', 'Duplicate it'],
      ['Delete', 'Delete it'],
      ['← →', 'Move the border between columns, where it has the focus'],
      ['Escape', 'Clear the selection'],
    ],
  },
];

export function KeysSheet({ onClose }: { onClose(): void }) {
  return (
    <Sheet title="Keys" onClose={onClose}>
      <div className="grid grid-cols-2 gap-x-8 gap-y-4">
        {KEYS.map(({ where, keys }) => (
          <section key={where}>
            <h3 className="label-line mb-1">{where}</h3>
            <dl className="grid grid-cols-[98px_1fr] gap-x-1 gap-y-1">
              {keys.map(([pressed, act]) => (
                <div key={act} className="contents">
                  <dt className="font-mono text-[12px]">{pressed}</dt>
                  <dd>{act}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </div>
    </Sheet>
  );
}
