import { placeAt } from '../../commands/structure.ts';
import {
  byOrder,
  type Content,
  type Edit,
  type Id,
  keysBetween,
  newId,
  type SchemeRecord,
  type Site,
  settingsOf,
} from '../../site/index.ts';
import { elementNamed } from '../../widgets/index.ts';
import { HOME, PICTURE, type SectionStarter, type Sketch, type Tone } from './sketch.ts';

/** A scheme of the site for a tone; none where the site has no such one, so that the section stands on the page's. */
function schemeFor(site: Site, tone: Tone): Id | null {
  if (tone === 'plain') return null;
  const { defaultScheme } = settingsOf(site);
  const others = [...site.kinds.scheme.values()].sort(byOrder).filter(it => it.id !== defaultScheme);
  const of = (face: SchemeRecord['face']) => others.find(it => it.face === face)?.id ?? null;
  return tone === 'strong' ? of('dark') : of('light');
}

/** Variants of an element by their names, those that the guide has. */
function variantsNamed(site: Site, element: string, look: Sketch['look'] = {}): Readonly<Record<string, Id>> {
  const all = [...site.kinds.variant.values()].filter(it => it.element === element);
  return Object.fromEntries(
    Object.entries(look).flatMap(([axis, name]) => {
      const found = all.find(it => it.axis === axis && it.name.toLowerCase() === name.toLowerCase());
      return found ? [[axis, found.id]] : [];
    }),
  );
}

/** Lays a ready section on a page, in the looks of the site's guide and with its pictures; `index` is its place among the sections. */
export function laySection(
  site: Site,
  page: Id,
  index: number,
  starter: SectionStarter,
): { edits: Edit[]; id: Id } {
  const { home } = settingsOf(site);
  const pictures = [...site.kinds.asset.keys()];
  let shown = 0;
  const filled = (value: Content): Content => {
    if (value === PICTURE) return pictures[shown++ % Math.max(1, pictures.length)] ?? null;
    return value === HOME ? { type: 'page', page: home } : value;
  };
  const puts: Edit[] = [];
  const lay = (sketches: readonly Sketch[], parent: Id) => {
    const orders = keysBetween(null, null, sketches.length);
    for (const [i, { widget, look, content, holds = [] }] of sketches.entries()) {
      const id = newId('w');
      const words = content ?? elementNamed(widget).sample;
      puts.push({
        op: 'put',
        record: {
          id,
          kind: 'widget',
          widget,
          at: { parent, order: orders[i] ?? 'V' },
          content: Object.fromEntries(Object.entries(words).map(([field, value]) => [field, filled(value)])),
          variants: variantsNamed(site, widget, look),
          wears: {},
          styles: {},
        },
      });
      lay(holds, id);
    }
  };
  const id = newId('s');
  const { order, rekeyed } = placeAt(site, page, index, null);
  lay(starter.holds, id);
  return {
    id,
    edits: [
      ...rekeyed,
      {
        op: 'put',
        record: {
          id,
          kind: 'section',
          area: 'main',
          name: starter.label,
          at: { parent: page, order },
          scheme: schemeFor(site, starter.tone),
          rebind: {},
          variants: variantsNamed(site, 'section', starter.look),
          wears: {},
          styles: {},
        },
      },
      ...puts,
    ],
  };
}
