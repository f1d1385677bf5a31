import {
  addSection,
  addWidget,
  duplicateNode,
  type Edit,
  elementOfNode,
  firstPart,
  getRecord,
  type Id,
  isNode,
  nodesUnder,
  nudge,
  type PropertyRow,
  type Result,
  type Site,
  sectionsIn,
  settingsOf,
  statesOf,
  viewportOf,
  WIDGETS,
  WIDTHS,
  type Width,
} from '@cove/core';
import { lazy, Suspense, useEffect, useMemo, useState } from 'react';
import { Navigate, useParams, useSearchParams } from 'react-router';
import { toast } from 'sonner';
import { Bench } from '../bench/Bench.tsx';
import type { Subject } from '../bench/subject.ts';
import { useCommit, useSession, useSite } from '../session/context.tsx';
import { useMay } from '../session/rights.tsx';
import { nameOf } from '../shell/names.ts';
import { Button } from '../ui/Button.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Canvas, type Picked } from './Canvas.tsx';
import { Outline } from './Outline.tsx';
import { PageTree } from './PageTree.tsx';
import { useClipboard } from './useClipboard.ts';

const PageSheet = lazy(async () => ({ default: (await import('./PageSheet.tsx')).PageSheet }));
const SectionLibrary = lazy(async () => ({
  default: (await import('./SectionLibrary.tsx')).SectionLibrary,
}));
const Overrides = lazy(async () => ({ default: (await import('./Overrides.tsx')).Overrides }));

/** The pages: their list and outline at the left, the page in the middle, the bench at the right. */
export function PagesStation() {
  const site = useSite();
  const { page: pageId } = useParams();
  const session = useSession();
  const page = pageId === undefined ? undefined : site.kinds.page.get(pageId);
  if (!page) return <Navigate to={`/sites/${session.id}/pages/${settingsOf(site).home}`} replace />;
  return <OpenPage key={page.id} site={site} page={page.id} />;
}

const NAMES: Record<Width, string> = { wide: 'Wide', medium: 'Medium', narrow: 'Narrow' };

const widthOf = (site: Site, px: number): Width => {
  const { mediumTo, narrowTo } = settingsOf(site);
  return px <= narrowTo ? 'narrow' : px <= mediumTo ? 'medium' : 'wide';
};

