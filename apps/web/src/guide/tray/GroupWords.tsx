import {
  byOrder,
  describeGroup,
  groupNamed,
  isGroupUsed,
  PURPOSE_LABELS,
  PURPOSES,
  purposeOf,
  removeGroup,
  type Site,
  type TokenRecord,
  tokenPath,
} from '@cove/core';
import { Popover } from 'radix-ui';
import { useMemo, useState } from 'react';
import { RemoveWith } from '../../reach/RemoveWith.tsx';
import { useCommit } from '../../session/context.tsx';
import { Floating } from '../../ui/Floating.tsx';
import { NoteField } from '../../ui/NoteField.tsx';
import { Select } from '../../ui/Select.tsx';

/** What a group of swatches is for, and a note on it. */
export function GroupWords({
  site,
  group,
  swatches,
}: {
  site: Site;
  group: string;
  swatches: readonly TokenRecord[];
}) {
  const commit = useCommit();
  const [open, setOpen] = useState(false);
  const said = groupNamed(site, group);
  const [only, ...more] = new Set(swatches.map(it => purposeOf(site, it).purpose));
  const shown = only === undefined || more.length > 0 ? 'Several purposes' : PURPOSE_LABELS[only];
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger
        aria-label={`${shown}: purpose of ${group}`}
        className="h-5 text-small text-muted hover:text-teal"
      >
        {shown}
      </Popover.Trigger>
      <Floating label={`Group ${group}`} side="right" width={240}>
        <div className="grid gap-2.5">
          <Select
            label="Purpose of its swatches"
            value={said?.purpose ?? ''}
            options={[
              { value: '', label: 'From their names and colours' },
              ...PURPOSES.map(it => ({ value: it, label: PURPOSE_LABELS[it] })),
            ]}
            onChange={value =>
              commit(
                describeGroup(site, group, { purpose: PURPOSES.find(it => it === value) ?? null }),
                `Change the purpose of ${group}`,
              )
            }
          />
          <p className="text-small text-muted">A swatch can have a purpose of its own.</p>
          <NoteField
            text={said?.note ?? ''}
            onCommit={note => commit(describeGroup(site, group, { note }), `Note on ${group}`)}
          />
          <RemoveGroup site={site} group={group} onGone={() => setOpen(false)} />
        </div>
      </Floating>
    </Popover.Root>
  );
}

/** Takes the group away with all its swatches; what follows them follows others then, told before it is done. */
function RemoveGroup({ site, group, onGone }: { site: Site; group: string; onGone(): void }) {
  const used = useMemo(() => isGroupUsed(site, 'color', group), [site, group]);
  const others = [...site.kinds.token.values()]
    .filter(it => it.type === 'color' && it.group !== group)
    .sort(byOrder);
  return (
    <RemoveWith
      site={site}
      id={group}
      name={group}
      used={used}
      question="What takes the place of its swatches"
      answers={
        used && others.length === 0
          ? []
          : [
              { value: 'nearest', label: 'the nearest of the others, for each' },
              ...others.map(it => ({ value: it.id, label: tokenPath(site.kinds.token, it.id) })),
            ]
      }
      edits={by => removeGroup(site, 'color', group, by)}
      onGone={onGone}
      confirm="Replace and delete"
    />
  );
}
