import { namesTaken, uniqueName } from '../../lists/index.ts';
import {
  type AssetFacts,
  type DrawingRecord,
  type Edit,
  type FontFacts,
  type Id,
  keysBetween,
  newId,
  putRecord,
  type Site,
} from '../../site/index.ts';
import { lastKey } from '../order/order.ts';

/** Puts a kept picture or file down as the site’s; one that is there already stays as it is. */
export function addAsset(site: Site, facts: AssetFacts, name: string): { edits: Edit[]; id: Id } {
  for (const it of site.kinds.asset.values()) if (it.file === facts.file) return { id: it.id, edits: [] };
  const id = newId('i');
  return { id, edits: [putRecord({ id, kind: 'asset', name, alt: '', ...facts })] };
}

/** Puts a kept font down as the site’s; nothing where it is there already. */
export const addFont = (site: Site, facts: FontFacts): Edit[] =>
  [...site.kinds.font.values()].some(it => it.file === facts.file)
    ? []
    : [putRecord({ id: newId('f'), kind: 'font', category: 'sans', ...facts })];

/** A drawing before it is part of a guide. */
export type NewDrawing = Omit<DrawingRecord, 'id' | 'kind' | 'order'>;

/** Drawings, in the order in which they are given, last in the list. */
export function addDrawings(site: Site, drawings: readonly NewDrawing[]): Edit[] {
  const names = namesTaken(site.kinds.drawing.values());
  const orders = keysBetween(lastKey(site.kinds.drawing.values()), null, drawings.length);
  return drawings.map((it, i) =>
    putRecord({
      ...it,
      id: newId('g'),
      kind: 'drawing',
      name: uniqueName(it.name, names),
      order: orders[i] ?? 'V',
    }),
  );
}
