import { type Id, picturesOf, type Site } from '@cove/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import { useSession } from '../session/context.tsx';
import { useMay } from '../session/rights.tsx';
import { Button } from '../ui/Button.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Sheet } from '../ui/Sheet.tsx';
import { useLatest } from '../ui/useLatest.ts';
import { useRoom } from '../ui/useRoom.ts';
import { FromAddress } from './FromAddress.tsx';
import { OutsidePictures } from './OutsidePictures.tsx';
import { PictureDetails } from './PictureDetails.tsx';
import { useOutside } from './useOutside.ts';
import { type Shown, usePictureLibrary } from './usePictureLibrary.ts';
import { PICTURE_TYPES } from './usePictureUpload.ts';

const CELL = { width: 128, height: 118 } as const;

/** All pictures of the site, seen: found, brought by drag, paste or from a file, described, replaced; one is chosen where that is asked for. */
export function PictureLibrary({
  site,
  title = 'Pictures',
  chosen = null,
  onChoose = null,
  onClose,
}: {
  site: Site;
  title?: string;
  chosen?: Id | null;
  /** Null where they are only looked after. */
  onChoose?: ((id: Id) => void) | null;
  onClose(): void;
}) {
  const session = useSession();
  const may = useMay('content');
  const library = usePictureLibrary(site, chosen);
  const { pictures, picture, uploading, setCurrent } = library;
  const { progress } = uploading;
  const [place, setPlace] = useState<'site' | 'outside'>('site');
  const outside = useOutside(async (one, said) => {
    const came = (await library.add([one], said)) !== null;
    if (came) setPlace('site');
    return came;
  });
  const file = useRef<HTMLInputElement>(null);
  const add = useLatest((files: Iterable<File>) => void library.add(files));

  const [scroller, room] = useRoom<HTMLDivElement>({ width: 640, height: 400 });
  const across = Math.max(1, Math.floor(room.width / CELL.width));
  const rows = useVirtualizer({
    count: Math.ceil(pictures.length / across),
    getScrollElement: () => scroller.current,
    estimateSize: () => CELL.height,
    overscan: 3,
    initialRect: { width: 640, height: 400 },
  });
  const at = pictures.findIndex(it => it.id === picture?.id);
  useEffect(() => {
    if (at >= 0) rows.scrollToIndex(Math.floor(at / across), { align: 'auto' });
  }, [at, across, rows]);

  useEffect(() => {
    if (!may) return;
    const paste = (event: ClipboardEvent) => {
      const files = [...(event.clipboardData?.files ?? [])];
      if (files.length === 0) return;
      event.preventDefault();
      add.current(files);
    };
    document.addEventListener('paste', paste);
    return () => document.removeEventListener('paste', paste);
  }, [may]);

  const walk = (event: KeyboardEvent) => {
    const by = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: across, ArrowUp: -across }[event.key];
    if (event.key === 'Enter' && picture && onChoose) {
      event.preventDefault();
      onChoose(picture.id);
    }
    if (by === undefined) return;
    event.preventDefault();
    const next = pictures[Math.min(pictures.length - 1, Math.max(0, at + by))];
    if (!next) return;
    setCurrent(next.id);
    requestAnimationFrame(() => document.getElementById(`picture-${next.id}`)?.focus());
  };

  return (
    <Sheet
      wide
      title={title}
      about={may ? 'Drop pictures here, paste them, or add them from files.' : ''}
      onClose={onClose}
    >
      {/* biome-ignore lint/a11y/noStaticElementInteractions: what is dropped here can be added by the button as well */}
      <div
        className="grid h-[66vh] grid-cols-[minmax(0,1fr)_260px] gap-4"
        onDragOver={event => may && event.preventDefault()}
        onDrop={event => {
          if (!may || event.dataTransfer.files.length === 0) return;
          event.preventDefault();
          add.current(event.dataTransfer.files);
        }}
      >
        <div className="flex min-h-0 flex-col gap-2">
          <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
            <input
              aria-label="Find a picture"
              placeholder="Find a picture"
              value={library.query}
              onChange={event => library.setQuery(event.target.value)}
              className="h-7 w-48 rounded border border-hair bg-transparent px-2"
            />
            {may && (
              <Choice<'site' | 'outside'>
                label="Where"
                value={place}
                options={[
                  { value: 'site', label: 'On this site' },
                  { value: 'outside', label: 'Picture library' },
                ]}
                onChange={setPlace}
              />
            )}
            {place === 'site' && (
              <Choice<Shown>
                label="Which pictures"
                value={library.shown}
                options={[
                  { value: 'all', label: 'All' },
                  { value: 'unused', label: 'Unused' },
                  { value: 'undescribed', label: 'Without alt text' },
                ]}
                onChange={library.setShown}
              />
            )}
            {may && (
              <>
                <input
                  ref={file}
                  type="file"
                  multiple
                  accept={PICTURE_TYPES}
                  aria-label="Pictures, files"
                  className="sr-only"
                  tabIndex={-1}
                  onChange={event => {
                    const files = [...(event.target.files ?? [])];
                    if (file.current) file.current.value = '';
                    if (files.length > 0) add.current(files);
                  }}
                />
                <Button
                  kind="line"
                  className="ml-auto text-teal!"
                  disabled={progress !== null}
                  onClick={() => file.current?.click()}
                >
                  Add pictures…
                </Button>
              </>
            )}
          </div>
          {outside.problem && (
            <p role="alert" className="text-madder">
              {outside.problem}
            </p>
          )}
          {outside.asked && (
            <p role="status" className="truncate text-muted">
              Asking for {outside.asked}…
            </p>
          )}
          {progress && (
            <div role="status" className="flex items-center gap-2">
              <progress
                max={progress.of}
                value={progress.done}
                aria-label="Pictures added"
                className="flex-1"
              />
              <span className="max-w-[60%] truncate text-muted">
                {progress.of > 1 ? `${progress.done + 1} of ${progress.of}: ` : ''}
                {progress.name}
              </span>
              <Button kind="link" onClick={uploading.cancel}>
                Stop
              </Button>
            </div>
          )}
          {uploading.problems.map(problem => (
            <p key={problem} role="alert" className="text-madder">
              {problem}
            </p>
          ))}
          {place === 'outside' ? (
            <OutsidePictures
              query={library.query}
              asked={outside.asked}
              onTake={it => void outside.take(it)}
            />
          ) : (
            <div
              ref={scroller}
              role="listbox"
              aria-label="Pictures"
              tabIndex={picture ? -1 : 0}
              onKeyDown={walk}
              className="thin-scroll relative min-h-0 flex-1 overflow-auto"
            >
              <div className="relative" style={{ height: rows.getTotalSize() }}>
                {rows.getVirtualItems().map(({ index, start }) =>
                  pictures.slice(index * across, (index + 1) * across).map((it, column) => {
                    const on = it.id === picture?.id;
                    return (
                      // biome-ignore lint/a11y/useKeyWithClickEvents: keys are those of the list around it
                      <div
                        key={it.id}
                        id={`picture-${it.id}`}
                        role="option"
                        aria-selected={on}
                        aria-setsize={pictures.length}
                        aria-posinset={index * across + column + 1}
                        tabIndex={on ? 0 : -1}
                        className="absolute cursor-pointer rounded-sm p-1 focus-visible:outline-2 focus-visible:outline-teal"
                        style={{ left: column * CELL.width, top: start, ...CELL }}
                        onClick={() => setCurrent(it.id)}
                        onDoubleClick={() => onChoose?.(it.id)}
                      >
                        <img
                          src={`/api/sites/${session.id}/assets/${it.file}`}
                          alt=""
                          loading="lazy"
                          decoding="async"
                          className={`h-20 w-full rounded-sm border object-cover ${on ? 'border-teal outline-2 outline-teal' : 'border-hair'}`}
                        />
                        <span className={`block truncate pt-0.5 ${on ? 'font-semibold text-teal' : ''}`}>
                          {it.name}
                        </span>
                      </div>
                    );
                  }),
                )}
              </div>
              {pictures.length === 0 && (
                <p className="p-2 text-muted">
                  {picturesOf(site).length === 0
                    ? 'There are no pictures yet. Drop some here.'
                    : 'No picture matches.'}
                </p>
              )}
            </div>
          )}
          {place === 'site' && may && <FromAddress asked={outside.asked} onAdd={outside.fromAddress} />}
        </div>
        {place === 'outside' ? (
          <p className="text-muted">
            What is added is a copy of one’s own: it is kept with the site, and nothing is asked of the
            library again.
          </p>
        ) : picture ? (
          <PictureDetails
            key={picture.id}
            site={site}
            picture={picture}
            uses={library.uses}
            busy={progress !== null}
            onReplace={it => void library.replace(picture, it)}
            onRemove={() => library.remove(picture)}
            onChoose={onChoose && (() => onChoose(picture.id))}
            onGone={onClose}
          />
        ) : (
          <p className="text-muted">Select a picture to describe it, see where it is used, or replace it.</p>
        )}
      </div>
    </Sheet>
  );
}
