import {
  elementOfNode,
  firstPart,
  getRecord,
  type Id,
  isNode,
  nodeScope,
  pagesInOrder,
  type Site,
  settingsOf,
  viewportOf,
} from '@cove/core';
import { useState } from 'react';
import type { Subject } from '../bench/subject.ts';
import { Canvas } from '../onPage/Canvas.tsx';
import type { Picked } from '../onPage/useSelection.ts';
import { Choice } from '../ui/Choice.tsx';
import { Select } from '../ui/Select.tsx';

const WIDTHS = ['wide', 'medium', 'narrow'] as const;

/** A page of the site while its guide is edited; a click on a thing there lands on the rule that dresses it. */
export function PageInView({ site, onSubject }: { site: Site; onSubject(subject: Subject): void }) {
  const pages = pagesInOrder(site);
  const [page, setPage] = useState<Id>(settingsOf(site).home);
  const [px, setPx] = useState(viewportOf(site).wide);
  const [picked, setPicked] = useState<Picked | null>(null);
  const shown = pages.some(it => it.id === page) ? page : settingsOf(site).home;
  const pick = (hit: Picked | null) => {
    const node = hit && getRecord(site, hit.node);
    if (!hit || !isNode(node)) {
      setPicked(hit && hit.node === shown ? hit : null);
      if (hit && hit.node === shown)
        onSubject({
          type: 'element',
          element: 'page',
          variants: [],
          scheme: settingsOf(site).defaultScheme,
          target: null,
          part: 'box',
          state: 'rest',
          width: 'wide',
        });
      return;
    }
    const element = elementOfNode(node);
    // The first click picks the element as a whole, a further one the part under the pointer.
    const part = picked?.node === hit.node ? hit.part : firstPart(element);
    setPicked({ node: hit.node, part });
    const variants = element.axes.flatMap(axis => node.variants[axis] ?? []);
    onSubject({
      type: 'element',
      element: element.name,
      variants,
      scheme: nodeScope(site, shown, hit.node)?.scheme ?? settingsOf(site).defaultScheme,
      target: variants.at(-1) ?? null,
      part,
      state: 'rest',
      width: 'wide',
    });
  };
  return (
    <>
      <div className="flex h-9 items-center gap-4 border-b border-hair px-3">
        <Select
          hideLabel
          label="Page in view"
          value={shown}
          options={pages.map(it => ({ value: it.id, label: it.title }))}
          onChange={id => {
            setPage(id);
            setPicked(null);
          }}
        />
        <Choice<(typeof WIDTHS)[number]>
          label="Width of the page"
          value={WIDTHS.find(it => viewportOf(site)[it] === px) ?? 'wide'}
          options={WIDTHS.map(it => ({ value: it, label: it.charAt(0).toUpperCase() + it.slice(1) }))}
          onChange={width => setPx(viewportOf(site)[width])}
        />
        <span className="truncate text-muted">Click anything to edit the rule that styles it.</span>
      </div>
      <Canvas
        key={shown}
        page={shown}
        width={px}
        onWidth={setPx}
        at="wide"
        picked={picked}
        state="rest"
        box={null}
        onPick={pick}
        onMove={null}
        onAddSection={null}
        onRich={() => {}}
        mayWrite={false}
        parted={null}
      />
    </>
  );
}
