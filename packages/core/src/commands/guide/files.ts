import { namesTaken, uniqueName } from '../../lists/index.ts';
import { usersOf } from '../../reach/index.ts';
import {
  type AssetFacts,
  type DrawingRecord,
  type Edit,
  editOf,
  type FontFacts,
  type Id,
  keysBetween,
  newId,
  putRecord,
  removeRecord,
  type Site,
} from '../../site/index.ts';
import { lastKey } from '../order/order.ts';

/** Puts a kept picture or file down as the site’s; one that is there already stays as it is. */
export function addAsset(site: Site, facts: AssetFacts, name: string, alt = ''): { edits: Edit[]; id: Id } {
  for (const it of site.kinds.asset.values()) if (it.file === facts.file) return { id: it.id, edits: [] };
  const id = newId('i');
  return { id, edits: [putRecord({ id, kind: 'asset', name, alt, ...facts })] };
}

/** Shows another picture wherever one is used: its name, words and all that is said of how it is shown stay. */
export const replaceAsset = (site: Site, id: Id, { file, mime, width, height }: AssetFacts): Edit[] => {
  const asset = site.kinds.asset.get(id);
  if (!asset) return [];
  const edit = editOf(asset);
  return [
    edit.set('file', file),
    edit.set('mime', mime),
    edit.set('width', width),
    edit.set('height', height),
  ];
};

/** Takes a picture or file away that nothing uses; nothing where something does. */
export const removeAsset = (site: Site, id: Id): Edit[] =>
  site.kinds.asset.has(id) && usersOf(site, id).length === 0 ? [removeRecord(id)] : [];

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
