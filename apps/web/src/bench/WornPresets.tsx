import {
  byOrder,
  type Id,
  makePreset,
  moveWear,
  type NodeRecord,
  type Site,
  switchPreset,
  takeOff,
  wearPreset,
} from '@cove/core';
import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { useCommit } from '../session/context.tsx';
import { useMay } from '../session/rights.tsx';
import { useGo } from '../shell/go.ts';
import { Button } from '../ui/Button.tsx';

/** The presets a thing wears, in order: switched, opened, moved, taken off; and a new one from what is set here. */
export function WornPresets({ site, node }: { site: Site; node: NodeRecord }) {
  const commit = useCommit();
  const go = useGo();
  const mayChoose = useMay('choice');
  const mayMake = useMay('guide');
  const [naming, setNaming] = useState<string | null>(null);
  const worn = Object.entries(node.wears)
    .map(([id, wear]) => ({ id, ...wear }))
    .sort(byOrder);
  const others = [...site.kinds.preset.values()]
    .sort(byOrder)
    .filter(preset => !worn.some(wear => wear.preset === preset.id));
  const nameOf = (id: Id) => site.kinds.preset.get(id)?.name ?? id;
  const make = (name: string) => {
    const made = makePreset(site, node.id, name);
    if (!made.ok) toast.error(made.problem.message);
    else if (commit(made.value.edits, `Make preset ${name}`)) setNaming(null);
  };
  return (
    <div className="grid gap-1">
      {worn.length === 0 && <p className="text-muted">None worn.</p>}
      <ul aria-label="Presets worn">
        {worn.map(({ id, preset, on }, i) => (
          <li key={id} className="group flex h-7 items-center gap-1">
            <button
              type="button"
              className={`mr-auto truncate text-left font-semibold hover:text-teal hover:underline ${on ? '' : 'text-muted line-through'}`}
              onClick={() => go(preset)}
            >
              {nameOf(preset)}
            </button>
            {mayChoose && (
              <>
                <Button
                  aria-label={`Move ${nameOf(preset)} earlier`}
                  disabled={i === 0}
                  className="w-6 justify-center px-0!"
                  onClick={() => commit(moveWear(site, node.id, id, -1), 'Move a preset')}
                >
                  <ArrowUp size={13} />
                </Button>
                <Button
                  aria-label={`Move ${nameOf(preset)} later`}
                  disabled={i === worn.length - 1}
                  className="w-6 justify-center px-0!"
                  onClick={() => commit(moveWear(site, node.id, id, 1), 'Move a preset')}
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
          </li>
        ))}
      </ul>
      {mayChoose && others.length > 0 && (
        <select
          aria-label="Wear a preset"
          value=""
          className="h-7 rounded border border-hair bg-paper px-1 text-teal"
          onChange={event => {
            const result = wearPreset(site, node.id, event.target.value);
            if (result.ok) commit(result.value, `Wear ${nameOf(event.target.value)}`);
            else toast.error(result.problem.message);
          }}
        >
          <option value="">Wear {worn.length > 0 ? 'another' : 'a preset'} …</option>
          {others.map(preset => (
            <option key={preset.id} value={preset.id}>
              {preset.name}
            </option>
          ))}
        </select>
      )}
      {!mayMake ? null : naming === null ? (
        <Button
          kind="link"
          disabled={Object.keys(node.styles).length === 0}
          title={Object.keys(node.styles).length === 0 ? 'Set a value here first' : undefined}
          onClick={() => setNaming('')}
        >
          Make a preset of what is set here
        </Button>
      ) : (
        <form
          className="flex gap-1"
          onSubmit={event => {
            event.preventDefault();
            if (naming.trim() !== '') make(naming.trim());
          }}
        >
          <input
            ref={element => element?.focus()}
            aria-label="Name of the preset"
            value={naming}
            maxLength={80}
            onChange={event => setNaming(event.target.value)}
            onKeyDown={event => event.key === 'Escape' && setNaming(null)}
            className="h-7 min-w-0 flex-1 rounded border border-hair bg-paper px-2"
            placeholder="Its name"
          />
          <Button type="submit" kind="main" disabled={naming.trim() === ''}>
            Make
          </Button>
        </form>
      )}
    </div>
  );
}
