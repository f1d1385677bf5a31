import {
  byOrder,
  duplicatePreset,
  editOf,
  excludePreset,
  type Farewell,
  hasUse,
  includedIn,
  includePreset,
  insteadIn,
  nearPresets,
  ok,
  PRESET_USES,
  type PresetRecord,
  type PresetUse,
  presetStyles,
  presetsOfUse,
  removePreset,
  type Site,
  schemesInOrder,
  setNote,
  usersOf,
  WIDGETS,
} from '@cove/core';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { ReachNote } from '../reach/ReachNote.tsx';
import { RemoveWith } from '../reach/RemoveWith.tsx';
import { useCommit } from '../session/context.tsx';
import { ActMenu } from '../ui/ActMenu.tsx';
import { Button } from '../ui/Button.tsx';
import { useLocked } from '../ui/locked.ts';
import { NameField } from '../ui/NameField.tsx';
import { NoteField } from '../ui/NoteField.tsx';
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
  return record ? <PresetDetails site={site} record={record} onOpen={onOpen} /> : null;
}

const farewellOf = (answer: string): Farewell =>
  answer === 'takeOff' || answer === 'letGo' ? { type: answer } : { type: 'replace', by: answer };

/** Schemes in which another one of its use holds in its place, such as one for dark surfaces. */
function Instead({ site, record, use }: { site: Site; record: PresetRecord; use: PresetUse }) {
  const commit = useCommit();
  const others = presetsOfUse(site, [use]).filter(it => it.id !== record.id);
  const schemes = schemesInOrder(site);
  if (others.length === 0 || schemes.length < 2) return null;
  return (
    <details open={Object.keys(record.instead ?? {}).length > 0}>
      <summary className="label-line cursor-pointer">In other schemes</summary>
      <div className="grid grid-cols-2 gap-2 pt-1">
        {schemes.map(scheme => (
          <Select
            key={scheme.id}
            label={`In ${scheme.name}`}
            value={record.instead?.[scheme.id] ?? ''}
            options={[
              { value: '', label: 'This one' },
              ...others.map(({ id, name }) => ({ value: id, label: name })),
            ]}
            onChange={value =>
              commit(
                [insteadIn(record.id, scheme.id, value === '' ? null : value)],
                `Change ${record.name} in ${scheme.name}`,
              )
            }
          />
        ))}
      </div>
    </details>
  );
}

function PresetDetails({
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
  const { id, name, use } = record;
  const [merging, setMerging] = useState(false);
  // What is made for a use goes with others of that use.
  const all = [...site.kinds.preset.values()].filter(it => it.use === use).sort(byOrder);
  const inside = includedIn(record);
  const nameOf = (it: string) => site.kinds.preset.get(it)?.name ?? it;
  const near = useMemo(() => nearPresets(site).find(it => it.a === id || it.b === id), [site, id]);
  const twin = near && (near.a === id ? near.b : near.a);
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
        label={use ? PRESET_USES[use].label : 'Preset'}
        name={name}
        onRename={value => commit([editOf(record).set('name', value)], `Rename ${name}`)}
      />
      <ReachNote id={id} />
      <p className="text-muted">
        {slots === 0
          ? `Sets nothing yet: choose a ${use ? 'part' : 'kind of part'} and a property below.`
          : `Sets ${filed.join(', ')}.`}
      </p>
      <NoteField
        text={record.note ?? ''}
        onCommit={note => commit(setNote(record, note), `Note on ${name}`)}
      />
      {use && <Instead site={site} record={record} use={use} />}
      {!use && (
        <TypedField
          label="Set (presets of one set exclude each other)"
          mono={false}
          text={record.set ?? ''}
          className="[&_input]:border-hair"
          parse={text => ({ ok: true, value: text.trim().slice(0, 40) })}
          onCommit={value =>
            commit([editOf(record).put('set', value === '' ? null : value)], `Change ${name}`)
          }
        />
      )}
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
      {!locked && use !== 'ground' && (
        <div>
          <p className="label-line">New widgets that begin with it</p>
          <p className="flex flex-wrap gap-x-2">
            {begins.map(widget => (
              <button
                key={widget}
                type="button"
                className="text-teal hover:line-through"
                title="Take away"
                onClick={() => commit([editOf(record).unsetIn('begins', widget)], `Change ${name}`)}
              >
                {WIDGETS.find(it => it.name === widget)?.label ?? widget}
              </button>
            ))}
          </p>
          <ActMenu
            label="Add a kind of widget"
            className="w-full"
            options={WIDGETS.filter(it => !begins.includes(it.name) && (!use || hasUse(it, use))).map(it => ({
              value: it.name,
              label: it.label,
            }))}
            onChoose={widget => commit([editOf(record).setIn('begins', widget, true)], `Change ${name}`)}
          />
        </div>
      )}
      {twin !== undefined && near && !locked && (
        <p>
          {nameOf(twin)} says {near.differ === 0 ? 'the same' : `nearly the same (${near.differ} apart)`}.{' '}
          <Button kind="link" className="h-5!" onClick={() => setMerging(true)}>
            Merge this into it…
          </Button>
        </p>
      )}
      {!locked && (
        <div className="flex flex-wrap gap-2">
          <Button kind="line" className="h-6!" onClick={duplicate}>
            Duplicate
          </Button>
          <RemoveWith
            key={twin && merging ? 'merge' : 'delete'}
            site={site}
            id={id}
            name={name}
            used={used || merging}
            question="Items that wear it"
            answers={[
              { value: 'letGo', label: 'keep its values as overrides' },
              { value: 'takeOff', label: 'lose its values' },
              ...all
                .filter(it => it.id !== id)
                .map(it => ({ value: it.id, label: `wear ${it.name} instead` })),
            ]}
            edits={answer => ok(removePreset(site, id, farewellOf(answer)))}
            onGone={() => onOpen(null)}
            {...(merging && twin !== undefined && { asked: twin })}
          />
        </div>
      )}
    </div>
  );
}
