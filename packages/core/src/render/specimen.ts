import { specimenScope } from '../cascade/index.ts';
import type { Content } from '../content/index.ts';
import { presetsOfUse, variantsOf } from '../guide/index.ts';
import { PRESET_USE_NAMES, PRESET_USES } from '../properties/index.ts';
import type { Id, Site } from '../site/index.ts';
import type { State, Width } from '../slots/index.ts';
import {
  ELEMENT_FAMILIES,
  ELEMENTS,
  type ElementType,
  elementNamed,
  hostOf,
  statesOf,
  styledParts,
} from '../widgets/index.ts';
import type { HtmlElement } from './html.ts';
import { classesOf, renderSample } from './markup.ts';
import type { MarkupOptions } from './markupContext.ts';
import { withSamplePicture } from './samplePicture.ts';

/** One row of the specimen: an element, in one variant of its first axis or in none. */
export interface SpecimenRow {
  id: string;
  label: string;
  element: ElementType;
  variants: Readonly<Record<string, Id>>;
  /** The preset that it is shown in; null for none. */
  preset: Id | null;
}

/** What stands at the head of a column; what it does not say is the site's own. */
export interface SpecimenColumn {
  id: string;
  label: string;
  scheme: Id;
  width: Width;
  state: State;
}

/** Axes that show wherever the element stands. */
const axesShown = ({ axes, longFormAxes = [] }: ElementType): string[] =>
  axes.filter(axis => !longFormAxes.includes(axis));

/** Presets that are made for a use, each worn by what shows it best. */
const presetRows = (site: Site, element: ElementType): SpecimenRow[] =>
  presetsOfUse(
    site,
    PRESET_USE_NAMES.filter(use => PRESET_USES[use].shownOn === element.name),
  ).map(({ id, name }) => ({ id: `preset.${id}`, label: name, element, variants: {}, preset: id }));

/**
 * Everything that has a look of its own: each element bare, then each variant of its first axis. What holds others is large,
 * so every variant of it has a row of its own and nothing stands beside it. Elements of one family stand together.
 */
export function specimenRows(site: Site): SpecimenRow[] {
  const shown = ELEMENT_FAMILIES.flatMap(({ name }) =>
    ELEMENTS.filter(it => it.family === name && it.markup),
  );
  return shown.flatMap((element): SpecimenRow[] => {
    const axes = element.holds === null ? axesShown(element).slice(0, 1) : element.axes;
    const rows = axes.flatMap(axis =>
      variantsOf(site, element.name, axis).map(variant => ({
        id: `${element.name}.${variant.id}`,
        label: variant.name,
        element,
        variants: { [axis]: variant.id },
        preset: null,
      })),
    );
    return [
      { id: element.name, label: element.label, element, variants: {}, preset: null },
      ...rows,
      ...presetRows(site, element),
    ];
  });
}

/** One of each variant of the further axes, beginning with none: what stands side by side in a cell. */
export function samplesIn(site: Site, row: SpecimenRow): Readonly<Record<string, Id>>[] {
  if (row.element.holds !== null || row.preset !== null) return [row.variants];
  return axesShown(row.element)
    .slice(1)
    .reduce<Readonly<Record<string, Id>>[]>(
      (combined, axis) => {
        const variants = variantsOf(site, row.element.name, axis);
        return combined.flatMap(it => [it, ...variants.map(variant => ({ ...it, [axis]: variant.id }))]);
      },
      [row.variants],
    );
}

/** What the site itself has of an element: in the same variants where there is one, else in any. */
function ownContent(
  site: Site,
  element: ElementType,
  variants: SpecimenRow['variants'],
): Readonly<Record<string, Content>> | null {
  const all = [...site.kinds.widget.values()].filter(it => it.widget === element.name);
  const wanted = Object.entries(variants);
  const same = all.find(it => wanted.every(([axis, id]) => it.variants[axis] === id));
  return (same ?? all[0])?.content ?? null;
}

