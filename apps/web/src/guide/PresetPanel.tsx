import {
  byOrder,
  duplicatePreset,
  excludePreset,
  type Farewell,
  includedIn,
  includePreset,
  nearPresets,
  type PresetRecord,
  presetStyles,
  removePreset,
  type Site,
  usersOf,
  WIDGETS,
} from '@cove/core';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { ImpactNote } from '../reach/ImpactNote.tsx';
import { ReachNote } from '../reach/ReachNote.tsx';
import { useCommit } from '../session/context.tsx';
import { useLocked } from '../session/rights.tsx';
import { ActMenu } from '../ui/ActMenu.tsx';
import { Button } from '../ui/Button.tsx';
import { NameField } from '../ui/NameField.tsx';
import { NoteField } from '../ui/NoteField.tsx';
import { noteEdit } from '../ui/noteEdit.ts';
import { Select } from '../ui/Select.tsx';
import { TypedField } from '../ui/TypedField.tsx';
import { facetsOf, kindsOf } from './tray/Presets.tsx';

/** A preset's name and reach, what is in it and what begins with it, above what it sets. */
export function PresetPanel({
  site,
  preset,
  onOpen,
}: {
  site: Site;
  preset: string;
  onOpen(id: string | null): void;
}) {
  const record = site.kinds.preset.get(preset);
  return record ? <Opened site={site} record={record} onOpen={onOpen} /> : null;
}

