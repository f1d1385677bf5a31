import {
  byOrder,
  distance,
  literalOf,
  NO_REBINDS,
  removeToken,
  type Site,
  type TokenRecord,
  tokenPath,
  usersOf,
} from '@cove/core';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { ImpactNote } from '../../reach/ImpactNote.tsx';
import { useCommit } from '../../session/context.tsx';
import { Button } from '../../ui/Button.tsx';
import { Select } from '../../ui/Select.tsx';

/** Others of its type, for a swatch those that look most like it first. */
function replacements(site: Site, token: TokenRecord): TokenRecord[] {
  const { token: tokens } = site.kinds;
  const colorOf = (it: TokenRecord) => {
    const end = literalOf(tokens, NO_REBINDS, it.value);
    return end?.type === 'color' ? end.value : null;
  };
  const own = colorOf(token);
  const far = (it: TokenRecord) => {
    const color = own && colorOf(it);
    return color ? distance(own, color) : 0;
  };
  return [...tokens.values()]
    .filter(it => it.type === token.type && it.id !== token.id)
    .sort(byOrder)
    .map(it => ({ it, far: far(it) }))
    .sort((a, b) => a.far - b.far)
    .map(({ it }) => it);
}

/** Takes a token away; where it is in use, another takes its place, and what that alters is told first. */
export function RemoveToken({ site, token, onGone }: { site: Site; token: TokenRecord; onGone(): void }) {
  const commit = useCommit();
  const [open, setOpen] = useState(false);
  const used = useMemo(() => usersOf(site, token.id).length > 0, [site, token.id]);
  const others = useMemo(() => (open ? replacements(site, token) : []), [open, site, token]);
  const [chosen, setChosen] = useState<string | null>(null);
  const by = chosen ?? others[0]?.id ?? null;
  const edits = useMemo(() => {
    const result = open && by !== null ? removeToken(site, token.id, by) : null;
    return result?.ok ? result.value : null;
  }, [open, by, site, token.id]);
  const remove = (replacement: string | null) => {
    const result = removeToken(site, token.id, replacement);
    if (!result.ok) toast.error(result.problem.message);
    else if (commit(result.value, `Delete ${token.name}`)) onGone();
  };
  if (!used)
    return (
      <Button kind="line" className="h-6!" onClick={() => remove(null)}>
        Delete
      </Button>
    );
  if (!open)
    return (
      <Button kind="line" className="h-6!" onClick={() => setOpen(true)}>
        Delete …
      </Button>
    );
  return (
    <div className="grid basis-full gap-2 border-t border-hair pt-2">
      {others.length === 0 ? (
        <p className="text-muted">It is in use, and there is no other of its kind to take its place.</p>
      ) : (
        <>
          <Select
            label="What takes its place"
            value={by ?? ''}
            options={others.map(it => ({ value: it.id, label: tokenPath(site.kinds.token, it.id) }))}
            onChange={setChosen}
          />
          <ImpactNote edits={edits} />
          <div className="flex gap-2">
            <Button kind="main" disabled={!edits} onClick={() => remove(by)}>
              Replace and delete
            </Button>
            <Button onClick={() => setOpen(false)}>Keep it</Button>
          </div>
        </>
      )}
    </div>
  );
}
