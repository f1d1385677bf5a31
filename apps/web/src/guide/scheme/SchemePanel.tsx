import {
  CHECKS,
  duplicateScheme,
  editOf,
  moveScheme,
  type Role,
  removeScheme,
  rolesOf,
  type SchemeRecord,
  type Site,
  schemesInOrder,
  setDefaultScheme,
  setNote,
  settingsOf,
  usersOf,
} from '@cove/core';
import { useState } from 'react';
import { useCheck } from '../../checks/useCheck.ts';
import { ReachNote } from '../../reach/ReachNote.tsx';
import { RemoveWith } from '../../reach/RemoveWith.tsx';
import { useCommit } from '../../session/context.tsx';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { EarlierLater } from '../../ui/EarlierLater.tsx';
import { useLocked } from '../../ui/locked.ts';
import { NameField } from '../../ui/NameField.tsx';
import { NoteField } from '../../ui/NoteField.tsx';
import { Tick } from '../../ui/Tick.tsx';
import { OwnRoles } from './OwnRoles.tsx';
import { RoleRow } from './RoleRow.tsx';
import { SolveAgain } from './SolveAgain.tsx';

/** Roles in the groups in which they are looked for. */
function grouped(roles: readonly Role[]): (readonly [string, readonly Role[]])[] {
  const of = (test: (name: string) => boolean) => roles.filter(it => test(it.name));
  const buttons = /^(main|second|quiet)(Fill|Label|Line)/;
  const statuses = /^(success|warning|danger|info)(Ground|Text|Line)$/;
  const fields = new Set(['placeholder', 'fieldSurface', 'fieldLine', 'focus', 'selection']);
  const isOwn = (name: string) =>
    !BASE.has(name) && !buttons.test(name) && !statuses.test(name) && !fields.has(name);
  return [
    ['Surfaces, text and links', of(name => BASE.has(name))],
    ['Buttons', of(name => buttons.test(name))],
    ['Fields and focus', of(name => fields.has(name))],
    ['Statuses', of(name => statuses.test(name))],
    ['Custom', of(isOwn)],
  ];
}
const BASE = new Set([
  'surface',
  'raised',
  'heading',
  'text',
  'muted',
  'link',
  'linkHover',
  'currentLink',
  'line',
  'accent',
]);

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
  const commit = useCommit();
  const locked = useLocked();
  const others = schemesInOrder(site).filter(it => it.id !== scheme.id);
  const isDefault = settingsOf(site).defaultScheme === scheme.id;
  const failures = new Set(
    useCheck(CHECKS.contrast, site)
      .found.filter(it => it.facts.scheme === scheme.id)
      .map(it => it.facts.role),
  ).size;
  const rules = usersOf(site, scheme.id).filter(id => site.kinds.default.has(id)).length;
  const index = schemesInOrder(site).findIndex(it => it.id === scheme.id);
  const [explained, setExplained] = useState(false);
  const duplicate = () => {
    const made = duplicateScheme(site, scheme.id);
    if (made.ok && commit(made.value.edits, `Duplicate ${scheme.name}`)) onOpen(made.value.id);
  };
  return (
    <div className="thin-scroll h-full overflow-auto px-3.5 py-3">
      <NameField
        label="Scheme"
        name={scheme.name}
        onRename={name => commit([editOf(scheme).set('name', name)], `Rename ${scheme.name}`)}
      />
      <div className="my-2 grid gap-2">
        <Choice<'light' | 'dark'>
          label="Face"
          value={scheme.face}
          options={[
            { value: 'light', label: 'Light' },
            { value: 'dark', label: 'Dark' },
          ]}
          disabled={locked}
          onChange={face => commit([editOf(scheme).set('face', face)], `Change ${scheme.name}`)}
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
        <NoteField
          text={scheme.note ?? ''}
          onCommit={note => commit(setNote(scheme, note), `Note on ${scheme.name}`)}
        />
      </div>
      {!locked && (
        <div className="flex flex-wrap gap-2 border-b border-hair pb-3">
          {isDefault ? (
            <span className="self-center text-muted">The site’s own scheme</span>
          ) : (
            <Button
              kind="line"
              className="h-6!"
              onClick={() => commit(setDefaultScheme(scheme.id), `Make ${scheme.name} the site’s scheme`)}
            >
              Make it the site’s
            </Button>
          )}
          <EarlierLater
            index={index}
            count={others.length + 1}
            onMove={to => commit(moveScheme(site, scheme.id, to), 'Move a scheme')}
          />
          <Button kind="line" className="h-6!" onClick={duplicate}>
            Duplicate
          </Button>
          {others.length > 0 && (
            <RemoveWith
              site={site}
              id={scheme.id}
              name={scheme.name}
              used
              question="What wears it then wears"
              answers={others.map(it => ({ value: it.id, label: it.name }))}
              edits={by => removeScheme(site, scheme.id, by)}
              onGone={() => onOpen(null)}
            />
          )}
        </div>
      )}
      {!locked && <SolveAgain site={site} scheme={scheme} onOpen={onOpen} />}
      <Tick checked={explained} onChange={setExplained}>
        Explain each choice
      </Tick>
      {grouped(rolesOf(site)).map(
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
