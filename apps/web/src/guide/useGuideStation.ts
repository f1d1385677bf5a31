import {
  FOUNDATIONS,
  type Foundation,
  firstPart,
  type Id,
  PRESET_USES,
  partOf,
  presetNamesOf,
  type SchemeRecord,
  type Site,
  type SpecimenRow,
  settingsOf,
  specimenRows,
  type TextStyleRecord,
} from '@cove/core';
import { useMemo, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { ElementSubject, Subject } from '../bench/subject.ts';
import { type Across, columnsFor } from './columns.ts';
import { subjectAddress, subjectIn } from './guideAddress.ts';
import type { Hit } from './specimenDocument.ts';
import type { Panel } from './tray/Tray.tsx';

/** The row in which an element shows that wears some variants: the one that wears as many of them as any. */
function rowOf(rows: readonly SpecimenRow[], { element, variants }: ElementSubject): string {
  let best = { row: element, alike: 0 };
  for (const row of rows) {
    if (row.element.name !== element || row.preset !== null) continue;
    const alike = Object.values(row.variants).filter(id => variants.includes(id)).length;
    if (alike > best.alike) best = { row: row.id, alike };
  }
  return best.row;
}

/** Names in the address of what is open beside the bench, one at a time. */
const BESIDE = ['token', 'preset', 'scheme', 'role', 'style', 'guides', 'ground'];

/** What is picked shows at once: the next key may already mean it. */
const AT_ONCE = { replace: true, flushSync: true } as const;

/** The cell of the specimen in which a subject shows. */
const cellOf = (rows: readonly SpecimenRow[], across: Across, subject: ElementSubject) => ({
  row: rowOf(rows, subject),
  column: { schemes: subject.scheme, widths: subject.width, states: subject.state }[across],
});

/** What stands at the right of the guide. */
export type Beside =
  | { type: 'guides'; reset: Foundation | null }
  | { type: 'ground' }
  | { type: 'scheme'; scheme: SchemeRecord }
  | { type: 'style'; style: TextStyleRecord }
  | { type: 'bench'; subject: Subject }
  | { type: 'nothing' };

function besideIn(params: URLSearchParams, site: Site, subject: Subject | null): Beside {
  if (params.has('guides'))
    return { type: 'guides', reset: FOUNDATIONS.find(it => it === params.get('guides')) ?? null };
  if (params.has('ground')) return { type: 'ground' };
  // A role is looked for in the scheme that the site wears.
  const named = params.has('role') ? settingsOf(site).defaultScheme : params.get('scheme');
  const scheme = site.kinds.scheme.get(named ?? '');
  if (scheme) return { type: 'scheme', scheme };
  const style = site.kinds.textStyle.get(params.get('style') ?? '');
  if (style) return { type: 'style', style };
  return subject ? { type: 'bench', subject } : { type: 'nothing' };
}

/** What is open in the guide and what is picked in it, as the address has them, and the ways to alter both. */
export function useGuideStation(site: Site) {
  const [params, setParams] = useSearchParams();
  const [across, setAcross] = useState<Across>('schemes');
  const [scheme, setScheme] = useState(settingsOf(site).defaultScheme);
  const opened = useRef(site);
  const rows = useMemo(() => specimenRows(site), [site]);
  const subject = useMemo(() => subjectIn(params, site, scheme), [params, site, scheme]);
  const beside = useMemo(() => besideIn(params, site, subject), [params, site, subject]);
  const cell = useMemo(() => {
    if (subject?.type === 'element') return cellOf(rows, across, subject);
    const row = subject?.type === 'preset' ? `preset.${subject.preset}` : null;
    if (row === null || !rows.some(it => it.id === row)) return null;
    const { width = 'wide', state = 'rest' } = subject ?? {};
    return { row, column: { schemes: scheme, widths: width, states: state }[across] };
  }, [subject, rows, across, scheme]);

  const open = (next: Subject) => {
    if (next.type !== 'node') setParams(subjectAddress(next), AT_ONCE);
  };

  /** Picks what was clicked in the specimen: first the element as a whole, with a further click the part under the pointer. */
  const pick = ({ row: rowId, column: columnId, part, variants }: Hit) => {
    const row = rows.find(it => it.id === rowId);
    const column = columnsFor(site, across, scheme).find(it => it.id === columnId);
    if (!row || !column) return;
    const { use } = site.kinds.preset.get(row.preset ?? '') ?? {};
    if (row.preset !== null && use) {
      const known = PRESET_USES[use].parts;
      const name = presetNamesOf(row.element, part).find(it => Object.hasOwn(known, it));
      open({
        type: 'preset',
        preset: row.preset,
        part: name ?? Object.keys(known)[0] ?? part,
        state: column.state,
        width: column.width,
      });
      return;
    }
    const again =
      subject?.type === 'element' &&
      cell?.row === rowId &&
      cell.column === columnId &&
      subject.variants.join() === variants.join();
    open({
      type: 'element',
      element: row.element.name,
      variants,
      scheme: column.scheme,
      target: variants.at(-1) ?? null,
      part: again && partOf(row.element, part) ? part : firstPart(row.element),
      state: column.state,
      width: column.width,
    });
  };

  /** Opens something beside what is on the bench, or closes it: what was on the bench is there again after it. */
  const openBeside = (panel: Panel | { token: Id } | null) =>
    setParams(
      now => {
        const next = new URLSearchParams(now);
        for (const name of BESIDE) next.delete(name);
        for (const [name, value] of Object.entries(panel ?? {})) next.set(name, value);
        return next;
      },
      { replace: true },
    );

  return {
    across,
    setAcross,
    scheme,
    setScheme,
    beside,
    /** The site as it was when the guide was opened. */
    opened: opened.current,
    /** The token whose editor is open. */
    token: params.get('token'),
    /** The preset that is on the bench, to be described above it. */
    preset: subject?.type === 'preset' ? subject.preset : null,
    /** The cell that is marked: what is on the bench, while that can be seen. */
    marked: beside.type === 'bench' || beside.type === 'nothing' ? cell : null,
    open,
    pick,
    openBeside,
    openPanel: (panel: Panel) => ('preset' in panel ? setParams(panel) : openBeside(panel)),
    openPreset: (id: Id | null) => setParams(id === null ? {} : { preset: id }),
  };
}

export type GuideStationState = ReturnType<typeof useGuideStation>;
