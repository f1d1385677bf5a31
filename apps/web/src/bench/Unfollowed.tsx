import {
  parseDeclarationKey,
  removeDeclaration,
  type Site,
  type SiteRecord,
  type State,
  type Width,
} from '@cove/core';
import { useCommit } from '../session/context.tsx';
import { useLocked } from '../session/rights.tsx';
import { Button } from '../ui/Button.tsx';

/** What a record declares, here, of properties that the guide does not reach. */
export function Unfollowed({
  site,
  record,
  asked,
}: {
  site: Site;
  record: SiteRecord;
  asked: { part: string; state: State; width: Width };
}) {
  const commit = useCommit();
  const locked = useLocked();
  const declarations = 'declarations' in record ? (record.declarations ?? {}) : {};
  const here = Object.entries(declarations).flatMap(([key, value]) => {
    const at = parseDeclarationKey(key);
    return at && at.part === asked.part && at.state === asked.state && at.width === asked.width
      ? [{ key, css: at.css, value }]
      : [];
  });
  if (here.length === 0) return null;
  return (
    <>
      <h4 className="pt-2 text-small text-muted">Not followed</h4>
      <ul aria-label="Not followed">
        {here.map(({ key, css, value }) => (
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
