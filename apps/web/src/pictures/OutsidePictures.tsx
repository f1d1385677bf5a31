import { useDeferredValue, useState } from 'react';
import { Button } from '../ui/Button.tsx';
import { type LibraryPicture, useLibraryPictures } from './useOutside.ts';

/** So many are shown; more words find fewer. */
const SHOWN = 60;

/** The simulated library outside: found by words, looked at, and taken into the site. */
export function OutsidePictures({
  query,
  asked,
  onTake,
}: {
  query: string;
  /** What is on its way from outside. */
  asked: string | null;
  onTake(picture: LibraryPicture): void;
}) {
  const words = useDeferredValue(query.trim());
  const { data, error, isFetching, refetch } = useLibraryPictures(words);
  const [current, setCurrent] = useState<string | null>(null);
  const chosen = data?.find(it => it.id === current);
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2">
      {isFetching && (
        <p role="status" className="text-muted">
          Asking the picture library…
        </p>
      )}
      {error && !isFetching && (
        <p role="alert" className="text-madder">
          {error.message}{' '}
          <Button kind="link" onClick={() => void refetch()}>
            Ask again
          </Button>
        </p>
      )}
      {data?.length === 0 && (
        <p className="text-muted">The library has no picture with these words. Try fewer of them.</p>
      )}
      <ul
        aria-label="Pictures of the library"
        className="thin-scroll grid min-h-0 flex-1 auto-rows-min grid-cols-[repeat(auto-fill,minmax(128px,1fr))] gap-2 overflow-auto p-0.5"
      >
        {data?.slice(0, SHOWN).map(it => (
          <li key={it.id}>
            <button
              type="button"
              aria-pressed={it.id === current}
              title={it.alt}
              onClick={() => setCurrent(it.id)}
              onDoubleClick={() => onTake(it)}
              className="w-full text-left focus-visible:outline-2 focus-visible:outline-teal"
            >
              <img
                src={`/api/outside/pictures/${it.id}?width=320`}
                alt=""
                loading="lazy"
                className={`h-20 w-full rounded-sm border object-cover ${it.id === current ? 'border-teal outline-2 outline-teal' : 'border-hair'}`}
              />
              <span className={`block truncate pt-0.5 ${it.id === current ? 'font-semibold text-teal' : ''}`}>
                {it.name}
              </span>
            </button>
          </li>
        ))}
      </ul>
      {data && data.length > SHOWN && (
        <p className="text-small text-muted">
          {SHOWN} of {data.length}. More words find fewer.
        </p>
      )}
      <p className="flex items-center gap-3">
        <Button kind="main" disabled={!chosen || asked !== null} onClick={() => chosen && onTake(chosen)}>
          Add to the site
        </Button>
        <span className="text-muted">{chosen ? chosen.alt : 'Simulated: it ships with the program.'}</span>
      </p>
    </div>
  );
}
