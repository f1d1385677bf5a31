import { addPreset, type Id, PRESET_USES, type PresetUse, presetsOfUse, type Site } from '@cove/core';
import { useReachOfAll } from '../../reach/useReach.ts';
import { useCommit } from '../../session/context.tsx';
import { Button } from '../../ui/Button.tsx';
import { useLocked } from '../../ui/locked.ts';

/** Grounds, or treatments: named once, worn wherever they fit. */
export function UsedPresets({ site, use, onOpen }: { site: Site; use: PresetUse; onOpen(id: Id): void }) {
  const commit = useCommit();
  const locked = useLocked();
  const reach = useReachOfAll();
  const { label } = PRESET_USES[use];
  const noun = label.toLowerCase();
  const all = presetsOfUse(site, [use]);
  const add = () => {
    const { edits, id } = addPreset(site, `New ${noun}`, { use });
    if (commit(edits, `Add a ${noun}`)) onOpen(id);
  };
  return (
    <>
      {all.length === 0 && <p className="text-muted">None yet.</p>}
      <ul aria-label={`${label}s`}>
        {all.map(({ id, name, note }) => (
          <li key={id}>
            <button
              type="button"
              onClick={() => onOpen(id)}
              title={note}
              className="flex w-full items-baseline gap-2 text-left hover:text-teal"
            >
              <span className="truncate">{name}</span>
              <span className="ml-auto font-mono text-[11px] text-muted">{reach.get(id)?.uses ?? 0}</span>
            </button>
          </li>
        ))}
      </ul>
      {!locked && (
        <Button kind="link" className="h-6! text-small" onClick={add}>
          New {noun}
        </Button>
      )}
    </>
  );
}
