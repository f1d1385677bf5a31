import {
  addDrawings,
  byOrder,
  type DrawingRecord,
  editOf,
  ICON_NAMES,
  ICON_SETS,
  LIMITS,
  type NewDrawing,
  removeRecord,
  type Site,
  settingsOf,
  usersOf,
} from '@cove/core';
import { useRef, useState } from 'react';
import { DrawnIcon } from '../../drawings/DrawnIcon.tsx';
import { useCommit, useSession } from '../../session/context.tsx';
import { Button } from '../../ui/Button.tsx';
import { useLocked } from '../../ui/locked.ts';
import { NameInPlace } from '../../ui/NameInPlace.tsx';
import { Select } from '../../ui/Select.tsx';
import { Chapter, Group } from '../tray/Group.tsx';
import { RasterIcons } from './RasterIcons.tsx';

/** The icon set, and the brand's own icons and marks: read from SVG, tied to swatches, stored once. */
export function Drawings({ site }: { site: Site }) {
  const commit = useCommit();
  const session = useSession();
  const locked = useLocked();
  const picker = useRef<HTMLInputElement>(null);
  const [use, setUse] = useState<DrawingRecord['use']>('icon');
  const [problems, setProblems] = useState<readonly string[]>([]);
  const all = [...site.kinds.drawing.values()].sort(byOrder);
  const set = ICON_SETS.find(it => it.name === settingsOf(site).iconSet) ?? ICON_SETS[0];

  const upload = async (files: FileList | null) => {
    const { readSvg } = await import('./readSvg.ts');
    const found: string[] = [];
    const drawings: NewDrawing[] = [];
    for (const file of files ?? []) {
      if (file.size > LIMITS.typed.drawing) {
        found.push(`${file.name}: The drawing is larger than 500 KB. Simplify it first.`);
        continue;
      }
      const read = readSvg(await file.text(), site);
      if (!read.ok) {
        found.push(`${file.name}: ${read.problem.message}`);
        continue;
      }
      const plain = file.name.replace(/\.svg$/i, '').replace(/[-_]+/g, ' ');
      const name = plain.charAt(0).toUpperCase() + plain.slice(1, 80);
      drawings.push({ name, use, ...read.value });
    }
    if (drawings.length > 0)
      commit(
        addDrawings(session.site, drawings),
        `Add ${drawings.length === 1 ? 'a drawing' : `${drawings.length} drawings`}`,
      );
    setProblems(found);
    if (picker.current) picker.current.value = '';
  };
  const pick = (wanted: DrawingRecord['use']) => {
    setUse(wanted);
    picker.current?.click();
  };
  const list = (wanted: DrawingRecord['use'], label: string) => (
    <Group
      label={label}
      {...(!locked && { onAdd: () => pick(wanted) })}
      addLabel={`Add to ${label.toLowerCase()}`}
    >
      <ul aria-label={label}>
        {all
          .filter(it => it.use === wanted)
          .map(it => {
            const used = usersOf(site, it.id).length;
            return (
              <li key={it.id} className="flex items-center gap-2 py-0.5">
                <span className="w-9 shrink-0">
                  <DrawnIcon site={site} name={it.id} />
                </span>
                <NameInPlace
                  label={`Drawing ${it.name}`}
                  name={it.name}
                  onRename={name => commit([editOf(it).set('name', name)], `Rename ${it.name}`)}
                />
                <span className="ml-auto font-mono text-[11px] text-muted">{used}</span>
                {!locked && used === 0 && (
                  <Button
                    kind="link"
                    className="h-5! text-small"
                    aria-label={`Delete drawing ${it.name}`}
                    onClick={() => commit([removeRecord(it.id)], `Delete ${it.name}`)}
                  >
                    Delete
                  </Button>
                )}
              </li>
            );
          })}
      </ul>
      {all.every(it => it.use !== wanted) && <p className="text-muted">None yet. Add SVG files.</p>}
    </Group>
  );
  return (
    <Chapter title="Icons and marks" foundation="Icons, marks and notes">
      <Group label="Icon set" note={set.licence}>
        <Select
          hideLabel
          label="Icon set"
          value={set.name}
          options={ICON_SETS.map(it => ({ value: it.name, label: it.label }))}
          onChange={name => commit([editOf(settingsOf(site)).set('iconSet', name)], 'Change the icon set')}
        />
        <p className="mt-1.5 flex flex-wrap gap-1.5">
          {ICON_NAMES.map(name => (
            <span key={name} title={name}>
              <DrawnIcon site={site} name={name} size={18} />
            </span>
          ))}
        </p>
      </Group>
      {list('icon', 'Your icons')}
      {list('mark', 'Marks')}
      <RasterIcons site={site} />
      {problems.map(problem => (
        <p key={problem} role="alert" className="mb-2 text-madder">
          {problem}
        </p>
      ))}
      {!locked && (
        <input
          ref={picker}
          type="file"
          multiple
          accept=".svg,image/svg+xml"
          aria-label="SVG files"
          className="sr-only"
          tabIndex={-1}
          onChange={event => void upload(event.target.files)}
        />
      )}
    </Chapter>
  );
}
