import {
  byOrder,
  duplicateTextStyle,
  editOf,
  inTextStyle,
  moveTextStyle,
  PROPERTIES,
  printSlot,
  removeTextStyle,
  type Site,
  setNote,
  setSlot,
  type TextStyleRecord,
  tokenPath,
  usersOf,
  WIDTHS,
  type Width,
} from '@cove/core';
import { useState } from 'react';
import { PropertyRow } from '../bench/PropertyRow.tsx';
import { ReachNote } from '../reach/ReachNote.tsx';
import { RemoveWith } from '../reach/RemoveWith.tsx';
import { useCommit } from '../session/context.tsx';
import { Button } from '../ui/Button.tsx';
import { Choice } from '../ui/Choice.tsx';
import { EarlierLater } from '../ui/EarlierLater.tsx';
import { useLocked } from '../ui/locked.ts';
import { NameField } from '../ui/NameField.tsx';
import { NoteField } from '../ui/NoteField.tsx';
import { titled } from '../ui/titled.ts';
import { isOffScale, nearestStep } from './tray/offScale.ts';

const ROWS = PROPERTIES.filter(inTextStyle);
/** A text style: all of its type, by width where wanted. An empty field leaves a value to what is inherited. */
export function TextStylePanel({
  site,
  style,
  onOpen,
}: {
  site: Site;
  style: TextStyleRecord;
  onOpen(id: string | null): void;
}) {
  const commit = useCommit();
  const locked = useLocked();
  const [width, setWidth] = useState<Width>('wide');
  const off = isOffScale(site, style);
  const step = off ? nearestStep(site, style) : null;
  const users = usersOf(site, style.id);
  const all = [...site.kinds.textStyle.values()].sort(byOrder);
  const index = all.findIndex(it => it.id === style.id);
  const move = (to: number) => commit(moveTextStyle(site, style.id, to), `Move ${style.name}`);
  const duplicate = () => {
    const made = duplicateTextStyle(site, style.id);
    if (made.ok && commit(made.value.edits, `Duplicate ${style.name}`)) onOpen(made.value.id);
  };
  return (
    <div className="thin-scroll h-full overflow-auto px-3.5 py-3">
      <NameField
        label="Text style"
        name={style.name}
        onRename={name => commit([editOf(style).set('name', name)], `Rename ${style.name}`)}
      />
      <div className="grid gap-2 py-2">
        <ReachNote id={style.id} />
        <NoteField
          text={style.note ?? ''}
          onCommit={note => commit(setNote(style, note), `Note on ${style.name}`)}
        />
        {off && (
          <p className="text-muted">
            Fixed size: base and ratio do not affect it.{' '}
            {step !== null && !locked && (
              <Button
                kind="link"
                className="h-5!"
                onClick={() =>
                  commit(
                    setSlot(site, { type: 'record', id: style.id }, '/fontSize', {
                      type: 'token',
                      token: step,
                    }),
                    `Put ${style.name} back on the scale`,
                  )
                }
              >
                Put it back at {tokenPath(site.kinds.token, step)}
              </Button>
            )}
          </p>
        )}
        <Choice<Width>
          label="Width"
          value={width}
          options={WIDTHS.map(it => ({
            value: it,
            label: titled(it),
            mark: it !== 'wide' && Object.keys(style.styles).some(slot => slot.startsWith(`@${it}/`)),
          }))}
          onChange={setWidth}
        />
      </div>
      <ul>
        {ROWS.map(row => {
          const value = style.styles[printSlot({ part: '', state: 'rest', width, property: row.name })];
          return (
            <PropertyRow
              key={row.name}
              site={site}
              scope={null}
              row={row}
              asked={{ part: '', state: 'rest', width }}
              target={{ type: 'record', id: style.id }}
              value={value ?? null}
              knot={value !== undefined}
              noEffect={null}
            />
          );
        })}
      </ul>
      {!locked && (
        <div className="mt-3 flex flex-wrap gap-2 border-t border-hair pt-3">
          <EarlierLater index={index} count={all.length} onMove={move} />
          <Button kind="line" className="h-6!" onClick={duplicate}>
            Duplicate
          </Button>
          <RemoveWith
            site={site}
            id={style.id}
            name={style.name}
            used={users.length > 0}
            question="What wears it"
            answers={[
              { value: '', label: 'inherits from its surroundings' },
              ...all
                .filter(it => it.id !== style.id)
                .map(it => ({ value: it.id, label: `wears ${it.name}` })),
            ]}
            edits={by => removeTextStyle(site, style.id, by || null)}
            onGone={by => onOpen(by || null)}
          />
        </div>
      )}
    </div>
  );
}
