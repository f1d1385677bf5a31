import {
  addNote,
  byOrder,
  editOf,
  type NoteStatus,
  removeRecord,
  type Site,
  setNoteStatus,
} from '@cove/core';
import { useState } from 'react';
import { useCommit } from '../../session/context.tsx';
import { Button } from '../../ui/Button.tsx';
import { useLocked } from '../../ui/locked.ts';
import { NameInPlace } from '../../ui/NameInPlace.tsx';
import { NoteField } from '../../ui/NoteField.tsx';
import { Select } from '../../ui/Select.tsx';
import { Chapter } from './Group.tsx';
import { PinnedPictures } from './PinnedPictures.tsx';

/** The brief, the tone, what not to do: words that go with the guide. */
export function Notes({ site }: { site: Site }) {
  const commit = useCommit();
  const locked = useLocked();
  const [open, setOpen] = useState<string | null>(null);
  const all = [...site.kinds.note.values()].sort(byOrder);
  const add = () => {
    const { edits, id } = addNote(site, 'New note');
    if (commit(edits, 'Add a note')) setOpen(id);
  };
  return (
    <Chapter title="Notes" note={String(all.length)}>
      <ul aria-label="Notes">
        {all.map(note => {
          const { id, name, text } = note;
          return (
            <li key={id} className="mb-1.5">
              <p className="flex items-baseline gap-2">
                <NameInPlace
                  label={`Note ${name}`}
                  name={name}
                  onRename={value =>
                    commit([editOf({ kind: 'note', id }).set('name', value)], `Rename ${name}`)
                  }
                />
                <Button
                  kind="link"
                  className="ml-auto h-5! text-small"
                  aria-expanded={open === id}
                  aria-label={`${open === id ? 'Fold' : 'Open'} note ${name}`}
                  onClick={() => setOpen(open === id ? null : id)}
                >
                  {open === id ? 'Fold' : 'Open'}
                </Button>
              </p>
              {open === id ? (
                <>
                  <NoteField
                    label="Words"
                    text={text}
                    placeholder="What the brand should feel like, what it never does"
                    onCommit={value =>
                      commit([editOf({ kind: 'note', id }).set('text', value)], `Write ${name}`)
                    }
                  />
                  <Select<NoteStatus | 'none'>
                    label="Status"
                    value={note.status ?? 'none'}
                    options={[
                      { value: 'none', label: 'Just a note' },
                      { value: 'open', label: 'Content still missing' },
                      { value: 'done', label: 'Done' },
                    ]}
                    onChange={status =>
                      commit(
                        setNoteStatus(note, status === 'none' ? null : status),
                        `Set the status of ${name}`,
                      )
                    }
                  />
                  <PinnedPictures site={site} note={note} />
                  {!locked && (
                    <Button
                      kind="link"
                      className="h-5! text-small"
                      onClick={() => commit([removeRecord(id)], `Delete ${name}`)}
                    >
                      Delete
                    </Button>
                  )}
                </>
              ) : (
                <p className="line-clamp-2 text-muted">
                  {note.status === 'open' && <span className="font-semibold">Still missing. </span>}
                  {note.status === 'done' && 'Done. '}
                  {text}
                </p>
              )}
            </li>
          );
        })}
      </ul>
      {!locked && (
        <Button kind="link" className="h-6! text-small" onClick={add}>
          New note
        </Button>
      )}
    </Chapter>
  );
}
