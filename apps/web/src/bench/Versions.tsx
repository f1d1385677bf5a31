import {
  editOf,
  type Id,
  keepShown,
  removeNodes,
  type SectionRecord,
  type Site,
  setAside,
  showVersion,
  versionsOf,
} from '@cove/core';
import { lazy, Suspense, useState } from 'react';
import { toast } from 'sonner';
import { useGo } from '../navigation/go.ts';
import { useCommit, useSession } from '../session/context.tsx';
import { Button } from '../ui/Button.tsx';
import { NameInPlace } from '../ui/NameInPlace.tsx';

const BeforeAfter = lazy(async () => ({ default: (await import('../reach/BeforeAfter.tsx')).BeforeAfter }));

/** Versions of a section that were set aside: compared with the one that shows, shown instead of it, done away with. */
export function Versions({ site, section, page }: { site: Site; section: SectionRecord; page: Id }) {
  const commit = useCommit();
  const session = useSession();
  const go = useGo();
  const [compared, setCompared] = useState<Id | null>(null);
  const versions = versionsOf(site, section.id);
  const keep = () => {
    const made = setAside(session.site, section.id, `Version ${versions.length + 1}`);
    if (!made.ok) toast.error(made.problem.message);
    else if (commit(made.value.edits, `Set a version of ${section.name} aside`))
      toast.success('Set aside as it is now. What you change from here on is another version.');
  };
  const show = (version: SectionRecord) => {
    const made = showVersion(session.site, version.id);
    if (!made.ok) toast.error(made.problem.message);
    else if (commit(made.value, `Show ${version.name}`)) go(version.id);
  };
  const swapped = compared === null ? null : showVersion(site, compared);
  return (
    <details open={versions.length > 0}>
      <summary className="label-line cursor-pointer">
        Versions set aside{versions.length > 0 ? `: ${versions.length}` : ''}
      </summary>
      <ul className="py-1">
        {versions.map(version => (
          <li key={version.id} className="flex h-7 items-center gap-2">
            <span className="mr-auto min-w-0 truncate">
              <NameInPlace
                label={`Version ${version.name}`}
                name={version.name}
                onRename={name => commit([editOf(version).set('name', name)], `Rename ${version.name}`)}
              />
            </span>
            <Button
              kind="link"
              aria-label={`Compare with ${version.name}`}
              onClick={() => setCompared(version.id)}
            >
              Compare
            </Button>
            <Button kind="link" aria-label={`Show ${version.name}`} onClick={() => show(version)}>
              Show
            </Button>
            <Button
              kind="link"
              aria-label={`Delete ${version.name}`}
              onClick={() => commit(removeNodes(session.site, [version.id]), `Delete ${version.name}`)}
            >
              Delete
            </Button>
          </li>
        ))}
      </ul>
      <p className="flex gap-3">
        <Button kind="link" onClick={keep}>
          Set this version aside
        </Button>
        {versions.length > 0 && (
          <Button
            kind="link"
            onClick={() => commit(keepShown(session.site, section.id), 'Keep only the version that shows')}
          >
            Keep only what shows
          </Button>
        )}
      </p>
      {swapped?.ok && compared !== null && (
        <Suspense>
          <BeforeAfter
            edits={swapped.value}
            pages={[{ page, nodes: [section.id, compared] }]}
            first={page}
            names={['Shown now', 'Set aside']}
            onClose={() => setCompared(null)}
          />
        </Suspense>
      )}
    </details>
  );
}
