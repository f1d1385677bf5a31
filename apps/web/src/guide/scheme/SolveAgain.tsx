import {
  type AskedAgain,
  addCounterpart,
  type Id,
  keptRoles,
  type SchemeRecord,
  type Site,
  schemesInOrder,
  setCounterpart,
  solveAgain,
} from '@cove/core';
import { useState } from 'react';
import { useCommit } from '../../session/context.tsx';
import { Button } from '../../ui/Button.tsx';
import { Select } from '../../ui/Select.tsx';
import { HeadingsChoice } from './HeadingsChoice.tsx';
import { SwatchChoice } from './SwatchChoice.tsx';

const boundTo = (scheme: SchemeRecord, role: string): Id | null => {
  const value = Object.hasOwn(scheme.roles, role) ? scheme.roles[role] : undefined;
  return value?.type === 'token' ? value.token : null;
};

/** Works a scheme out again from what it asks for, and says which one of the other face goes with it. */
export function SolveAgain({
  site,
  scheme,
  onOpen,
}: {
  site: Site;
  scheme: SchemeRecord;
  onOpen(id: Id): void;
}) {
  const commit = useCommit();
  const [said, setSaid] = useState<string | null>(null);
  const kept = [...keptRoles(scheme)].filter(it => it !== 'surface').length;
  const pinned = Object.keys(scheme.pinned ?? {}).length;
  const solve = (asked: AskedAgain = {}) => {
    const found = solveAgain(site, scheme.id, asked);
    if (!found.ok) {
      setSaid(found.problem.message);
      return;
    }
    const { edits, made } = found.value;
    if (edits.length === 0) setSaid('Nothing to change: it is as the palette gives it.');
    else if (commit(edits, `Solve ${scheme.name} again`))
      setSaid(made.length === 0 ? 'Solved again.' : `Solved again; ${made.length} swatches made.`);
  };
  const others = schemesInOrder(site).filter(it => it.face !== scheme.face);
  const pair = (value: string) => {
    if (value === 'make') {
      const made = addCounterpart(site, scheme.id);
      if (!made.ok) setSaid(made.problem.message);
      else if (commit(made.value.edits, `Make the counterpart of ${scheme.name}`)) onOpen(made.value.id);
      return;
    }
    const edits = setCounterpart(site, scheme.id, value === '' ? null : value);
    if (edits.ok) commit(edits.value, `Change the counterpart of ${scheme.name}`);
    else setSaid(edits.problem.message);
  };
  const other = scheme.face === 'light' ? 'dark' : 'light';
  return (
    <details className="border-b border-hair py-2">
      <summary className="cursor-pointer font-semibold">Solve from the palette</summary>
      <div className="mt-2 grid gap-2.5">
        <SwatchChoice
          site={site}
          label="Surface"
          bindsTo="surface"
          value={boundTo(scheme, 'surface')}
          onChange={surface => solve({ surface })}
        />
        <SwatchChoice
          site={site}
          label="Action: main buttons and links"
          bindsTo="mainFill"
          value={scheme.action ?? boundTo(scheme, 'mainFill')}
          onChange={action => solve({ action })}
        />
        <HeadingsChoice value={scheme.headings ?? null} onChange={headings => solve({ headings })} />
        <div className="flex flex-wrap items-center gap-2">
          <Button kind="line" className="h-6!" onClick={() => solve()}>
            Solve again
          </Button>
          <span className="text-small text-muted">
            {kept === 0
              ? 'Every role is solved.'
              : `${kept} role${kept === 1 ? ' is' : 's are'} pinned or set by hand and will stay.`}
          </span>
          {kept > pinned && (
            <Button kind="link" className="h-5! text-small" onClick={() => solve({ byHand: true })}>
              Solve those set by hand too
            </Button>
          )}
        </div>
        <Select
          label={`Counterpart, ${other}`}
          value={scheme.counterpart ?? ''}
          options={[
            { value: '', label: 'None' },
            ...others.map(it => ({ value: it.id, label: it.name })),
            { value: 'make', label: `Make a ${other} one…` },
          ]}
          onChange={pair}
        />
        {said && (
          <p role="status" className="text-small">
            {said}
          </p>
        )}
      </div>
    </details>
  );
}
