import { addWithin, type ContentFieldOf, isRichText } from '@cove/core';
import { lazy, Suspense } from 'react';
import { toast } from 'sonner';
import { useGo } from '../../navigation/go.ts';
import { useCommit, useSession } from '../../session/context.tsx';
import { useMay } from '../../session/rights.tsx';
import type { ContentControl } from './contentControl.ts';

/** The editor is the heaviest part of the bench, so it comes when words are there to be edited. */
const RichField = lazy(async () => ({ default: (await import('../../writing/RichField.tsx')).RichField }));

/** Paragraphs with emphasis and links. */
export function RichControl({
  widget,
  field,
  value,
  onChange,
  askedForWords,
}: ContentControl<ContentFieldOf<'rich'>>) {
  const commit = useCommit();
  const session = useSession();
  const go = useGo();
  const mayChoose = useMay('choice');
  const putPicture = (before: number) => {
    const made = addWithin(session.site, widget.id, before, 'picture');
    if (!made.ok) toast.error(made.problem.message);
    else if (commit(made.value.edits, 'Put a picture between paragraphs')) go(made.value.id);
  };
  return (
    <Suspense fallback={<p className="text-muted">Loading the editor…</p>}>
      <RichField
        key={widget.id}
        node={widget.id}
        askedFor={askedForWords}
        label={field.label}
        value={isRichText(value) ? value : []}
        onChange={onChange}
        onPicture={field.parts && mayChoose ? putPicture : null}
      />
    </Suspense>
  );
}
