import { type Id, plainOf, type RichText } from '@cove/core';
import { lazy, Suspense } from 'react';
import { useStore } from 'zustand';
import { useSite } from '../../session/context.tsx';
import { openTable } from '../../tables/openTable.ts';
import { Button } from '../../ui/Button.tsx';
import { useLocked } from '../../ui/locked.ts';
import { writingOnPage } from '../../writing/onPage.ts';

const RichToolbar = lazy(async () => ({
  default: (await import('../../writing/RichToolbar.tsx')).RichToolbar,
}));

/** Words of a table by what they are about. They are written on the page, or in the grid below it. */
export function TableWords({
  node,
  table,
  label,
  words,
}: {
  node: Id;
  table: Id;
  label: string;
  words: readonly { about: string; words: RichText }[];
}) {
  const site = useSite();
  const locked = useLocked();
  const editor = useStore(writingOnPage, ({ at }) => (at?.node === node ? at.editor : null));
  return (
    <div>
      <p className="label-line mb-0.5">{label}</p>
      {editor && !locked && (
        <Suspense>
          <RichToolbar site={site} editor={editor} onPicture={null} />
        </Suspense>
      )}
      <dl className="grid grid-cols-[auto_1fr] gap-x-3">
        {words.map((it, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a column is its number
          <div key={i} className="col-span-2 grid grid-cols-subgrid">
            <dt className="max-w-28 truncate text-muted">{it.about}</dt>
            <dd className="truncate">{plainOf(it.words)}</dd>
          </div>
        ))}
      </dl>
      {!locked && (
        <Button kind="link" onClick={() => openTable.setState({ table })}>
          Edit as a grid
        </Button>
      )}
    </div>
  );
}
