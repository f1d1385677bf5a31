import {
  addToken,
  byOrder,
  CHECKS,
  type Color,
  contrast,
  groupBy,
  type Id,
  isMadeGroup,
  literalOf,
  moveToken,
  NO_REBINDS,
  printColor,
  printTyped,
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
import { type KeyboardEvent, useDeferredValue, useMemo, useState } from 'react';
import { useCheck } from '../../checks/useCheck.ts';
import { useCommit } from '../../session/context.tsx';
import { Button } from '../../ui/Button.tsx';
import { useLocked } from '../../ui/locked.ts';
import { NameInPlace } from '../../ui/NameInPlace.tsx';
import { EditedToken } from './EditedToken.tsx';
import { Chapter, Group } from './Group.tsx';
import { NearSheet } from './NearSheet.tsx';
import { PasteSheet } from './PasteSheet.tsx';

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
  const light = contrast(INK, color) > contrast(WHITE, color);
  const onKeyDown = (event: KeyboardEvent) => {
    const step = STEP[event.key];
    if (!event.altKey || step === undefined || locked) return;
    event.preventDefault();
    onMove(step);
  };
  return (
    <EditedToken site={site} token={token} open={open} onOpen={onOpen}>
      <button
        type="button"
        ref={setNodeRef}
        {...listeners}
        onKeyDown={onKeyDown}
        title={`${token.name} = ${printTyped(token.value, site.kinds.token)}${token.note ? `\n${token.note}` : ''}`}
        aria-label={`Swatch ${token.name}`}
        aria-keyshortcuts="Alt+ArrowLeft Alt+ArrowRight"
        className={`flex h-[46px] min-w-0 touch-none flex-col justify-end p-1 text-left text-[10.5px] leading-tight outline-offset-[-3px]! ${light ? 'text-black' : 'text-white'} ${isDragging ? 'z-10 opacity-80 shadow-lg' : ''}`}
        style={{ background: printColor(color), transform: CSS.Transform.toString(transform), transition }}
      >
        {token.value.type === 'derived' && (
          <span aria-hidden className="mb-auto self-end opacity-70">
            ~
          </span>
        )}
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
    <Chapter title="Colours" note={String(count)}>
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
            // What was worked out for a scheme is not what one comes for.
            fold={{ name: group, first: isMadeGroup(group) }}
            {...(list.some(it => it.id === open) && { unfolded: true })}
          >
            <SortableContext items={list.map(it => it.id)} strategy={rectSortingStrategy}>
              <Grid group={group}>
                {list.map((token, i) => (
                  <Swatch
                    key={token.id}
                    site={site}
                    token={token}
                    open={open === token.id}
                    onOpen={onOpen}
                    onMove={by => move(token, group, i + by)}
                  />
                ))}
              </Grid>
            </SortableContext>
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
      {sheet === 'paste' && <PasteSheet site={site} onClose={() => setSheet(null)} />}
      {sheet === 'near' && <NearSheet site={site} pairs={near} onClose={() => setSheet(null)} />}
    </Chapter>
  );
}
