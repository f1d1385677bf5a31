import {
  applyChange,
  type Edit,
  elementOfNode,
  fittingPresets,
  getRecord,
  type Id,
  isNode,
  type NodeRecord,
  nodeScope,
  pageScope,
  printHtml,
  renderNode,
  type Scope,
  type Site,
  takeOff,
  variantsOf,
  viewportOf,
  wearPreset,
} from '@cove/core';
import { looksOf, takeLook } from '@cove/core/starters';
import { useEffect, useMemo, useRef } from 'react';
import { toast } from 'sonner';
import type { View } from '../canvas/Frame.tsx';
import { ScaledFrame } from '../canvas/ScaledFrame.tsx';
import { StyleEngine } from '../canvas/styleEngine.ts';
import { useCommit, useSession } from '../session/context.tsx';
import { useMay } from '../session/rights.tsx';
import { Sheet } from '../ui/Sheet.tsx';

const titled = (word: string) => word.charAt(0).toUpperCase() + word.slice(1);

interface Option {
  id: string;
  label: string;
  /** What it is beside its name, such as one that the guide has not taken yet. */
  note: string;
  chosen: boolean;
  /** The thing as it would be. */
  node: NodeRecord;
  edits(now: Site): Edit[];
}
interface Group {
  label: string;
  options: Option[];
}

/** Every look a thing can take: the variants of each axis, ready looks that the guide could take, presets that fit. */
function optionsOf(site: Site, node: NodeRecord, mayGuide: boolean): { site: Site; groups: Group[] } {
  const element = elementOfNode(node);
  const ready = mayGuide ? looksOf(element.name) : [];
  let shown = site;
  const taken = ready.map(look => {
    const made = takeLook(shown, look);
    const applied = applyChange(shown, { edits: made.edits });
    if (applied.ok) shown = applied.value.site;
    return { look, ...made };
  });
  const groups = element.axes.map((axis): Group => {
    const choose = (id: Id | null): Edit =>
      id === null
        ? { op: 'unset', id: node.id, path: ['variants', axis] }
        : { op: 'set', id: node.id, path: ['variants', axis], value: id };
    const { [axis]: now, ...others } = node.variants;
    const variants = variantsOf(shown, element.name, axis).map((variant): Option => {
      const look = taken.find(it => it.id === variant.id && it.edits.length > 0)?.look;
      return {
        id: variant.id,
        label: variant.name,
        note: look ? 'ready to be taken' : '',
        chosen: now === variant.id,
        node: { ...node, variants: { ...others, [axis]: variant.id } },
        edits: at => {
          if (!look) return [choose(variant.id)];
          const { id, edits } = takeLook(at, look);
          return [...edits, choose(id)];
        },
      };
    });
    const plain: Option = {
      id: `${axis} none`,
      label: 'As the default',
      note: '',
      chosen: now === undefined,
      node: { ...node, variants: others },
      edits: () => [choose(null)],
    };
    return { label: titled(axis), options: [plain, ...variants] };
  });
  const presets = fittingPresets(site, node).flatMap((preset): Option[] => {
    const worn = Object.entries(node.wears).find(([, it]) => it.preset === preset.id);
    const edits = (at: Site): Edit[] => {
      if (worn) return takeOff(node.id, worn[0]);
      const put = wearPreset(at, node.id, preset.id);
      return put.ok ? put.value : [];
    };
    const after = applyChange(site, { edits: edits(site) });
    const dressed = worn ? node : after.ok ? getRecord(after.value.site, node.id) : node;
    return isNode(dressed)
      ? [
          {
            id: preset.id,
            label: preset.name,
            note: preset.set ?? '',
            chosen: worn !== undefined,
            node: dressed,
            edits,
          },
        ]
      : [];
  });
  return {
    site: shown,
    groups: [...groups, { label: 'Presets', options: presets }].filter(
      it => it.options.length > 1 || (it.label === 'Presets' && it.options.length > 0),
    ),
  };
}

const OURS =
  'body{margin:0;padding:10px;background:#fff!important}.g{display:grid;gap:16px;margin:0 0 26px}.g h2{grid-column:1/-1;margin:0;font:600 13px "Hanken Grotesk",system-ui;color:#444}.o{display:flex;flex-direction:column;padding:0;border:1px solid #0002;border-radius:4px;cursor:pointer;text-align:left;overflow:hidden;min-width:0}.o:hover{border-color:oklch(.43 .075 205)}.o:focus-visible,.o[aria-pressed=true]{outline:2px solid oklch(.43 .075 205);outline-offset:1px}.o header{all:unset;display:block;padding:6px 10px;font:600 13px "Hanken Grotesk",system-ui;color:#222;background:#fff}.o header span{font-weight:400;color:#666}.s{flex:1;padding:14px;overflow:hidden;max-height:420px}';

