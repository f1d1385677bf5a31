import { byOrder, type NoteRecord, pinPicture, type Site, unpinPicture } from '@cove/core';
import { X } from 'lucide-react';
import { PictureChoice } from '../../pictures/PictureChoice.tsx';
import { useCommit, useSession } from '../../session/context.tsx';
import { useLocked } from '../../ui/locked.ts';

/** Pictures that show what a note means, in the order in which they were pinned. */
export function PinnedPictures({ site, note }: { site: Site; note: NoteRecord }) {
  const session = useSession();
  const commit = useCommit();
  const locked = useLocked();
  const pinned = Object.entries(note.pictures ?? {})
    .map(([id, order]) => ({ id, order }))
    .sort(byOrder);
  const pin = (id: string | null) => {
    if (id !== null) commit(pinPicture(note, id), `Pin a picture to ${note.name}`);
  };
  return (
    <>
      <ul aria-label={`Pictures of ${note.name}`} className="mb-1 grid grid-cols-2 gap-1">
        {pinned.map(({ id }) => {
          const picture = site.kinds.asset.get(id);
          return (
            picture && (
              <li key={id} className="relative">
                <img
                  src={`/api/sites/${session.id}/assets/${picture.file}`}
                  alt={picture.alt || picture.name}
                  className="aspect-4/3 w-full rounded-sm border border-hair object-cover"
                />
                {!locked && (
                  <button
                    type="button"
                    aria-label={`Take ${picture.name} off`}
                    className="absolute top-0.5 right-0.5 rounded-sm bg-paper p-0.5 hover:text-teal"
                    onClick={() => commit(unpinPicture(note, id), `Take a picture off ${note.name}`)}
                  >
                    <X size={12} />
                  </button>
                )}
              </li>
            )
          );
        })}
      </ul>
      {!locked && <PictureChoice act site={site} label="Pin a picture" chosen={null} onChoose={pin} />}
    </>
  );
}
