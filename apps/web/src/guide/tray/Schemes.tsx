import {
  failuresOf,
  type Id,
  moveScheme,
  printPainted,
  roleColor,
  type Site,
  schemesInOrder,
  settingsOf,
} from '@cove/core';
import { type KeyboardEvent, useState } from 'react';
import { FailureCount } from '../../guard/FailureCount.tsx';
import { useReachOfAll } from '../../reach/useReach.ts';
import { useCommit } from '../../session/context.tsx';
import { useRestedSite } from '../../session/useRestedSite.ts';
import { Button } from '../../ui/Button.tsx';
import { useLocked } from '../../ui/locked.ts';
import { MakeScheme } from '../scheme/MakeScheme.tsx';

const SHOWN = ['surface', 'raised', 'heading', 'text', 'link', 'mainFill'] as const;

/** Every scheme as a strip of what it shows, in order; the site's own is marked in words. */
export function Schemes({ site, onOpen }: { site: Site; onOpen(id: Id): void }) {
  const commit = useCommit();
  const locked = useLocked();
  const reach = useReachOfAll();
  const failures = failuresOf(useRestedSite());
  const { defaultScheme } = settingsOf(site);
  const list = schemesInOrder(site);
  const onKeyDown = (event: KeyboardEvent, id: Id, index: number) => {
    const by = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
    if (!event.altKey || by === 0 || locked) return;
    event.preventDefault();
    commit(moveScheme(site, id, Math.max(0, index + by)), 'Move a scheme');
  };
  const [making, setMaking] = useState(false);
  return (
    <>
      <ul aria-label="Schemes" className="grid gap-1">
        {list.map(({ id, name }, i) => (
          <li key={id} className="flex items-center gap-2">
            <button
              type="button"
              aria-label={`Scheme ${name}`}
              aria-keyshortcuts="Alt+ArrowUp Alt+ArrowDown"
              onClick={() => onOpen(id)}
              onKeyDown={event => onKeyDown(event, id, i)}
              className="flex min-w-0 items-center gap-2 text-left hover:text-teal"
            >
              <span className="flex h-5 w-[72px] shrink-0 overflow-hidden rounded-sm border border-black/15">
                {SHOWN.map(role => {
                  const color = roleColor(site, id, role);
                  return (
                    <span
                      key={role}
                      className={role === 'surface' ? 'flex-[2]' : 'flex-1'}
                      style={color ? { background: printPainted(color) } : {}}
                    />
                  );
                })}
              </span>
              <span className="truncate">{name}</span>
            </button>
            <FailureCount count={failures.ofScheme(id).length} />
            {id === defaultScheme && <span className="shrink-0 text-small text-muted">the site’s</span>}
            <span className="ml-auto font-mono text-[11px] text-muted">{reach.get(id)?.uses ?? 0}</span>
          </li>
        ))}
      </ul>
      {!locked && (
        <Button kind="link" className="h-6! text-small" onClick={() => setMaking(true)}>
          New scheme from the palette…
        </Button>
      )}
      {making && (
        <MakeScheme
          site={site}
          onClose={() => setMaking(false)}
          onMade={id => {
            setMaking(false);
            onOpen(id);
          }}
        />
      )}
    </>
  );
}
