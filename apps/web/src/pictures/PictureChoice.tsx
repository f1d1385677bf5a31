import type { Id, Site } from '@cove/core';
import { lazy, Suspense, useState } from 'react';
import { useSession } from '../session/context.tsx';
import { Button } from '../ui/Button.tsx';
import { useLocked } from '../ui/locked.ts';

const PictureLibrary = lazy(async () => ({
  default: (await import('./PictureLibrary.tsx')).PictureLibrary,
}));

/** A picture of the site, seen; another one is chosen from the library, or brought there. */
export function PictureChoice({
  site,
  label,
  chosen,
  none = 'None',
  act = false,
  onChoose,
}: {
  site: Site;
  label: string;
  chosen: Id | null;
  /** What choosing none is called. */
  none?: string;
  /** Something is done with each that is chosen, and none of them stays so. */
  act?: boolean;
  onChoose(id: Id | null): void;
}) {
  const session = useSession();
  const locked = useLocked();
  const [open, setOpen] = useState(false);
  const picture = chosen === null ? undefined : site.kinds.asset.get(chosen);
  const choose = picture || act ? label : `${label}: ${none.toLowerCase()}`;
  return (
    <div className="grid gap-1">
      {act ? (
        <Button kind="link" className="justify-self-start" onClick={() => setOpen(true)}>
          {label}…
        </Button>
      ) : (
        <>
          <span className="text-muted">{label}</span>
          <div className="flex items-center gap-2">
            <button
              type="button"
              disabled={locked}
              aria-label={picture ? `${choose}: ${picture.name}` : choose}
              onClick={() => setOpen(true)}
              className="h-14 w-24 shrink-0 overflow-hidden rounded-sm border border-hair text-small text-muted hover:border-teal"
            >
              {picture ? (
                <img
                  src={`/api/sites/${session.id}/assets/${picture.file}`}
                  alt=""
                  className="size-full object-cover"
                />
              ) : (
                none
              )}
            </button>
            {!locked && (
              <span className="grid justify-items-start">
                <Button kind="link" className="h-5!" onClick={() => setOpen(true)}>
                  {picture ? 'Change…' : 'Choose…'}
                </Button>
                {picture && (
                  <Button kind="link" className="h-5!" onClick={() => onChoose(null)}>
                    {none === 'None' ? 'Take away' : none}
                  </Button>
                )}
              </span>
            )}
          </div>
        </>
      )}
      {open && (
        <Suspense>
          <PictureLibrary
            site={site}
            title={act ? label : `Choose: ${label.toLowerCase()}`}
            chosen={chosen}
            onChoose={id => {
              setOpen(false);
              onChoose(id);
            }}
            onClose={() => setOpen(false)}
          />
        </Suspense>
      )}
    </div>
  );
}