/** The looks that a thing can take, each drawn with its own words and pictures; choosing one dresses it at once. */
export function LookSheet({
  site,
  page,
  node,
  onClose,
}: {
  site: Site;
  page: Id;
  node: NodeRecord;
  onClose(): void;
}) {
  const session = useSession();
  const commit = useCommit();
  const mayGuide = useMay('guide');
  const element = elementOfNode(node);
  const { site: shown, groups } = useMemo(() => optionsOf(site, node, mayGuide), [site, node, mayGuide]);
  const frame = useRef<{ document: Document; engine: StyleEngine } | null>(null);
  const now = useRef(groups);
  now.current = groups;

  const draw = () => {
    const pageRecord = shown.kinds.page.get(page);
    const outer: Scope | null =
      node.kind === 'section'
        ? pageRecord
          ? pageScope(shown, pageRecord)
          : null
        : nodeScope(shown, page, node.at.parent);
    if (!frame.current || !outer || !pageRecord) return;
    const { document, engine } = frame.current;
    engine.reset(shown, pageRecord);
    const bindings = [`s-${outer.scheme}`, ...bearersOf(outer)].join(' ');
    const wide = element.holds !== null;
    const cells = groups.map(
      ({ label, options }) =>
        `<section class="g" style="grid-template-columns:repeat(${wide ? 2 : 3},minmax(0,1fr))"><h2></h2>${options
          .map(
            option =>
              `<div class="o" role="button" tabindex="0" data-option="${options.indexOf(option)}" data-group="${label}" aria-pressed="${option.chosen}"><header></header><div class="s page-box ${bindings}" inert><div${wide ? ' style="zoom:.5"' : ''}>${printHtml(renderNode(shown, outer, option.node, { marks: false, links: false, assetUrl: ({ file }) => `/api/sites/${session.id}/assets/${file}` }))}</div></div></div>`,
          )
          .join('')}</section>`,
    );
    const focused = document.activeElement?.getAttribute('data-option');
    const inGroup = document.activeElement?.getAttribute('data-group');
    const { scrollY } = document.defaultView ?? { scrollY: 0 };
    document.body.innerHTML = cells.join('');
    // Names are the site's own words: they go in as text.
    for (const [i, section] of [...document.querySelectorAll('.g')].entries()) {
      const group = groups[i];
      const title = section.querySelector('h2');
      if (title && group) title.textContent = group.label;
      for (const [k, cell] of [...section.querySelectorAll('.o')].entries()) {
        const option = group?.options[k];
        const head = cell.querySelector('header');
        if (!option || !head) continue;
        cell.setAttribute('aria-label', `${option.label}${option.note && `, ${option.note}`}`);
        head.textContent = option.label;
        if (option.note === '') continue;
        const note = document.createElement('span');
        note.textContent = ` ${option.note}`;
        head.append(note);
      }
    }
    document.defaultView?.scrollTo(0, scrollY);
    if (focused != null)
      document.querySelector<HTMLElement>(`[data-group="${inGroup}"][data-option="${focused}"]`)?.focus();
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: drawn anew with what it shows
  useEffect(draw, [shown, groups]);

  const take = (cell: Element | null) => {
    const group = now.current.find(it => it.label === cell?.getAttribute('data-group'));
    const option = group?.options[Number(cell?.getAttribute('data-option'))];
    if (!option) return;
    const edits = option.edits(session.site);
    if (edits.length === 0) toast.error('It wears as many presets as it can. Take one off first.');
    else commit(edits, `Choose ${option.label}`);
  };
  return (
    <Sheet
      wide
      title={`Looks for this ${element.label.toLowerCase()}`}
      about="With its own words and pictures. Ready looks become variants of the guide when they are taken."
      onClose={onClose}
    >
      <div className="h-[68vh]">
        <ScaledFrame
          title="Looks"
          width={Math.min(1180, viewportOf(site).wide)}
          onReady={(document: Document, view: View) => {
            frame.current = { document, engine: new StyleEngine(document, view, 'canvas', session.id, OURS) };
            draw();
            const cellOf = (event: Event) =>
              event.target instanceof view.Element ? event.target.closest('.o') : null;
            document.addEventListener('click', event => {
              event.preventDefault();
              take(cellOf(event));
            });
            document.addEventListener('keydown', event => {
              if (event.key === 'Escape') onClose();
              if (event.key !== 'Enter' && event.key !== ' ') return;
              event.preventDefault();
              take(cellOf(event));
            });
            return () => {
              frame.current = null;
            };
          }}
        />
      </div>
    </Sheet>
  );
}

/** Classes of those around a thing that rebind tokens. */
function bearersOf(scope: Scope): string[] {
  const found: string[] = [];
  if (scope.page && Object.keys(scope.page.rebind).length > 0) found.push(`b-${scope.page.id}`);
  if (scope.section && Object.keys(scope.section.rebind).length > 0) found.push(`b-${scope.section.id}`);
  return found;
}
