import { fail, type Id, ok, removePreset, type Site, wearersOf } from '@cove/core';
import { useCommit } from '../session/context.tsx';
import { useLocked } from '../session/rights.tsx';
import { useGo } from '../shell/go.ts';
import { nameOf } from '../shell/names.ts';
import { Button } from '../ui/Button.tsx';
import { TypedField } from '../ui/TypedField.tsx';
import { pagesOf } from './uses.ts';

/** A preset's name and reach, above what it sets. */
export function PresetPanel({ site, preset, onGone }: { site: Site; preset: Id; onGone(): void }) {
  const commit = useCommit();
  const go = useGo();
  const locked = useLocked();
  const record = site.kinds.preset.get(preset);
  if (!record) return null;
  const wearers = wearersOf(site, preset);
  const pages = pagesOf(site, wearers);
  return (
    <div className="grid gap-2 border-b border-hair bg-paper px-3.5 py-3">
      <TypedField
        label="Preset"
        mono={false}
        text={record.name}
        className="[&_input]:border-hair"
        parse={text =>
          text.trim() === '' ? fail({ code: 'empty', message: 'A preset needs a name.' }) : ok(text.trim())
        }
        onCommit={name =>
          commit([{ op: 'set', id: preset, path: ['name'], value: name }], `Rename ${record.name}`)
        }
      />
      <p className="text-muted">
        {wearers.length === 0
          ? 'Worn nowhere.'
          : `Worn by ${wearers.length} on ${pages} page${pages === 1 ? '' : 's'}; every one follows at once:`}
      </p>
      <ul className="flex flex-wrap gap-x-2">
        {wearers.map(id => (
          <li key={id}>
            <button type="button" className="text-teal hover:underline" onClick={() => go(id)}>
              {nameOf(site, id)}
            </button>
          </li>
        ))}
      </ul>
      {!locked && (
        <Button
          kind="line"
          className="justify-self-start"
          onClick={() => commit(removePreset(site, preset), `Delete ${record.name}`) && onGone()}
        >
          Delete{wearers.length > 0 ? ' and take it off' : ''}
        </Button>
      )}
    </div>
  );
}
