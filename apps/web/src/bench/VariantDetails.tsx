import {
  beginWithVariant,
  duplicateVariant,
  editOf,
  type Id,
  moveVariant,
  removeVariant,
  type Site,
  setNote,
  type VariantRecord,
  variantsOf,
} from '@cove/core';
import { useState } from 'react';
import { RemoveWith } from '../reach/RemoveWith.tsx';
import { useReach } from '../reach/useReach.ts';
import { useCommit } from '../session/context.tsx';
import { Button } from '../ui/Button.tsx';
import { EarlierLater } from '../ui/EarlierLater.tsx';
import { useLocked } from '../ui/locked.ts';
import { NameField } from '../ui/NameField.tsx';
import { NoteField } from '../ui/NoteField.tsx';
import { Tick } from '../ui/Tick.tsx';

/** A variant itself: its name and note, whether new ones begin with it, its place in the list, its copy and its end. */
export function VariantDetails({
  site,
  variant,
  onOpen,
}: {
  site: Site;
  variant: VariantRecord;
  /** Another variant, or the default where it is gone. */
  onOpen(variant: Id | null): void;
}) {
  const commit = useCommit();
  const locked = useLocked();
  const { id, name, axis } = variant;
  // One that is new is named first.
  const [open, setOpen] = useState(Object.keys(variant.styles).length === 0);
  const reach = useReach(id);
  const all = variantsOf(site, variant.element, axis);
  const index = all.findIndex(it => it.id === id);
  const move = (to: number) => commit(moveVariant(site, id, to), `Move ${name}`);
  const duplicate = () => {
    const made = duplicateVariant(site, id);
    if (made.ok && commit(made.value.edits, `Duplicate ${name}`)) onOpen(made.value.id);
  };
  return (
    <details open={open} onToggle={event => setOpen(event.currentTarget.open)}>
      <summary className="label-line cursor-pointer">The {axis} itself</summary>
      <div className="mt-1 grid gap-2 border-l-2 border-hair pl-2.5">
        <NameField
          label={`Name of this ${axis}`}
          name={name}
          onRename={value => commit([editOf({ kind: 'variant', id }).set('name', value)], `Rename ${name}`)}
        />
        <NoteField
          text={variant.note ?? ''}
          onCommit={note => commit(setNote({ kind: 'variant', id }, note), `Note on ${name}`)}
        />
        <Tick
          checked={variant.begins ?? false}
          disabled={locked}
          onChange={on => commit(beginWithVariant(site, id, on), 'Change what new ones begin with')}
        >
          New ones begin with it
        </Tick>
        {!locked && (
          <div className="flex flex-wrap gap-x-3 gap-y-1">
            <EarlierLater kind="link" index={index} count={all.length} onMove={move} />
            <Button kind="link" className="h-5!" onClick={duplicate}>
              Duplicate
            </Button>
            <RemoveWith
              kind="link"
              site={site}
              id={id}
              name={name}
              used={reach === null || reach.uses > 0}
              question="What wears it"
              answers={[
                { value: '', label: 'uses the default' },
                ...all.filter(it => it.id !== id).map(it => ({ value: it.id, label: `wears ${it.name}` })),
              ]}
              edits={by => removeVariant(site, id, by || null)}
              onGone={by => onOpen(by || null)}
            />
          </div>
        )}
      </div>
    </details>
  );
}
