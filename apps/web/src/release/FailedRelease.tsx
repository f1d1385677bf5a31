import type { Unrenderable } from '@cove/core';
import { Link } from 'react-router';
import type { Release } from '../api/types.ts';
import { Button } from '../ui/Button.tsx';

const SHOWN = 8;

/** One thing that could not be rendered, with the way to it. */
function Item({ problem, site }: { problem: Unrenderable; site: string }) {
  const { page, node, name, title, reason } = problem;
  const words = name === title ? name : `${name} on ${title}`;
  return (
    <li>
      {page === '' ? (
        words
      ) : (
        <Link
          to={`/sites/${site}/pages/${page}${node ? `?node=${node}` : ''}`}
          className="text-teal hover:underline"
        >
          {words}
        </Link>
      )}
      : {reason}
    </li>
  );
}

/** Why a release was not made: what cannot be rendered and where it stands; the rest can be published without it. */
export function FailedRelease({
  release: { problem, problems },
  site,
  onPublishRest,
}: {
  release: Release;
  site: string;
  /** Publishes what can be rendered; missing where one may not publish. */
  onPublishRest: (() => void) | undefined;
}) {
  return (
    <div role="alert" className="mt-1 grid gap-1">
      {problems.length === 0 ? (
        <p>{problem}</p>
      ) : (
        <>
          <p>
            Not published: {problems.length === 1 ? 'one thing' : `${problems.length} things`} cannot be
            shown.
          </p>
          <ul className="list-disc pl-4">
            {problems.slice(0, SHOWN).map(it => (
              <Item key={`${it.page} ${it.node} ${it.name}`} problem={it} site={site} />
            ))}
          </ul>
          {problems.length > SHOWN && <p className="text-muted">And {problems.length - SHOWN} more.</p>}
          {onPublishRest && (
            <div>
              <Button kind="line" onClick={onPublishRest}>
                Publish the rest without {problems.length === 1 ? 'it' : 'them'}
              </Button>
            </div>
          )}
        </>
      )}
    </div>
  );
}
