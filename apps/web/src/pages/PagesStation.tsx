import {
  elementOfNode,
  getRecord,
  type Id,
  isNode,
  nameOf,
  type PropertyRow,
  type Site,
  settingsOf,
  viewportOf,
} from '@cove/core';
import { lazy, Suspense, useEffect, useMemo, useState } from 'react';
import { Navigate, useParams } from 'react-router';
import { useAdditions } from '../adding/useAdditions.ts';
import { Bench } from '../bench/Bench.tsx';
import { firstPartOf } from '../bench/firstPartOf.ts';
import type { Subject } from '../bench/subject.ts';
import { Term } from '../glossary/Term.tsx';
import { useSelection } from '../onPage/useSelection.ts';
import { useSession, useSite } from '../session/context.tsx';
import { useMay } from '../session/rights.tsx';
import { StationPanes } from '../ui/StationPanes.tsx';
import { PagesSide } from './PagesSide.tsx';
import { PageView } from './PageView.tsx';
import { useActs } from './useActs.ts';

const PresetPanel = lazy(async () => ({ default: (await import('../guide/PresetPanel.tsx')).PresetPanel }));

/** The pages: their list and outline at the left, the page in the middle, the bench at the right. */
export function PagesStation() {
  const site = useSite();
  const { page: pageId } = useParams();
  const session = useSession();
  const page = pageId === undefined ? undefined : site.kinds.page.get(pageId);
  if (!page) return <Navigate to={`/sites/${session.id}/pages/${settingsOf(site).home}`} replace />;
  return <OpenPage key={page.id} site={site} page={page.id} />;
}

function OpenPage({ site, page }: { site: Site; page: Id }) {
  const mayWrite = useMay('content');
  const mayStyle = useMay('style');
  const selection = useSelection(site, page);
  const acts = useActs(site, page, selection);
  const adding = useAdditions();
  const { picked, nodes, situation, setSituation, pick, pickNode } = selection;
  const [px, setPx] = useState(() => viewportOf(site).wide);
  /** How often the words of a thing were asked to be edited on the bench. */
  const [asked, setAsked] = useState<{ node: Id | null; times: number }>({ node: null, times: 0 });
  const [box, setBox] = useState<PropertyRow['box'] | null>(null);

  // biome-ignore lint/correctness/useExhaustiveDependencies: bound anew with what is picked
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const { target } = event;
      // Of frames, the page's alone: not pictures of pages in a sheet that is laid over it.
      const onPage = target instanceof HTMLIFrameElement && target.closest('[role=dialog]') === null;
      if (onPage || target === document.body) acts.onKey(event);
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [nodes]);

  // A preset that is worn is edited beside what wears it, until something else is selected.
  const [openPreset, setOpenPreset] = useState<{ preset: Id; of: Id; part: string } | null>(null);
  const preset =
    openPreset && openPreset.of === picked?.node && site.kinds.preset.has(openPreset.preset)
      ? openPreset
      : null;
  const subject: Subject | null = preset
    ? { type: 'preset', preset: preset.preset, part: preset.part, ...situation }
    : picked && { type: 'node', page, node: picked.node, part: picked.part, ...situation };
  const path = useMemo(() => {
    const steps: { id: string; label: string; onSelect?: () => void }[] = [];
    let at = picked ? getRecord(site, picked.node) : undefined;
    while (isNode(at)) {
      const { id } = at;
      steps.unshift({
        id,
        label: at.kind === 'section' ? at.name : elementOfNode(at).label,
        ...(id !== picked?.node
          ? { onSelect: () => pickNode(id) }
          : preset && { onSelect: () => setOpenPreset(null) }),
      });
      at = getRecord(site, at.at.parent);
    }
    if (preset) steps.push({ id: preset.preset, label: nameOf(site, preset.preset) });
    return [
      {
        id: page,
        label: site.kinds.page.get(page)?.title ?? '',
        ...(picked?.node !== page && { onSelect: () => pick({ node: page, part: 'box' }) }),
      },
      ...steps,
    ];
  }, [site, page, picked, pickNode, pick, preset]);

  return (
    <StationPanes
      station="pages"
      left={{
        label: 'Outline',
        width: 212,
        least: 168,
        content: <PagesSide site={site} page={page} selection={selection} acts={acts} adding={adding} />,
      }}
      middle={{
        label: 'Page',
        content: (
          <PageView
            site={site}
            page={page}
            px={px}
            onPx={setPx}
            selection={selection}
            acts={acts}
            adding={adding}
            box={box}
            onRich={() =>
              setAsked(now => ({
                node: picked?.node ?? null,
                times: now.node === picked?.node ? now.times + 1 : 1,
              }))
            }
          />
        ),
      }}
      right={{
        label: 'Bench',
        width: 340,
        least: 280,
        content: adding.wanted ? (
          <aside
            ref={adding.setPreview}
            data-pane
            aria-label="Not added yet"
            className="thin-scroll flex min-h-0 flex-col overflow-auto bg-paper"
          />
        ) : (
          <aside data-pane aria-label="Bench" className="flex min-h-0 flex-col bg-paper">
            {preset && (
              <Suspense>
                <PresetPanel
                  site={site}
                  preset={preset.preset}
                  onOpen={id => setOpenPreset(id === null ? null : { ...preset, preset: id })}
                />
              </Suspense>
            )}
            {subject ? (
              <div className="min-h-0 flex-1">
                <Bench
                  subject={subject}
                  others={nodes.slice(1)}
                  onSubject={next => {
                    if (next.width !== situation.width) setPx(viewportOf(site)[next.width]);
                    setSituation({ state: next.state, width: next.width });
                    if (preset) setOpenPreset({ ...preset, part: next.part });
                    else if (picked && next.part !== picked.part) selection.openPart(next.part);
                  }}
                  onPreset={id =>
                    picked && setOpenPreset({ preset: id, of: picked.node, part: firstPartOf(site, id) })
                  }
                  path={path}
                  onBox={it => setBox(it ?? null)}
                  askedForWords={asked.node === picked?.node ? asked.times : 0}
                />
              </div>
            ) : (
              <p className="p-4 text-muted">
                {mayStyle ? (
                  <>
                    Click something on the page, or select it in the outline. What you set here applies to
                    that item only, and is kept as a <Term word="Knot">knot</Term>.{' '}
                  </>
                ) : (
                  'Click something on the page, or select it in the outline, to see what it wears and why. '
                )}
                {mayWrite && 'Double-click text to edit it.'}
              </p>
            )}
          </aside>
        ),
      }}
    />
  );
}
