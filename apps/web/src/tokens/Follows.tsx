import { editOf, type Id, literalOf, NO_REBINDS, type Site, type TokenRecord } from '@cove/core';
import { useGo } from '../navigation/go.ts';
import { useCommit } from '../session/context.tsx';
import { Button } from '../ui/Button.tsx';
import { useLocked } from '../ui/locked.ts';

/** Says which token another one follows, and offers the two ways to change it: there, or by itself from now on. */
export function Follows({ site, token, followed }: { site: Site; token: TokenRecord; followed: Id }) {
  const commit = useCommit();
  const go = useGo();
  const locked = useLocked();
  const name = site.kinds.token.get(followed)?.name ?? followed;
  const end = literalOf(site.kinds.token, NO_REBINDS, token.value);
  return (
    <div className="grid gap-1">
      <p className="text-muted">
        Follows <strong className="text-ink">{name}</strong>: changing {name} changes {token.name} too.
      </p>
      {!locked && (
        <p className="flex flex-wrap gap-x-3">
          <Button kind="link" className="h-5!" onClick={() => go(followed)}>
            Edit {name}
          </Button>
          {end && (
            <Button
              kind="link"
              className="h-5!"
              onClick={() => commit([editOf(token).set('value', end)], `Stop ${token.name} following`)}
            >
              Stop following, keep the value
            </Button>
          )}
        </p>
      )}
    </div>
  );
}
