import { rolesOf, type SchemeRecord, type Site } from '@cove/core';
import { useState } from 'react';
import { ReachNote } from '../../reach/ReachNote.tsx';
import { RemoveWith } from '../../reach/RemoveWith.tsx';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { EarlierLater } from '../../ui/EarlierLater.tsx';
import { useLocked } from '../../ui/locked.ts';
import { NameField } from '../../ui/NameField.tsx';
import { NoteField } from '../../ui/NoteField.tsx';
import { Tick } from '../../ui/Tick.tsx';
import { OwnRoles } from './OwnRoles.tsx';
import { RoleRow } from './RoleRow.tsx';
import { roleGroups } from './roleGroups.ts';
import { SolveAgain } from './SolveAgain.tsx';
import { useScheme } from './useScheme.ts';

/** A scheme: which swatch each role has, how well it can be read on what it stands on, and where it is worn. */
export function SchemePanel({
  site,
  scheme,
  onOpen,
}: {
  site: Site;
  scheme: SchemeRecord;
  onOpen(id: string | null): void;
}) {
  const locked = useLocked();
  const [explained, setExplained] = useState(false);
  const it = useScheme(site, scheme, onOpen);
  const { others, failures, rules } = it;
  return (
    <div className="thin-scroll h-full overflow-auto px-3.5 py-3">
      <NameField label="Scheme" name={scheme.name} onRename={it.rename} />
      <div className="my-2 grid gap-2">
        <Choice<'light' | 'dark'>
          label="Face"
          value={scheme.face}
          options={[
            { value: 'light', label: 'Light' },
            { value: 'dark', label: 'Dark' },
          ]}
          disabled={locked}
          onChange={it.setFace}
        />
        <ReachNote id={scheme.id} />
        {rules > 0 && (
          <p className="text-muted">
            {rules} element{rules === 1 ? ' looks' : 's look'} different on this scheme alone.
          </p>
        )}
        <p>
          {failures === 0
            ? 'All text is readable.'
            : `${failures} role${failures === 1 ? '' : 's'} below the required contrast.`}
        </p>
        <NoteField text={scheme.note ?? ''} onCommit={it.setNote} />
      </div>
      {!locked && (
        <div className="flex flex-wrap gap-2 border-b border-hair pb-3">
          {it.isDefault ? (
            <span className="self-center text-muted">The site’s own scheme</span>
          ) : (
            <Button kind="line" className="h-6!" onClick={it.makeDefault}>
              Make it the site’s
            </Button>
          )}
          <EarlierLater index={it.index} count={others.length + 1} onMove={it.move} />
          <Button kind="line" className="h-6!" onClick={it.duplicate}>
            Duplicate
          </Button>
          {others.length > 0 && (
            <RemoveWith
              site={site}
              id={scheme.id}
              name={scheme.name}
              used
              question="What wears it then wears"
              answers={others.map(({ id, name }) => ({ value: id, label: name }))}
              edits={it.removal}
              onGone={() => onOpen(null)}
            />
          )}
        </div>
      )}
      {!locked && <SolveAgain site={site} scheme={scheme} onOpen={onOpen} />}
      <Tick checked={explained} onChange={setExplained}>
        Explain each choice
      </Tick>
      {roleGroups(rolesOf(site)).map(
        ([title, roles]) =>
          roles.length > 0 && (
            <section key={title} className="mt-3">
              <h3 className="label-line mb-1">{title}</h3>
              <ul>
                {roles.map(role => (
                  <RoleRow key={role.name} site={site} scheme={scheme} role={role} explained={explained} />
                ))}
              </ul>
            </section>
          ),
      )}
      {!locked && <OwnRoles site={site} />}
    </div>
  );
}
