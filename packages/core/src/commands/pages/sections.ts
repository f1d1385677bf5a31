import { fail, ok, type Result } from '../../result/index.ts';
import {
  type Edit,
  editOf,
  getRecord,
  type Id,
  newId,
  nodesUnder,
  putRecord,
  removeRecord,
  type SectionRecord,
  type Site,
} from '../../site/index.ts';
import { moveNodes } from './several.ts';
import { type Made, placeAt } from './structure.ts';

const sectionOf = (site: Site, id: Id): SectionRecord | null => {
  const record = getRecord(site, id);
  return record?.kind === 'section' ? record : null;
};

/**
 * Parts a section before a widget that stands directly in it: that one and all behind it come to stand in a section of their
 * own right below, which looks like the first.
 */
export function splitSection(site: Site, widget: Id): Result<Made> {
  const record = site.kinds.widget.get(widget);
  const section = record && sectionOf(site, record.at.parent);
  const inside = section ? nodesUnder(site, section.id) : [];
  const index = inside.indexOf(widget);
  if (!record || !section || index <= 0)
    return fail({
      code: 'nothing-to-split',
      message: 'A section is split before something that stands in it, behind something else.',
      record: widget,
    });
  const { parent } = section.at;
  const { order, rekeyed } = placeAt(site, parent, nodesUnder(site, parent).indexOf(section.id) + 1, null);
  const below: SectionRecord = { ...section, id: newId('s'), at: { parent, order } };
  const moved = inside.slice(index).flatMap((id): Edit[] => {
    const node = site.kinds.widget.get(id);
    return node ? [editOf(node).set('at', { ...node.at, parent: below.id })] : [];
  });
  return ok({ id: below.id, edits: [...rekeyed, putRecord(below), ...moved] });
}

/** Whether sections stand in one row, each right below the other. */
function inRow(site: Site, sections: readonly SectionRecord[]): SectionRecord[] | null {
  const [one] = sections;
  if (!one || sections.length < 2) return null;
  const siblings = nodesUnder(site, one.at.parent);
  const sorted = [...sections].sort((a, b) => siblings.indexOf(a.id) - siblings.indexOf(b.id));
  const first = siblings.indexOf(sorted[0]?.id ?? '');
  return sorted.every((it, i) => siblings[first + i] === it.id && it.area === one.area) ? sorted : null;
}

/** Makes one section of several that stand right below each other: the first keeps its looks, and takes all that stands in the others. */
export function joinSections(site: Site, ids: readonly Id[]): Result<Made> {
  const sections = ids.map(id => sectionOf(site, id));
  const row = sections.every(it => it !== null) ? inRow(site, sections) : null;
  const [first, ...others] = row ?? [];
  if (!first)
    return fail({
      code: 'nothing-to-join',
      message: 'Select sections that stand right below each other.',
    });
  const moved = others.flatMap(it => nodesUnder(site, it.id));
  const there = nodesUnder(site, first.id).length;
  const edits = moved.length === 0 ? ok<Edit[]>([]) : moveNodes(site, moved, first.id, there);
  if (!edits.ok) return edits;
  return ok({ id: first.id, edits: [...edits.value, ...others.map((it): Edit => removeRecord(it.id))] });
}
