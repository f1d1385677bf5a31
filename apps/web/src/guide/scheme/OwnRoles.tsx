import { addRole, fail, ok, type Role, removeRole, rolesOf, type Site } from '@cove/core';
import { useState } from 'react';
import { toast } from 'sonner';
import { useCommit } from '../../session/context.tsx';
import { Button } from '../../ui/Button.tsx';
import { Select } from '../../ui/Select.tsx';
import { TypedField } from '../../ui/TypedField.tsx';

/** Roles of the guide's own: added beside those that every scheme has, and taken away where nothing asks for them. */
export function OwnRoles({ site }: { site: Site }) {
  const commit = useCommit();
  const [adding, setAdding] = useState(false);
  const [name, setName] = useState('');
  const [fallback, setFallback] = useState('accent');
  const [on, setOn] = useState('surface');
  const roles = rolesOf(site);
  const named = (it: Role) => ({ value: it.name, label: it.label });
  const add = () => {
    const { edits } = addRole(site, name, fallback, on === '' ? null : on);
    if (!commit(edits, `Add role ${name}`)) return;
    setAdding(false);
    setName('');
  };
  const remove = (id: string, label: string) => {
    const result = removeRole(site, id);
    if (!result.ok) toast.error(result.problem.message);
    else commit(result.value, `Delete role ${label}`);
  };
  const own = [...site.kinds.role.values()];
  return (
    <div className="mt-3 border-t border-hair pt-3">
      {own.length > 0 && (
        <ul className="mb-2">
          {own.map(it => (
            <li key={it.id} className="flex items-baseline gap-2">
              {it.name} <span className="font-mono text-[11px] text-muted">role.{it.id}</span>
              <Button
                kind="link"
                className="ml-auto h-5! text-small"
                aria-label={`Delete role ${it.name}`}
                onClick={() => remove(it.id, it.name)}
              >
                Delete
              </Button>
            </li>
          ))}
        </ul>
      )}
      {!adding ? (
        <Button kind="link" onClick={() => setAdding(true)}>
          Add a custom role
        </Button>
      ) : (
        <div className="grid gap-2">
          <TypedField
            label="What the colour is for"
            mono={false}
            text={name}
            className="[&_input]:border-hair"
            parse={text =>
              text.trim() === ''
                ? fail({ code: 'empty', message: 'Enter what it is for, such as Ticket edge.' })
                : ok(text.trim())
            }
            onCommit={setName}
          />
          <div className="grid grid-cols-2 gap-2">
            <Select
              label="Falls back to"
              value={fallback}
              options={roles.map(named)}
              onChange={setFallback}
            />
            <Select
              label="Shown on"
              value={on}
              options={[{ value: '', label: 'nothing: it is a ground' }, ...roles.map(named)]}
              onChange={setOn}
            />
          </div>
          <div className="flex gap-2">
            <Button kind="main" disabled={name === ''} onClick={add}>
              Add
            </Button>
            <Button onClick={() => setAdding(false)}>Cancel</Button>
          </div>
        </div>
      )}
    </div>
  );
}
