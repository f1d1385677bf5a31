import { byOrder, CHECKS, type Site, setNoteStatus } from '@cove/core';
import { useDeferredValue } from 'react';
import { useCheck } from '../checks/useCheck.ts';
import { useGo } from '../navigation/go.ts';
import { useCommit } from '../session/context.tsx';
import { useMay } from '../session/rights.tsx';
import { Button } from '../ui/Button.tsx';
import { Tick } from '../ui/Tick.tsx';

/** What the site still waits for: content that the brief names, and words that ask to be replaced. */
export function StillMissing({ site }: { site: Site }) {
  const commit = useCommit();
  const go = useGo();
  const mayContent = useMay('content');
  const waited = [...site.kinds.note.values()].filter(it => it.status !== undefined).sort(byOrder);
  const { findings } = useCheck(CHECKS.firstWordsLeft, useDeferredValue(site));
  const [first] = findings;
  const open = waited.filter(it => it.status === 'open').length + (first ? 1 : 0);
  if (waited.length === 0 && !first) return null;
  return (
    <details className="border-t border-hair px-3.5 py-2">
      <summary className="cursor-pointer">
        <span className="label-line">Still missing</span>{' '}
        <span className="font-mono text-[11px] text-muted">{open}</span>
      </summary>
      <ul className="thin-scroll grid max-h-40 gap-1 overflow-auto pt-1">
        {first && (
          <li>
            <Button kind="link" className="h-5!" onClick={() => go(first.at.record)}>
              {findings.length === 1 ? 'One text to write' : `${findings.length} texts to write`}
            </Button>
          </li>
        )}
        {waited.map(note => (
          <li key={note.id}>
            <Tick
              align="items-baseline"
              checked={note.status === 'done'}
              disabled={!mayContent}
              onChange={done =>
                commit(
                  setNoteStatus(note, done ? 'done' : 'open'),
                  done ? `${note.name}: done` : `${note.name}: still missing`,
                )
              }
            >
              <span className={note.status === 'done' ? 'text-muted line-through' : ''}>{note.name}</span>
            </Tick>
          </li>
        ))}
      </ul>
    </details>
  );
}