function Opened({
  site,
  record,
  onOpen,
}: {
  site: Site;
  record: PresetRecord;
  onOpen(id: string | null): void;
}) {
  const commit = useCommit();
  const locked = useLocked();
  const { id, name } = record;
  const [farewell, setFarewell] = useState<string | null>(null);
  const all = [...site.kinds.preset.values()].sort(byOrder);
  const inside = includedIn(record);
  const nameOf = (it: string) => site.kinds.preset.get(it)?.name ?? it;
  const near = useMemo(() => nearPresets(site).find(it => it.a === id || it.b === id), [site, id]);
  const twin = near && (near.a === id ? near.b : near.a);
  const way: Farewell | null =
    farewell === null
      ? null
      : farewell === 'takeOff' || farewell === 'letGo'
        ? { type: farewell }
        : { type: 'replace', by: farewell };
  const removal = useMemo(() => {
    if (farewell === null) return null;
    return removePreset(
      site,
      id,
      farewell === 'takeOff' || farewell === 'letGo' ? { type: farewell } : { type: 'replace', by: farewell },
    );
  }, [farewell, site, id]);
  const used = usersOf(site, id).length > 0;
  const include = (inner: string) => {
    const result = includePreset(site, id, inner);
    if (!result.ok) toast.error(result.problem.message);
    else commit(result.value, `Put ${nameOf(inner)} into ${name}`);
  };
  const duplicate = () => {
    const made = duplicatePreset(site, id);
    if (made.ok && commit(made.value.edits, `Duplicate ${name}`)) onOpen(made.value.id);
  };
  const begins = Object.keys(record.begins ?? {});
  const filed = [...facetsOf(site, id), ...kindsOf(site, id)];
  const slots = Object.keys(presetStyles(site, id).styles).length;
  return (
    <div className="thin-scroll grid max-h-[46%] shrink-0 gap-2 overflow-auto border-b border-hair bg-paper px-3.5 py-3">
      <NameField
        label="Preset"
        name={name}
        onRename={value => commit([{ op: 'set', id, path: ['name'], value }], `Rename ${name}`)}
      />
      <ReachNote id={id} />
      <p className="text-muted">
        {slots === 0
          ? 'Sets nothing yet: choose a kind of part and a property below.'
          : `Sets ${filed.join(', ')}.`}
      </p>
      <NoteField text={record.note ?? ''} onCommit={note => commit(noteEdit(id, note), `Note on ${name}`)} />
      <TypedField
        label="Set (presets of one set exclude each other)"
        mono={false}
        text={record.set ?? ''}
        className="[&_input]:border-hair"
        parse={text => ({ ok: true, value: text.trim().slice(0, 40) })}
        onCommit={value =>
          commit(
            [value === '' ? { op: 'unset', id, path: ['set'] } : { op: 'set', id, path: ['set'], value }],
            `Change ${name}`,
          )
        }
      />
      <div>
        <p className="label-line">Presets within it</p>
        <ul>
          {inside.map(inner => (
            <li key={inner} className="flex items-center gap-2">
              <button
                type="button"
                className="mr-auto text-teal hover:underline"
                onClick={() => onOpen(inner)}
              >
                {nameOf(inner)}
              </button>
              {!locked && (
                <Button
                  kind="link"
                  className="h-5! text-small"
                  onClick={() =>
                    commit(excludePreset(site, id, inner), `Take ${nameOf(inner)} out of ${name}`)
                  }
                >
                  Take out
                </Button>
              )}
            </li>
          ))}
        </ul>
        {!locked && all.length > 1 && (
          <ActMenu
            label="Put a preset into it"
            className="w-full"
            options={all
              .filter(it => it.id !== id && !inside.includes(it.id))
              .map(it => ({ value: it.id, label: it.name }))}
            onChoose={include}
          />
        )}
      </div>
      {!locked && (
        <div>
          <p className="label-line">New widgets that begin with it</p>
          <p className="flex flex-wrap gap-x-2">
            {begins.map(widget => (
              <button
                key={widget}
                type="button"
                className="text-teal hover:line-through"
                title="Take away"
                onClick={() => commit([{ op: 'unset', id, path: ['begins', widget] }], `Change ${name}`)}
              >
                {WIDGETS.find(it => it.name === widget)?.label ?? widget}
              </button>
            ))}
          </p>
          <ActMenu
            label="Add a kind of widget"
            className="w-full"
            options={WIDGETS.filter(it => !begins.includes(it.name)).map(it => ({
              value: it.name,
              label: it.label,
            }))}
            onChoose={widget =>
              commit([{ op: 'set', id, path: ['begins', widget], value: true }], `Change ${name}`)
            }
          />
        </div>
      )}
      {twin !== undefined && near && !locked && (
        <p>
          {nameOf(twin)} says {near.differ === 0 ? 'the same' : `nearly the same (${near.differ} apart)`}.{' '}
          <Button kind="link" className="h-5!" onClick={() => setFarewell(twin)}>
            Merge this into it …
          </Button>
        </p>
      )}
      {!locked && (
        <div className="flex flex-wrap gap-2">
          <Button kind="line" className="h-6!" onClick={duplicate}>
            Duplicate
          </Button>
          {!used ? (
            <Button
              kind="line"
              className="h-6!"
              onClick={() => commit(removePreset(site, id), `Delete ${name}`) && onOpen(null)}
            >
              Delete
            </Button>
          ) : (
            farewell === null && (
              <Button kind="line" className="h-6!" onClick={() => setFarewell('letGo')}>
                Delete …
              </Button>
            )
          )}
        </div>
      )}
      {way && (
        <div className="grid gap-2 border-t border-hair pt-2">
          <Select
            label="Those who wear it"
            value={farewell ?? ''}
            options={[
              { value: 'letGo', label: 'keep its values as their own' },
              { value: 'takeOff', label: 'lose it' },
              ...all
                .filter(it => it.id !== id)
                .map(it => ({ value: it.id, label: `wear ${it.name} instead` })),
            ]}
            onChange={setFarewell}
          />
          <ImpactNote edits={removal} />
          <div className="flex gap-2">
            <Button
              kind="main"
              onClick={() => commit(removePreset(site, id, way), `Delete ${name}`) && onOpen(null)}
            >
              Delete {name}
            </Button>
            <Button onClick={() => setFarewell(null)}>Keep it</Button>
          </div>
        </div>
      )}
    </div>
  );
}
