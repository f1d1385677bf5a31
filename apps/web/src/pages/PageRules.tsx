import { ELEMENTS, type Id, type PageRecord, placeKey, removeRecord, type Site } from '@cove/core';
import { useNavigate } from 'react-router';
import { useGo } from '../navigation/go.ts';
import { useCommit, useSession } from '../session/context.tsx';
import { ActMenu } from '../ui/ActMenu.tsx';
import { Button } from '../ui/Button.tsx';
import { useLocked } from '../ui/locked.ts';

interface Rule {
  id: Id;
  label: string;
  slots: number;
  below: boolean;
}

/** Elements and variants that are set again for one page, or for it and those below. */
function rulesOf(site: Site, page: Id): Rule[] {
  const all = [...site.kinds.default.values(), ...site.kinds.variantRule.values()];
  return all.flatMap((rule): Rule[] => {
    const { place, id } = rule;
    if ((place?.type !== 'page' && place?.type !== 'branch') || place.page !== page) return [];
    const variant = rule.kind === 'variantRule' ? site.kinds.variant.get(rule.variant) : undefined;
    const name = rule.kind === 'default' ? rule.element : (variant?.element ?? '');
    const element = ELEMENTS.find(it => it.name === name)?.label ?? name;
    return [
      {
        id,
        label: variant ? `${element}, ${variant.name}` : element,
        slots: Object.keys(rule.styles).length + Object.keys(rule.declarations ?? {}).length,
        below: place.type === 'branch',
      },
    ];
  });
}

/** What this page sets again for whole kinds of element: each leads to the guide, where it is made and altered. */
export function PageRules({ site, page }: { site: Site; page: PageRecord }) {
  const session = useSession();
  const commit = useCommit();
  const go = useGo();
  const navigate = useNavigate();
  const locked = useLocked();
  const rules = rulesOf(site, page.id);
  return (
    <div className="grid gap-1">
      <p className="label-line">Elements that look different here</p>
      {rules.length === 0 && <p className="text-muted">None. Everything follows the guide.</p>}
      <ul>
        {rules.map(({ id, label, slots, below }) => (
          <li key={id} className="flex items-center gap-2">
            <button
              type="button"
              className="truncate text-left text-teal hover:underline"
              onClick={() => go(id)}
            >
              {label}
            </button>
            <span className="text-muted">
              {slots} value{slots === 1 ? '' : 's'}
              {below && ', also below'}
            </span>
            {!locked && (
              <Button
                kind="link"
                className="ml-auto h-5! text-small"
                aria-label={`Reset ${label} on this page`}
                onClick={() => commit([removeRecord(id)], `Reset ${label} on ${page.title}`)}
              >
                Reset
              </Button>
            )}
          </li>
        ))}
      </ul>
      {!locked && (
        <ActMenu
          label="Set an element for this page alone"
          options={ELEMENTS.filter(it => it.markup).map(({ name, label }) => ({ value: name, label }))}
          onChoose={name =>
            void navigate(
              `/sites/${session.id}/guide?element=${name}&at=${placeKey({ type: 'page', page: page.id })}`,
            )
          }
        />
      )}
    </div>
  );
}
