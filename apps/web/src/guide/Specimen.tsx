import { failuresOf, familyLabel, type Site, sampleContent, settingsOf, specimenRows } from '@cove/core';
import { useEffect, useMemo, useRef } from 'react';
import { CanvasFrame } from '../canvas/CanvasFrame.tsx';
import type { ScrollTogether } from '../canvas/scrollTogether.ts';
import { useSession } from '../session/context.tsx';
import { useRestedSite } from '../session/useRestedSite.ts';
import { useLatest } from '../ui/useLatest.ts';
import { useRoom } from '../ui/useRoom.ts';
import { type Across, columnsFor } from './columns.ts';
import { type Hit, type Layout, SpecimenDocument } from './specimenDocument.ts';
import { usesOfRow } from './uses.ts';
import type { View } from './ViewMenu.tsx';

const counted = (sections: number) => `${sections} section${sections === 1 ? '' : 's'}`;

interface Props {
  site: Site;
  across: Across;
  scheme: string;
  filter: string;
  /** Another site than the one that is worked on: shown as it is, following nothing. */
  frozen?: boolean;
  /** Specimens that scroll as one. */
  together: ScrollTogether;
  title?: string;
  view: View;
  chosen: { row: string; column: string } | null;
  onHit(hit: Hit): void;
}

/** Every element in every chosen situation, always the real thing. */
export function Specimen({
  site,
  across,
  scheme,
  filter,
  frozen = false,
  together,
  title = 'Specimen',
  view,
  chosen,
  onHit,
}: Props) {
  const session = useSession();
  const [box, size] = useRoom<HTMLDivElement>({ width: 700, height: 600 });
  const sheet = useRef<SpecimenDocument | null>(null);
  const hit = useLatest(onHit);

  // Cells depend on all kinds but tokens, so that nothing is laid out anew while a colour is dragged.
  const {
    widget,
    section,
    variant,
    default: defaults,
    scheme: schemes,
    settings,
    asset,
    textStyle,
    variantRule,
    drawing,
    preset,
  } = site.kinds;
  const latest = useLatest(site);
  const rested = useRestedSite();
  const failures = failuresOf(frozen ? site : rested);
  /** Stands for all counts: what is written over the columns alters only where one of them does. */
  const unreadable = [...schemes.keys()].map(id => failures.ofScheme(id).length).join();
  // biome-ignore lint/correctness/useExhaustiveDependencies: the kinds named stand for the site
  const layout = useMemo((): Layout => {
    const now = latest.current;
    const word = filter.trim().toLowerCase();
    const rows = specimenRows(now).filter(
      ({ label, element: { label: name, family } }) =>
        !view.withoutRows.has(family) &&
        (word === '' || `${label} ${name} ${familyLabel(family)}`.toLowerCase().includes(word)),
    );
    const uses = new Map(rows.map(row => [row.id, usesOfRow(now, row)]));
    const worn = (id: string) =>
      [...now.kinds.section.values()].filter(it => (it.scheme ?? settingsOf(now).defaultScheme) === id)
        .length;
    const noteOf = (id: string) => {
      const failing = failures.ofScheme(id).length;
      return `${counted(worn(id))}${failing > 0 ? `, ${failing} unreadable` : ''}`;
    };
    return {
      rows,
      columns: columnsFor(now, across, scheme).filter(it => !view.without.has(it.id)),
      uses: row => uses.get(row.id) ?? 0,
      columnNote: column => (across === 'schemes' ? noteOf(column.scheme) : ''),
      content: row => sampleContent(now, row.element, row.variants, view.words),
      // Two abreast have half the room each.
      zoom: Number(view.zoom) * (view.beside !== '' && view.stands === 'left' ? 0.7 : 1),
    };
  }, [
    widget,
    section,
    variant,
    defaults,
    schemes,
    settings,
    asset,
    textStyle,
    variantRule,
    drawing,
    preset,
    across,
    scheme,
    filter,
    view,
    unreadable,
  ]);

  useEffect(
    () => (frozen ? undefined : session.onTouched((next, touched) => sheet.current?.style(next, touched))),
    [session, frozen],
  );
  useEffect(() => {
    sheet.current?.show(latest.current, layout);
  }, [layout]);
  useEffect(() => {
    sheet.current?.choose(chosen?.row ?? null, chosen?.column ?? null);
  }, [chosen]);

  return (
    <div ref={box} className="h-full min-h-0 flex-1 overflow-hidden">
      <CanvasFrame
        title={title}
        width={size.width}
        height={size.height}
        scale={1}
        onReady={(document, view) => {
          const made = new SpecimenDocument(document, view, session.id, it => hit.current(it));
          sheet.current = made;
          together.join(document);
          made.style(latest.current, null);
          made.show(latest.current, layout);
          made.choose(chosen?.row ?? null, chosen?.column ?? null);
          return () => {
            made.stop();
            sheet.current = null;
          };
        }}
      />
      {layout.rows.length === 0 && (
        <p className="p-6 text-muted">No rows match. Change the filter, or show more under View.</p>
      )}
    </div>
  );
}