function OpenPage({ site, page }: { site: Site; page: Id }) {
  const commit = useCommit();
  const session = useSession();
  const mayChoose = useMay('choice');
  const mayWrite = useMay('content');
  const mayStyle = useMay('style');
  const mayAll = useMay('guide');
  const [params, setParams] = useSearchParams();
  const [px, setPx] = useState(() => viewportOf(site).wide);
  const [situation, setSituation] = useState<Pick<Subject, 'state' | 'width'>>({
    state: 'rest',
    width: 'wide',
  });
  /** How often words were asked to be edited on the bench. */
  const [askedForWords, setAskedForWords] = useState(0);
  /** All widths side by side; what is set holds for the one that was clicked. */
  const [abreast, setAbreast] = useState(false);
  const [listed, setListed] = useState(false);
  /** Where among the sections a new one was asked for. */
  const [seam, setSeam] = useState<number | null>(null);
  const [about, setAbout] = useState(false);
  const pageRecord = site.kinds.page.get(page);
  const [box, setBox] = useState<PropertyRow['box'] | null>(null);

  const nodeId = params.get('node');
  const record = nodeId === null ? undefined : getRecord(site, nodeId);
  const part = params.get('part');
  const picked = useMemo((): Picked | null => {
    if (nodeId === page) return { node: page, part: 'box' };
    if (nodeId === null || !isNode(record)) return null;
    const element = elementOfNode(record);
    return {
      node: nodeId,
      part: part !== null && Object.hasOwn(element.parts, part) ? part : firstPart(element),
    };
  }, [nodeId, record, part, page]);

  /** The first click picks the thing as a whole, a further one the part under the pointer. */
  const pickOnPage = (hit: Picked | null) => {
    const target = hit && getRecord(session.site, hit.node);
    pick(
      hit && isNode(target) && picked?.node !== hit.node
        ? { node: hit.node, part: firstPart(elementOfNode(target)) }
        : hit,
    );
  };
  const pick = (next: Picked | null) => {
    if (next?.node !== picked?.node) setAskedForWords(0);
    setParams(next ? { node: next.node, part: next.part } : {}, { replace: true });
    const target = next && getRecord(site, next.node);
    if (
      next &&
      isNode(target) &&
      situation.state !== 'rest' &&
      !statesOf(elementOfNode(target), next.part).includes(situation.state)
    )
      setSituation({ ...situation, state: 'rest' });
  };
  const pickNode = (id: Id) => {
    const it = getRecord(session.site, id);
    if (isNode(it)) pick({ node: id, part: firstPart(elementOfNode(it)) });
  };

  const run = (result: Result<Edit[]>, label: string) => {
    if (result.ok) commit(result.value, label);
    else toast.error(result.problem.message);
  };
  const remove = (id: Id) => {
    const it = getRecord(session.site, id);
    if (!isNode(it)) return;
    const name = nameOf(session.site, id);
    const siblings = nodesUnder(session.site, it.at.parent);
    const next = siblings[siblings.indexOf(id) + 1] ?? siblings[siblings.indexOf(id) - 1] ?? it.at.parent;
    if (commit([{ op: 'remove', id }], `Delete ${name}`)) pickNode(next);
  };
  const duplicate = (id: Id) => {
    const made = duplicateNode(session.site, id);
    if (!made.ok) toast.error(made.problem.message);
    else if (commit(made.value.edits, `Duplicate ${nameOf(session.site, id)}`)) pickNode(made.value.id);
  };
  const takeSection = (made: { edits: Edit[]; id: Id }) => {
    setSeam(null);
    if (commit(made.edits, 'Add a section')) pickNode(made.id);
  };
  /** Into the picked section or group, else right after the picked widget, else at the end of the page. */
  const addWidgetOf = (widget: string) => {
    const now = session.site;
    const at = picked ? getRecord(now, picked.node) : undefined;
    const holds = isNode(at) && elementOfNode(at).holds !== null;
    const last = nodesUnder(now, page).at(-1);
    const parent = holds ? at.id : at?.kind === 'widget' ? at.at.parent : last;
    if (parent === undefined) {
      toast.error('Add a section first: widgets stand in sections.');
      return;
    }
    const siblings = nodesUnder(now, parent);
    const made = addWidget(
      now,
      parent,
      isNode(at) && !holds ? siblings.indexOf(at.id) + 1 : siblings.length,
      widget,
    );
    if (commit(made.edits, `Add a ${widget}`)) pickNode(made.id);
  };

  /** What may be done with what is picked: taking a thing away or doubling it needs the right to all it brings. */
  const acts = useMemo(() => {
    if (!picked || picked.node === page) return { remove: false, duplicate: false };
    if (mayAll) return { remove: true, duplicate: true };
    const doubled = mayChoose ? duplicateNode(site, picked.node) : null;
    return {
      remove: session.mayMake([{ op: 'remove', id: picked.node }]),
      duplicate: doubled?.ok === true && session.mayMake(doubled.value.edits),
    };
  }, [site, session, picked, page, mayAll, mayChoose]);

  useClipboard({
    picked: picked && picked.node !== page ? picked.node : null,
    place: kind => {
      const now = session.site;
      const at = picked ? getRecord(now, picked.node) : undefined;
      if (kind === 'section') {
        let up = at;
        while (isNode(up) && up.kind === 'widget') up = getRecord(now, up.at.parent);
        const sections = sectionsIn(now, page, 'main').map(it => it.id);
        const index = isNode(up) ? sections.indexOf(up.id) + 1 : sections.length;
        return { parent: page, index: index === 0 ? sections.length : index };
      }
      if (!isNode(at)) return null;
      if (elementOfNode(at).holds !== null) return { parent: at.id, index: nodesUnder(now, at.id).length };
      return { parent: at.at.parent, index: nodesUnder(now, at.at.parent).indexOf(at.id) + 1 };
    },
    remove: id => acts.remove && remove(id),
    onPasted: pickNode,
    mayPaste: mayChoose,
  });

  const onKey = (
    id: Id,
    event: Pick<KeyboardEvent, 'key' | 'altKey' | 'ctrlKey' | 'metaKey' | 'preventDefault'>,
  ) => {
    const directions: Record<string, 'up' | 'down' | 'in' | 'out'> = {
      ArrowUp: 'up',
      ArrowDown: 'down',
      ArrowRight: 'in',
      ArrowLeft: 'out',
    };
    const direction = directions[event.key];
    if (event.altKey && direction && mayChoose)
      run(nudge(session.site, id, direction), `Move ${nameOf(session.site, id)}`);
    else if (event.key === 'Delete' || event.key === 'Backspace') {
      if (acts.remove) remove(id);
    } else if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'd') {
      if (acts.duplicate) duplicate(id);
    } else return;
    event.preventDefault();
  };

  // biome-ignore lint/correctness/useExhaustiveDependencies: bound anew with what is picked
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (event.target !== window && event.target !== document.body) return;
      if (event.key === 'Escape') pick(null);
      else if (picked && picked.node !== page) onKey(picked.node, event);
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [picked]);

  const subject: Subject | null = picked && {
    type: 'node',
    page,
    node: picked.node,
    part: picked.part,
    ...situation,
  };
  const path = useMemo(() => {
    const steps: { id: string; label: string; onSelect?: () => void }[] = [];
    let at = picked ? getRecord(site, picked.node) : undefined;
    while (isNode(at)) {
      const { id } = at;
      steps.unshift({
        id,
        label: at.kind === 'section' ? at.name : elementOfNode(at).label,
        ...(id !== picked?.node && { onSelect: () => pickNode(id) }),
      });
      at = getRecord(site, at.at.parent);
    }
    return [
      {
        id: page,
        label: site.kinds.page.get(page)?.title ?? '',
        ...(picked?.node !== page && { onSelect: () => pick({ node: page, part: 'box' }) }),
      },
      ...steps,
    ];
    // biome-ignore lint/correctness/useExhaustiveDependencies: the way depends on what is picked and where it stands
  }, [site, page, picked, pickNode, pick]);

  const chooseWidth = (width: Width) => {
    setPx(viewportOf(site)[width]);
    setSituation({ ...situation, width });
  };

  const gridTemplateColumns = WIDTHS.map(it => `${viewportOf(site)[it] + 200}fr`).join(' ');
  /** The page in a window of a width; one of several stands for that width alone. */
  const canvas = (width: number, title: string, of: Width | null) => (
    <Canvas
      page={page}
      width={width}
      onWidth={of === null ? setPx : null}
      title={title}
      picked={picked}
      state={situation.state}
      box={of === null || of === situation.width ? box : null}
      onPick={hit => {
        if (of !== null && of !== situation.width) setSituation({ ...situation, width: of });
        pickOnPage(hit);
      }}
      onAddSection={mayChoose ? setSeam : null}
      onRich={() => setAskedForWords(count => count + 1)}
      mayWrite={mayWrite}
    />
  );

  return (
    <div className="grid h-full grid-cols-[212px_1fr_292px]">
      <aside aria-label="Pages and outline" className="flex min-h-0 flex-col border-r border-hair bg-paper">
        <PageTree site={site} page={page} onSettings={() => setAbout(true)} />
        <div className="thin-scroll min-h-0 flex-1 overflow-auto py-3">
          <h2 className="flex items-baseline px-3.5 pb-1">
            <span className="label-line mr-auto">On this page</span>
            <Button kind="link" className="h-5! text-small" onClick={() => setListed(true)}>
              Overrides …
            </Button>
          </h2>
          <Outline
            site={site}
            page={page}
            picked={picked?.node ?? null}
            onPick={pickNode}
            onKey={onKey}
            onMove={mayChoose ? edits => commit(edits, 'Move') : null}
          />
        </div>
        {mayChoose && (
          <div className="grid gap-1 border-t border-hair px-3.5 py-2">
            <div className="flex gap-1">
              <select
                aria-label="Add a widget"
                value=""
                onChange={event => addWidgetOf(event.target.value)}
                className="h-7 min-w-0 flex-1 rounded border border-hair bg-paper px-1 text-teal"
              >
                <option value="">Add a widget …</option>
                {WIDGETS.map(widget => (
                  <option key={widget.name} value={widget.name}>
                    {widget.label}
                  </option>
                ))}
              </select>
              <Button
                kind="line"
                className="text-teal!"
                onClick={() => setSeam(sectionsIn(site, page, 'main').length)}
              >
                Section
              </Button>
            </div>
            <div className="flex gap-1">
              <Button
                disabled={!acts.duplicate}
                title="Ctrl+D"
                onClick={() => picked && duplicate(picked.node)}
              >
                Duplicate
              </Button>
              <Button disabled={!acts.remove} title="Delete" onClick={() => picked && remove(picked.node)}>
                Delete
              </Button>
            </div>
            <p className="text-small text-muted">Alt and the arrow keys move what is picked.</p>
          </div>
        )}
      </aside>
      <section aria-label="Page" className="flex min-h-0 min-w-0 flex-col">
        <div className="flex h-10 items-center gap-4 px-6">
          <Choice<Width | 'all'>
            label="Width of the page"
            value={abreast ? 'all' : widthOf(site, px)}
            options={[
              ...WIDTHS.map(it => ({ value: it, label: NAMES[it] })),
              { value: 'all', label: 'All three' },
            ]}
            onChange={it => {
              setAbreast(it === 'all');
              if (it !== 'all') chooseWidth(it);
            }}
          />
          {!abreast && (
            <label className="ml-auto flex items-center gap-1 font-mono text-[12px] text-muted">
              <span className="sr-only">Width in px</span>
              <input
                type="number"
                min={240}
                max={2400}
                value={px}
                onChange={event =>
                  event.target.valueAsNumber >= 240 &&
                  event.target.valueAsNumber <= 2400 &&
                  setPx(event.target.valueAsNumber)
                }
                className="h-6 w-16 rounded-sm border border-transparent bg-transparent px-1 text-right text-ink hover:border-hair"
              />
              px
            </label>
          )}
        </div>
        {abreast ? (
          <div className="grid min-h-0 flex-1 grid-rows-[minmax(0,1fr)]" style={{ gridTemplateColumns }}>
            {WIDTHS.map(width => (
              <div key={width} className="flex min-h-0 min-w-0 flex-col">
                <p
                  className={`pl-[26px] ${width === situation.width ? 'font-semibold text-teal' : 'text-muted'}`}
                >
                  {NAMES[width]}
                </p>
                {canvas(viewportOf(site)[width], `Page, ${width}`, width)}
              </div>
            ))}
          </div>
        ) : (
          canvas(px, 'Page', null)
        )}
      </section>
      {about && pageRecord && (
        <Suspense>
          <PageSheet site={site} page={pageRecord} onClose={() => setAbout(false)} />
        </Suspense>
      )}
      {seam !== null && (
        <Suspense>
          <SectionLibrary
            site={site}
            onTake={make => takeSection(make(session.site)(page, seam))}
            onEmpty={() => takeSection(addSection(session.site, page, seam))}
            onClose={() => setSeam(null)}
          />
        </Suspense>
      )}
      {listed && (
        <Suspense>
          <Overrides site={site} page={page} onClose={() => setListed(false)} />
        </Suspense>
      )}
      <aside aria-label="Bench" className="min-h-0 border-l border-hair bg-paper">
        {subject ? (
          <Bench
            subject={subject}
            onSubject={next => {
              if (next.width !== situation.width) setPx(viewportOf(site)[next.width]);
              setSituation({ state: next.state, width: next.width });
              if (picked && next.part !== picked.part)
                setParams({ node: picked.node, part: next.part }, { replace: true });
            }}
            path={path}
            onBox={it => setBox(it ?? null)}
            askedForWords={askedForWords}
          />
        ) : (
          <p className="p-4 text-muted">
            {mayStyle
              ? 'Click something on the page, or pick it in the outline: what you set here holds for that one alone, and is kept as a knot. '
              : 'Click something on the page, or pick it in the outline, to see what it wears and why. '}
            {mayWrite && 'Double-click words to edit them.'}
          </p>
        )}
      </aside>
    </div>
  );
}