/** What a sample holds: the site's own where that is asked for and there is some, else words and a picture to show it by. */
export function sampleContent(
  site: Site,
  element: ElementType,
  variants: SpecimenRow['variants'],
  words: 'sample' | 'own',
): Readonly<Record<string, Content>> {
  const own = words === 'own' ? ownContent(site, element, variants) : null;
  return own ?? withSamplePicture(site, element, element.sample, 0);
}

/** Viewport widths in px that the columns of the specimen stand for. */
export const viewportOf = (site: Site): Record<Width, number> => {
  const [settings] = [...site.kinds.settings.values()];
  const { mediumTo = 960, narrowTo = 600, fluidTo = 1280, fluidFrom = 360 } = settings ?? {};
  return {
    wide: Math.max(fluidTo, mediumTo + 1),
    medium: Math.round((mediumTo + narrowTo) / 2),
    narrow: Math.min(fluidFrom, narrowTo),
  };
};

/** An element by itself, or an item in a holder of its own, of which nothing can be picked. */
export function renderAlone(
  site: Site,
  element: ElementType,
  scheme: Id,
  variants: SpecimenRow['variants'],
  content: Readonly<Record<string, Content>>,
  options: MarkupOptions,
  preset: Id | null = null,
): HtmlElement | null {
  const [holder] = element.onlyIn ?? [];
  if (holder === undefined)
    return renderSample(site, specimenScope(element, scheme, variants, null, preset), content, options);
  const around = elementNamed(holder);
  const held = { widget: element.name, variants, content };
  const said = { ...around.sample, ...element.holderSample };
  const sample = renderSample(site, specimenScope(around, scheme, {}), said, options, [held]);
  const onlyItems = (it: HtmlElement): HtmlElement => {
    const part = it.attrs['data-part'];
    const isOwn = typeof part === 'string' && Object.hasOwn(element.parts, part);
    return {
      ...it,
      attrs: isOwn ? it.attrs : { ...it.attrs, 'data-part': null },
      children: it.children.map(child => (typeof child === 'string' ? child : onlyItems(child))),
    };
  };
  return sample && onlyItems(sample);
}

/** The element as it stands on a page that wears the column's scheme, in its width and state. */
export function renderCell(
  site: Site,
  row: SpecimenRow,
  column: SpecimenColumn,
  content: Readonly<Record<string, Content>>,
  assetUrl: (asset: { file: string }) => string,
): HtmlElement {
  const page = specimenScope(elementNamed('page'), column.scheme, {});
  const options: MarkupOptions = {
    marks: true,
    links: false,
    noTabStops: true,
    assetUrl,
    // What opens shows what is in it where that state is looked at.
    ...(column.state === 'selected' && { open: 'all' }),
  };
  const hosts = new Set(
    styledParts(row.element)
      .filter(part => statesOf(row.element, part).includes(column.state))
      .map(part => hostOf(row.element, part, column.state)),
  );
  const force = (it: HtmlElement): HtmlElement => ({
    ...it,
    attrs:
      typeof it.attrs['data-part'] === 'string' && hosts.has(it.attrs['data-part'])
        ? { ...it.attrs, 'data-state': column.state }
        : it.attrs,
    children: it.children.map(child => (typeof child === 'string' ? child : force(child))),
  });
  const samples = samplesIn(site, row).flatMap((variants, i) => {
    const shown = { ...options, sample: { id: `${row.id}-${column.id}-${i}` } };
    const sample = renderAlone(site, row.element, column.scheme, variants, content, shown, row.preset);
    if (!sample) return [];
    const forced = column.state === 'rest' ? sample : force(sample);
    return [{ ...forced, attrs: { ...forced.attrs, 'data-variants': Object.values(variants).join(' ') } }];
  });
  const classes = classesOf(site, page, 'box');
  return {
    tag: 'div',
    attrs: {
      class: ['cell', `s-${column.scheme}`, ...classes].join(' '),
      'data-width': column.width,
      'data-row': row.id,
      'data-column': column.id,
      style: `--vw:${viewportOf(site)[column.width] / 100}px`,
    },
    children: samples,
  };
}
