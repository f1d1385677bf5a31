import { addVariant, type ElementType, type Id, type Site, variantsOf } from '@cove/core';
import { lazy, Suspense, useState } from 'react';
import { useCommit } from '../session/context.tsx';
import { Button } from '../ui/Button.tsx';
import { Choice } from '../ui/Choice.tsx';
import { useLocked } from '../ui/locked.ts';
import { titled } from '../ui/titled.ts';

const ElementLooks = lazy(async () => ({
  default: (await import('../looks/ElementLooks.tsx')).ElementLooks,
}));

const NONE = 'default';

/** Which variant of each axis is looked at; new ones, empty or of the ready looks. */
export function VariantChoice({
  site,
  element,
  scheme,
  variants,
  onChoose,
}: {
  site: Site;
  element: ElementType;
  scheme: Id;
  variants: readonly Id[];
  /** The variant chosen, or null for none, and all that are looked at together. */
  onChoose(variant: Id | null, all: readonly Id[]): void;
}) {
  const commit = useCommit();
  const locked = useLocked();
  const [seen, setSeen] = useState(false);
  if (element.axes.length === 0) return null;
  const choose = (axis: string, id: Id | null) => {
    const others = variants.filter(it => site.kinds.variant.get(it)?.axis !== axis);
    onChoose(id, id === null ? others : [...others, id]);
  };
  const add = (axis: string) => {
    const { edits, id } = addVariant(site, element.name, axis, `New ${axis}`);
    if (commit(edits, `Make a new ${axis}`)) choose(axis, id);
  };
  return (
    <div className="grid gap-1.5">
      {element.axes.map(axis => {
        const all = variantsOf(site, element.name, axis);
        return (
          <div key={axis}>
            <p className="flex items-center">
              <span className="label-line mr-auto">{titled(axis)}</span>
              {!locked && (
                <Button
                  kind="link"
                  className="h-5! text-small"
                  aria-label={`New ${axis}`}
                  onClick={() => add(axis)}
                >
                  New
                </Button>
              )}
            </p>
            <Choice
              label={titled(axis)}
              value={all.find(it => variants.includes(it.id))?.id ?? NONE}
              options={[
                { value: NONE, label: 'Default' },
                ...all.map(({ id, name }) => ({ value: id, label: name })),
              ]}
              onChange={value => choose(axis, value === NONE ? null : value)}
            />
          </div>
        );
      })}
      {!locked && (
        <Button kind="link" className="h-5! justify-self-start text-small" onClick={() => setSeen(true)}>
          Ready looks…
        </Button>
      )}
      {seen && (
        <Suspense>
          <ElementLooks
            site={site}
            element={element}
            scheme={scheme}
            onOpen={id => {
              setSeen(false);
              choose(site.kinds.variant.get(id)?.axis ?? '', id);
            }}
            onClose={() => setSeen(false)}
          />
        </Suspense>
      )}
    </div>
  );
}
