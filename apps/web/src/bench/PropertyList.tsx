import type { Asked, PropertyRow as Row, Scope, Site, StyleTarget } from '@cove/core';
import { useKeptChoice } from '../ui/KeptChoices.tsx';
import { BorderRow } from './BorderRow.tsx';
import { asksForMember, type BundleEntry, commonValue, type Entry, entriesOf, type Held } from './held.ts';
import { PropertyRow } from './PropertyRow.tsx';

export interface Setting {
  site: Site;
  scope: Scope | null;
  asked: Omit<Asked, 'property'>;
  target: StyleTarget;
  /** What a choice will alter. */
  impact?: string | undefined;
  onBox?: ((box: Row['box'] | null) => void) | undefined;
}

/** Properties a row each; sides and corners are one row while they are equal. */
export function PropertyList({
  list,
  words = NO_WORDS,
  ...setting
}: Setting & {
  list: readonly Held[];
  /** What was searched for: whoever asks for one side is shown the sides. */
  words?: readonly string[];
}) {
  return (
    <ul>
      {entriesOf(list).map(entry => (
        <EntryRow key={keyOf(entry)} entry={entry} words={words} {...setting} />
      ))}
    </ul>
  );
}
const NO_WORDS: readonly string[] = [];

const keyOf = (entry: Entry): string =>
  entry.kind === 'one'
    ? entry.held.row.name
    : entry.kind === 'bundle'
      ? entry.bundle.name
      : `border ${entry.side ?? ''}`;

function EntryRow({ entry, words, ...setting }: Setting & { entry: Entry; words: readonly string[] }) {
  switch (entry.kind) {
    case 'one':
      return <PropertyRow {...setting} {...entry.held} />;
    case 'bundle':
      return <BundleRow entry={entry} words={words} {...setting} />;
    case 'border':
      return <BorderRow entry={entry} words={words} {...setting} />;
  }
}

/** All of them in a row that sets them together; one by one below it where they differ, or where that is wanted. */
export function BundleRow({
  entry: { bundle, members },
  words,
  ...setting
}: Setting & { entry: BundleEntry; words: readonly string[] }) {
  const common = commonValue(members);
  const [kept, setOpen] = useKeptChoice(`open ${bundle.name}`);
  const asked = words.length > 0 && asksForMember(bundle, words);
  const open = kept || asked || common === null;
  const [first, ...rest] = members;
  if (!first) return null;
  const knots = members.filter(it => it.knot).length;
  return (
    <>
      <PropertyRow
        {...setting}
        row={first.row}
        also={rest.map(it => it.row)}
        label={bundle.label}
        value={common?.value ?? null}
        {...(common === null && { mixed: 'differ' })}
        knot={knots === members.length}
        noEffect={members.every(it => it.noEffect === first.noEffect) ? first.noEffect : null}
        differs={open ? [] : first.differs}
        varies={open ? 0 : Math.max(...members.map(it => it.varies))}
        {...(common !== null && {
          sides: {
            open,
            label: `${bundle.label}: each ${bundle.name === 'corners' ? 'corner' : 'side'}`,
            onToggle: () => setOpen(!open),
          },
        })}
      />
      {open &&
        members.map((held, i) => (
          <PropertyRow
            key={held.row.name}
            {...setting}
            {...held}
            short={bundle.members[i]?.[1] ?? held.row.label}
            indent
          />
        ))}
    </>
  );
}
