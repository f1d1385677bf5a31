import { printHtml, viewportOf } from '@cove/core';
import { useEffect, useRef } from 'react';
import type { View } from '../canvas/CanvasFrame.tsx';
import { ScaledFrame } from '../canvas/ScaledFrame.tsx';
import { StyleEngine } from '../canvas/styleEngine.ts';
import { useSession } from '../session/context.tsx';
import { Sheet } from '../ui/Sheet.tsx';
import { useLatest } from '../ui/useLatest.ts';
import type { LookOption, Looks } from './option.ts';

const OURS =
  'body{margin:0;padding:10px;background:#fff!important}.g{display:grid;gap:16px;margin:0 0 26px}.g h2{grid-column:1/-1;margin:0;font:600 13px "Hanken Grotesk",system-ui;color:#444}.o{display:flex;flex-direction:column;padding:0;border:1px solid #0002;border-radius:4px;cursor:pointer;text-align:left;overflow:hidden;min-width:0}.o:hover{border-color:oklch(.43 .075 205)}.o:focus-visible,.o[aria-pressed=true]{outline:2px solid oklch(.43 .075 205);outline-offset:1px}.o header{all:unset;display:block;padding:6px 10px;font:600 13px "Hanken Grotesk",system-ui;color:#222;background:#fff}.o header span{font-weight:400;color:#666}.s{flex:1;padding:14px;overflow:hidden;max-height:420px}[data-column]{zoom:.38;width:40rem;margin:0 auto;display:flow-root}';

/** Looks that can be had, each drawn as it would be; choosing one takes it at once. */
export function LookSheet<Option extends LookOption>({
  title,
  about,
  looks,
  wide,
  onTake,
  onClose,
}: {
  title: string;
  about: string;
  looks: Looks<Option>;
  /** They need room, such as what holds others. */
  wide: boolean;
  onTake(option: Option): void;
  onClose(): void;
}) {
  const session = useSession();
  const { site, groups } = looks;
  const frame = useRef<{ document: Document; engine: StyleEngine } | null>(null);
  const take = useLatest(onTake);
  const now = useLatest(groups);

  const draw = () => {
    if (!frame.current) return;
    const { document, engine } = frame.current;
    engine.reset(site, looks.page === null ? null : (site.kinds.page.get(looks.page) ?? null));
    const bindings = [`s-${looks.scheme}`, ...looks.bearers.map(id => `b-${id}`)].join(' ');
    const cells = groups.map(
      ({ options }, g) =>
        `<section class="g" style="grid-template-columns:repeat(${wide ? 2 : 3},minmax(0,1fr))"><h2></h2>${options
          .map(
            ({ chosen, markup }, i) =>
              `<div class="o" role="button" tabindex="0" data-group="${g}" data-option="${i}" aria-pressed="${chosen}"><header></header><div class="s page-box ${bindings}" inert><div${wide ? ' style="zoom:.5"' : ''}>${markup ? printHtml(markup) : ''}</div></div></div>`,
          )
          .join('')}</section>`,
    );
    const focused = document.activeElement?.getAttribute('data-option');
    const inGroup = document.activeElement?.getAttribute('data-group');
    const { scrollY } = document.defaultView ?? { scrollY: 0 };
    document.body.innerHTML = cells.join('');
    // Names are the site's own words: they go in as text.
    for (const [g, section] of [...document.querySelectorAll('.g')].entries()) {
      const group = groups[g];
      const heading = section.querySelector('h2');
      if (heading && group) heading.textContent = group.label;
      for (const [i, cell] of [...section.querySelectorAll('.o')].entries()) {
        const option = group?.options[i];
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
  useEffect(draw, [looks]);

  return (
    <Sheet wide title={title} about={about} onClose={onClose}>
      {groups.length === 0 ? (
        <p className="text-muted">There are no ready-made looks for this.</p>
      ) : (
        <div className="h-[68vh]">
          <ScaledFrame
            title="Looks"
            width={Math.min(1180, viewportOf(site).wide)}
            onReady={(document: Document, view: View) => {
              frame.current = {
                document,
                engine: new StyleEngine(document, view, 'canvas', session.id, OURS),
              };
              draw();
              const takeAt = (event: Event) => {
                const cell =
                  event.target instanceof view.Element ? event.target.closest<HTMLElement>('.o') : null;
                const option =
                  now.current[Number(cell?.dataset.group)]?.options[Number(cell?.dataset.option)];
                if (option) take.current(option);
              };
              document.addEventListener('click', event => {
                event.preventDefault();
                takeAt(event);
              });
              document.addEventListener('keydown', event => {
                if (event.key !== 'Enter' && event.key !== ' ') return;
                event.preventDefault();
                takeAt(event);
              });
              return () => {
                frame.current = null;
              };
            }}
          />
        </div>
      )}
    </Sheet>
  );
}
