import {
  byOrder,
  fittingPresets,
  type Id,
  makePreset,
  type NodeRecord,
  placeWear,
  type Site,
  switchPreset,
  takeOff,
  wearPreset,
} from '@cove/core';
import { DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { toast } from 'sonner';
import { useGo } from '../navigation/go.ts';
import { useCommit } from '../session/context.tsx';
import { useMay } from '../session/rights.tsx';
import { ActMenu } from '../ui/ActMenu.tsx';
import { Button } from '../ui/Button.tsx';
import { NameForm } from '../ui/NameForm.tsx';
import { useAlsoTo } from './alsoTo.ts';

/** One of the presets worn, which can be dragged to another place among them. */
function WornRow({ id, children }: { id: Id; children: ReactNode }) {
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({ id });
  return (
    <li
      ref={setNodeRef}
      {...listeners}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      className={`group flex h-7 items-center gap-1 bg-paper ${isDragging ? 'relative z-10 shadow-sm' : ''}`}
    >
      {children}
    </li>
  );
}

/** The presets a thing wears, in order: switched, opened, moved, taken off; and a new one from what is set here. */
export function WornPresets({
  site,
  node,
  onPreset,
}: {
  site: Site;
  node: NodeRecord;
  /** Opens a preset where one is; left out, it is opened in the guide. */
  onPreset: ((preset: Id) => void) | undefined;
}) {
  const commit = useCommit();
  const go = useGo();
  const mayChoose = useMay('choice');
  const mayMake = useMay('guide');
  const also = useAlsoTo();
  const [naming, setNaming] = useState(false);
  const worn = Object.entries(node.wears)
    .map(([id, wear]) => ({ id, ...wear }))
    .sort(byOrder);
  const others = fittingPresets(site, node).filter(
    ({ id, use }) => use === undefined && !worn.some(wear => wear.preset === id),
  );
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  const nameOf = (id: Id) => site.kinds.preset.get(id)?.name ?? id;
  const make = (name: string) => {
    const made = makePreset(site, node.id, name);
    if (!made.ok) toast.error(made.problem.message);
    else if (commit(made.value.edits, `Make preset ${name}`)) setNaming(false);
  };
  return (
    <div className="grid gap-1">
      {worn.length === 0 && <p className="text-muted">No presets.</p>}
      {worn.length > 0 && (
        <DndContext
          sensors={sensors}
          onDragEnd={({ active, over }) => {
            const index = worn.findIndex(it => it.id === over?.id);
            if (index >= 0) commit(placeWear(site, node.id, String(active.id), index), 'Move a preset');
          }}
        >
          <SortableContext items={worn} strategy={verticalListSortingStrategy} disabled={!mayChoose}>
            <ul aria-label="Presets worn">
              {worn.map(({ id, preset, on }, i) => (
                <WornRow key={id} id={id}>
                  <button
                    type="button"
                    className={`mr-auto truncate text-left font-semibold hover:text-teal hover:underline ${on ? '' : 'text-muted line-through'}`}
                    onClick={() => (onPreset && mayMake ? onPreset(preset) : go(preset))}
                  >
                    {nameOf(preset)}
                  </button>
                  {mayChoose && (
                    <>
                      <Button
                        aria-label={`Move ${nameOf(preset)} earlier`}
                        disabled={i === 0}
                        className="w-6 justify-center px-0!"
                        onClick={() => commit(placeWear(site, node.id, id, i - 1), 'Move a preset')}
                      >
                        <ArrowUp size={13} />
                      </Button>
                      <Button
                        aria-label={`Move ${nameOf(preset)} later`}
                        disabled={i === worn.length - 1}
                        className="w-6 justify-center px-0!"
                        onClick={() => commit(placeWear(site, node.id, id, i + 1), 'Move a preset')}
                      >
                        <ArrowDown size={13} />
                      </Button>
                      <Button
                        aria-label={`Take off ${nameOf(preset)}`}
                        className="w-6 justify-center px-0!"
                        onClick={() => commit(takeOff(node.id, id), `Take off ${nameOf(preset)}`)}
                      >
                        <X size={13} />
                      </Button>
                      <Button
                        kind="link"
                        role="switch"
                        aria-checked={on}
                        aria-label={`${nameOf(preset)} is worn`}
                        className="w-7 justify-end"
                        onClick={() =>
                          commit(
                            switchPreset(site, node.id, id),
                            on ? `Switch off ${nameOf(preset)}` : `Switch on ${nameOf(preset)}`,
                          )
                        }
                      >
                        {on ? 'on' : 'off'}
                      </Button>
                    </>
                  )}
                  {!mayChoose && !on && <span className="text-muted">off</span>}
                </WornRow>
              ))}
            </ul>
          </SortableContext>
        </DndContext>
      )}
      {mayChoose && others.length > 0 && (
        <ActMenu
          label="Wear a preset"
          className="h-7! w-full rounded! text-teal"
          options={others.map(({ id, name }) => ({ value: id, label: name }))}
          onChoose={preset => {
            const results = [node.id, ...also].map(id => wearPreset(site, id, preset));
            const edits = results.flatMap(it => (it.ok ? it.value : []));
            const [first] = results;
            if (first && !first.ok && edits.length === 0) toast.error(first.problem.message);
            else commit(edits, `Wear ${nameOf(preset)}`);
          }}
        />
      )}
      {!mayMake ? null : !naming ? (
        <Button
          kind="link"
          disabled={Object.keys(node.styles).length === 0}
          title={Object.keys(node.styles).length === 0 ? 'Set a value here first' : undefined}
          onClick={() => setNaming(true)}
        >
          Create a preset from these overrides
        </Button>
      ) : (
        <NameForm label="Name of the preset" submit="Make" onName={make} onClose={() => setNaming(false)} />
      )}
    </div>
  );
}
