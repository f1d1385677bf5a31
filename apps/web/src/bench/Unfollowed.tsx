import {
  parseDeclarationKey,
  removeDeclaration,
  type Site,
  type SiteRecord,
  type State,
  type Width,
} from '@cove/core';
import { useCommit } from '../session/context.tsx';
import { Button } from '../ui/Button.tsx';
import { useLocked } from '../ui/locked.ts';

interface Declared {
  key: string;
  css: string;
  value: string;
}

/** What a record declares, for a part in a state and width, of properties that the guide does not reach. */
export function unfollowedOf(
  record: SiteRecord,
  asked: { part: string; state: State; width: Width },
): readonly Declared[] {
  const declarations = 'declarations' in record ? (record.declarations ?? {}) : {};
  return Object.entries(declarations).flatMap(([key, value]) => {
    const at = parseDeclarationKey(key);
    return at && at.part === asked.part && at.state === asked.state && at.width === asked.width
      ? [{ key, css: at.css, value }]
      : [];
  });
}

/** Declarations that are printed as typed, each with its way out. */
export function Unfollowed({
  site,
  record,
  list,
}: {
  site: Site;
  record: SiteRecord;
  list: readonly Declared[];
}) {
  const commit = useCommit();
  const locked = useLocked();
  if (list.length === 0) return null;
  return (
    <>
      <h4 className="pt-2 text-small text-muted">Not followed</h4>
      <ul aria-label="Not followed">
        {list.map(({ key, css, value }) => (
          <li key={key} className="flex items-center gap-2">
            <code className="mr-auto min-w-0 truncate font-mono text-[12px]">
              {css}: {value}
            </code>
            {!locked && (
              <Button
                kind="link"
                aria-label={`Remove ${css}`}
                onClick={() => commit(removeDeclaration(site, record.id, key), `Removed ${css}`)}
              >
                Remove
              </Button>
            )}
          </li>
        ))}
      </ul>
    </>
  );
}
