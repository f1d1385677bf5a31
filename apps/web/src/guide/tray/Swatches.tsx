import {
  addToken,
  byOrder,
  CHECKS,
  type Color,
  contrast,
  failuresOf,
  groupBy,
  type Id,
  literalOf,
  madeForSchemes,
  moveToken,
  NO_REBINDS,
  PURPOSE_LABELS,
  printPainted,
  printTyped,
  purposeOf,
  renameGroup,
  type Site,
  type TokenRecord,
} from '@cove/core';
import {
  type CollisionDetection,
  DndContext,
  type DragEndEvent,
  PointerSensor,
  pointerWithin,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { rectSortingStrategy, SortableContext, useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { type KeyboardEvent, lazy, Suspense, useDeferredValue, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { useCheck } from '../../checks/useCheck.ts';
import { FailureCount } from '../../guard/FailureCount.tsx';
import { useCommit } from '../../session/context.tsx';
import { useRestedSite } from '../../session/useRestedSite.ts';
import { Button } from '../../ui/Button.tsx';
import { useLocked } from '../../ui/locked.ts';
import { NameInPlace } from '../../ui/NameInPlace.tsx';
import { EditedToken } from './EditedToken.tsx';
import { Chapter, Group } from './Group.tsx';
import { GroupWords } from './GroupWords.tsx';
import { NearSheet } from './NearSheet.tsx';

/** Much is read and drawn in it that the station itself does not need. */
const IncomingSheet = lazy(async () => ({
  default: (await import('../incoming/IncomingSheet.tsx')).IncomingSheet,
}));

/** Query of the address at which it is open. */
const IMPORT = 'import';

const WHITE: Color = { space: 'srgb', coords: [1, 1, 1], alpha: 1 };
const INK: Color = { space: 'srgb', coords: [0, 0, 0], alpha: 1 };
const COLUMNS = 4;

export const swatchColor = (site: Site, token: TokenRecord): Color => {
  const end = literalOf(site.kinds.token, NO_REBINDS, token.value);
  return end?.type === 'color' ? end.value : WHITE;
};

/** The swatch under the pointer; where there is none, the group. */
const underPointer: CollisionDetection = args => {
  const hits = pointerWithin(args);
  const swatch = hits.find(it => !String(it.id).startsWith('group '));
  return swatch ? [swatch] : hits;
};

/** Steps in a group that an arrow key stands for. */
const STEP: Readonly<Record<string, number>> = {
  ArrowLeft: -1,
  ArrowRight: 1,
  ArrowUp: -COLUMNS,
  ArrowDown: COLUMNS,
};

function Swatch({
  site,
  token,
  open,
  onOpen,
  onMove,
}: {
  site: Site;
  token: TokenRecord;
  open: boolean;
  onOpen(id: Id | null): void;
  onMove(by: number): void;
}) {
  const locked = useLocked();
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({
    id: token.id,
    disabled: locked,
  });
  const color = swatchColor(site, token);
  const rested = useRestedSite();
  const failing = failuresOf(rested).ofToken(token.id).length;
  const light = contrast(INK, color) > contrast(WHITE, color);
  const onKeyDown = (event: KeyboardEvent) => {
    const step = STEP[event.key];
    if (!event.altKey || step === undefined || locked) return;
    event.preventDefault();
    onMove(step);
  };
  return (
    <EditedToken token={token} open={open} onOpen={onOpen}>
      <button
        type="button"
        ref={setNodeRef}
        {...listeners}
        onKeyDown={onKeyDown}
        title={`${token.name} = ${printTyped(token.value, site.kinds.token)}\nPurpose: ${PURPOSE_LABELS[purposeOf(site, token).purpose].toLowerCase()}${token.note ? `\n${token.note}` : ''}`}
        aria-label={`Swatch ${token.name}`}
        aria-description={
          failing > 0 ? `${failing} role${failing === 1 ? '' : 's'} below the required contrast` : undefined
        }
        aria-keyshortcuts="Alt+ArrowLeft Alt+ArrowRight"
        className={`flex h-[46px] min-w-0 touch-none flex-col justify-end p-1 text-left text-[10.5px] leading-tight outline-offset-[-3px]! ${light ? 'text-black' : 'text-white'} ${isDragging ? 'z-10 opacity-80 shadow-lg' : ''}`}
        style={{ background: printPainted(color), transform: CSS.Transform.toString(transform), transition }}
      >
        <span className="mb-auto flex w-full">
          <FailureCount count={failing} silent />
          {token.value.type === 'derived' && (
            <span aria-hidden className="ml-auto opacity-70">
              ~
            </span>
          )}
        </span>
        <span className="line-clamp-2">{token.name}</span>
      </button>
    </EditedToken>
  );
}

/** The end of a group, where a swatch dragged from elsewhere can be let go. */
function Grid({ group, children }: { group: string; children: React.ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({ id: `group ${group}` });
  return (
    <div
      ref={setNodeRef}
      className={`grid grid-cols-4 overflow-hidden border border-black/15 ${isOver ? 'outline-2 outline-teal' : ''}`}
    >
      {children}
    </div>
  );
}

/** The chips of a group; those that were made for schemes wait behind a line, since nobody chose them. */
function Chips({
  site,
  group,
  list,
  open,
  onOpen,
  onMove,
}: {
  site: Site;
  group: string;
  list: readonly TokenRecord[];
  open: Id | null;
  onOpen(id: Id | null): void;
  onMove(token: TokenRecord, index: number): void;
}) {
  const [unfolded, setUnfolded] = useState(false);
  const ids = madeForSchemes(site);
  const made = list.filter(it => ids.has(it.id));
  const isShown = unfolded || made.some(it => it.id === open);
  const shown = isShown ? list : list.filter(it => !ids.has(it.id));
  return (
    <>
      <SortableContext items={shown.map(it => it.id)} strategy={rectSortingStrategy}>
        <Grid group={group}>
          {shown.map(token => (
            <Swatch
              key={token.id}
              site={site}
              token={token}
              open={open === token.id}
              onOpen={onOpen}
              onMove={by => onMove(token, list.indexOf(token) + by)}
            />
          ))}
        </Grid>
      </SortableContext>
      {made.length > 0 && (
        <button
          type="button"
          aria-expanded={isShown}
          className="mt-0.5 text-small text-muted hover:text-teal"
          title="They follow your swatches, at the lightness that gives a scheme its contrast"
          onClick={() => setUnfolded(!unfolded)}
        >
          {isShown ? 'Hide' : 'Show'} {made.length} made for schemes
        </button>
      )}
    </>
  );
}

/** Paint chips in free groups: added, named, ordered by drag and keys, pasted, merged. */
export function Swatches({
  site,
  open,
  onOpen,
}: {
  site: Site;
  open: Id | null;
  onOpen(id: Id | null): void;
}) {
  const commit = useCommit();
  const locked = useLocked();
  const [sheet, setSheet] = useState<'paste' | 'near' | null>(null);
  const [params, setParams] = useSearchParams();
  const closeImport = () => {
    setSheet(null);
    if (!params.has(IMPORT)) return;
    const others = new URLSearchParams(params);
    others.delete(IMPORT);
    setParams(others, { replace: true });
  };
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const { token: tokens } = site.kinds;
  const groups = useMemo(
    () => groupBy([...tokens.values()].filter(it => it.type === 'color').sort(byOrder), it => it.group),
    [tokens],
  );
  const settled = useDeferredValue(site);
  const near = useCheck(CHECKS.nearSwatches, settled).found.map(it => it.facts);
  const count = [...groups.values()].reduce((sum, list) => sum + list.length, 0);

  const add = (group: string) => {
    const { edits, id } = addToken(site, {
      type: 'color',
      group,
      name: 'New swatch',
      value: { type: 'color', value: { space: 'oklch', coords: [0.6, 0.1, 220], alpha: 1 } },
    });
    if (commit(edits, 'Add a swatch')) onOpen(id);
  };
  const move = (token: TokenRecord, group: string, index: number) =>
    commit(moveToken(site, token.id, group, index), `Move ${token.name}`);
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    const token = tokens.get(String(active.id));
    if (!token || !over || over.id === active.id) return;
    const target = tokens.get(String(over.id));
    const group = target?.group ?? String(over.id).replace(/^group /, '');
    const list = groups.get(group) ?? [];
    move(token, group, target ? list.indexOf(target) : list.length);
  };
  const newGroup = () => {
    let name = 'New group';
    for (let n = 2; groups.has(name); n++) name = `New group ${n}`;
    add(name);
  };

  return (
    <Chapter title="Colours" foundation="Colours" note={String(count)}>
      <DndContext sensors={sensors} collisionDetection={underPointer} onDragEnd={onDragEnd}>
        {[...groups].map(([group, list]) => (
          <Group
            key={group}
            label={
              <NameInPlace
                label={`Group ${group}`}
                name={group}
                onRename={name =>
                  commit(renameGroup(site, 'color', group, name), `Rename ${group} to ${name}`)
                }
              />
            }
            {...(!locked && { onAdd: () => add(group) })}
            addLabel={`Add a swatch to ${group}`}
            action={!locked && <GroupWords site={site} group={group} swatches={list} />}
            fold={{ name: group, first: false }}
            {...(list.some(it => it.id === open) && { unfolded: true })}
          >
            <Chips
              site={site}
              group={group}
              list={list}
              open={open}
              onOpen={onOpen}
              onMove={(token, index) => move(token, group, index)}
            />
          </Group>
        ))}
      </DndContext>
      {count === 0 && <p className="mb-2 text-muted">No swatches yet. Add one, or paste the brand’s.</p>}
      {near.length > 0 && (
        <button
          type="button"
          className="mb-1 block text-left text-teal hover:underline"
          onClick={() => setSheet('near')}
        >
          {near.length === 1 ? 'Two swatches are' : `${near.length} pairs of swatches are`} nearly the same
        </button>
      )}
      {!locked && (
        <p className="mb-2 flex gap-3">
          <Button kind="link" className="h-5! text-small" onClick={() => setSheet('paste')}>
            Paste or import…
          </Button>
          <Button kind="link" className="h-5! text-small" onClick={newGroup}>
            New group
          </Button>
        </p>
      )}
      {!locked && (sheet === 'paste' || params.has(IMPORT)) && (
        <Suspense>
          <IncomingSheet site={site} onClose={closeImport} />
        </Suspense>
      )}
      {sheet === 'near' && <NearSheet site={site} pairs={near} onClose={() => setSheet(null)} />}
    </Chapter>
  );
}
