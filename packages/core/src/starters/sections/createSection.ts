import { beginningOf, placeAt } from '../../commands/pages/structure.ts';
import { type Content, isRichText } from '../../content/index.ts';
import {
  type Area,
  byOrder,
  type Edit,
  elementOfArea,
  type Id,
  keysBetween,
  newId,
  picturesOf,
  putRecord,
  type SchemeRecord,
  type Site,
  settingsOf,
} from '../../site/index.ts';
import { elementNamed } from '../../widgets/index.ts';
import { HOME, PICTURE, type SectionStarter, SITE_NAME, type Sketch, type Tone } from './sketch.ts';

/** A scheme of the site for a tone; none where the site has no such one, so that the section stands on the page's. */
function schemeFor(site: Site, tone: Tone): Id | null {
  if (tone === 'plain') return null;
  const { defaultScheme } = settingsOf(site);
  const others = [...site.kinds.scheme.values()].sort(byOrder).filter(it => it.id !== defaultScheme);
  const of = (face: SchemeRecord['face']) => others.find(it => it.face === face)?.id ?? null;
  return tone === 'strong' ? of('dark') : of('light');
}

/** Variants of an element by their names, those that the guide has. */
function variantsNamed(site: Site, element: string, look: Sketch['look'] = {}): Record<string, Id> {
  const all = [...site.kinds.variant.values()].filter(it => it.element === element);
  return Object.fromEntries(
    Object.entries(look).flatMap(([axis, name]) => {
      const found = all.find(it => it.axis === axis && it.name.toLowerCase() === name.toLowerCase());
      return found ? [[axis, found.id]] : [];
    }),
  );
}

/** What new ones of its kind begin with, under what the sketch itself asks for. */
function dressed(site: Site, element: string, look: Sketch['look']) {
  const { variants, wears } = beginningOf(site, element);
  return { variants: { ...variants, ...variantsNamed(site, element, look) }, wears, styles: {} };
}

/** Words in which the site is called by its name. */
const named = (words: string, site: string): string => words.replaceAll(SITE_NAME, site);

/** Lays widgets into something, each with all it holds, in the looks of the site's guide and with its pictures. */
export function createSketches(site: Site, sketches: readonly Sketch[], parent: Id): Edit[] {
  const { home, name } = settingsOf(site);
  const pictures = picturesOf(site).map(it => it.id);
  let shown = 0;
  const filled = (value: Content): Content => {
    if (value === PICTURE) return pictures[shown++ % Math.max(1, pictures.length)] ?? null;
    if (value === HOME) return { type: 'page', page: home };
    // In words only: what they stand in is otherwise as it was sketched.
    if (typeof value === 'string') return named(value, name);
    return isRichText(value)
      ? value.map(line => line.map(run => ({ ...run, text: named(run.text, name) })))
      : value;
  };
  const puts: Edit[] = [];
  const lay = (some: readonly Sketch[], into: Id) => {
    const orders = keysBetween(null, null, some.length);
    for (const [i, { widget, look, content, holds = [] }] of some.entries()) {
      const id = newId('w');
      const words = content ?? elementNamed(widget).begins;
      puts.push(
        putRecord({
          id,
          kind: 'widget',
          widget,
          at: { parent: into, order: orders[i] ?? 'V' },
          content: Object.fromEntries(Object.entries(words).map(([field, value]) => [field, filled(value)])),
          ...dressed(site, widget, look),
        }),
      );
      lay(holds, id);
    }
  };
  lay(sketches, parent);
  return puts;
}

/** Lays a ready section on a page, or into an area that pages share; `index` is its place among the sections. */
export function createSection(
  site: Site,
  parent: Id,
  index: number,
  starter: Pick<SectionStarter, 'label' | 'tone' | 'look' | 'holds'>,
  area: Area = 'main',
): { edits: Edit[]; id: Id } {
  const id = newId('s');
  const { order, rekeyed } = placeAt(site, parent, index, null);
  return {
    id,
    edits: [
      ...rekeyed,
      putRecord({
        id,
        kind: 'section',
        area,
        name: starter.label,
        at: { parent, order },
        scheme: schemeFor(site, starter.tone),
        rebind: {},
        ...dressed(site, elementOfArea(area).name, starter.look),
      }),
      ...createSketches(site, starter.holds, id),
    ],
  };
}
