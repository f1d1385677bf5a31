import type { State } from '../slots/index.ts';
import { accordionEntry } from './accordion/entry.ts';
import { accordion } from './accordion/index.ts';
import { audio } from './audio/index.ts';
import { button } from './button/index.ts';
import { buttonRow } from './buttonRow/index.ts';
import { callout } from './callout/index.ts';
import { card } from './cards/card.ts';
import { cards } from './cards/index.ts';
import { column } from './column/index.ts';
import { divider } from './divider/index.ts';
import { download } from './download/index.ts';
import { embed } from './embed/index.ts';
import { feature } from './feature/index.ts';
import { fieldChoice } from './field/choice.ts';
import { field } from './field/index.ts';
import { figure } from './figures/figure.ts';
import { figures } from './figures/index.ts';
import { form } from './form/index.ts';
import { gallery } from './gallery/index.ts';
import { galleryPicture } from './gallery/picture.ts';
import { group } from './group/index.ts';
import { heading } from './heading/index.ts';
import { helpEntry } from './help/entry.ts';
import { help } from './help/index.ts';
import { icon } from './icon/index.ts';
import { ELEMENT_FAMILIES, type ElementFamily, type ElementType, type Part } from './kit/element.ts';
import { listItem } from './list/entry.ts';
import { list } from './list/index.ts';
import { longText } from './longText/index.ts';
import { map } from './map/index.ts';
import { navigationEntry } from './navigation/entry.ts';
import { navigation } from './navigation/index.ts';
import { notice } from './notice/index.ts';
import { page } from './page/index.ts';
import { pageList } from './pageList/index.ts';
import { picture } from './picture/index.ts';
import { pictureText } from './pictureText/index.ts';
import { preformatted } from './preformatted/index.ts';
import { quote } from './quote/index.ts';
import { footer, header, section, sidebar } from './section/index.ts';
import { siteTitle } from './siteTitle/index.ts';
import { slides } from './slides/index.ts';
import { slide } from './slides/slide.ts';
import { socialLinks } from './socialLinks/index.ts';
import { socialLink } from './socialLinks/link.ts';
import { space } from './space/index.ts';
import { steps } from './steps/index.ts';
import { step } from './steps/step.ts';
import { table } from './table/index.ts';
import { tableRow } from './table/row.ts';
import { tabs } from './tabs/index.ts';
import { tab } from './tabs/tab.ts';
import { testimonials } from './testimonials/index.ts';
import { testimonial } from './testimonials/testimonial.ts';
import { text } from './text/index.ts';
import { video } from './video/index.ts';

export { CONVERSIONS, type Conversion, type Match } from './conversions.ts';
export {
  ELEMENT_FAMILIES,
  type ElementFamily,
  type ElementType,
  type Held,
  type Part,
} from './kit/element.ts';
export {
  CHILDREN,
  type EachChild,
  h,
  type ItemViews,
  type ListedPage,
  type MadeItem,
  type MarkupContext,
  type NeighbourGround,
  type PageBranch,
  type SomeChildren,
  type VElement,
  type VNode,
} from './kit/markup.ts';

/** What can be placed on a page. */
export const WIDGETS: readonly ElementType[] = [
  heading,
  text,
  longText,
  list,
  listItem,
  quote,
  callout,
  feature,
  cards,
  card,
  testimonials,
  testimonial,
  figures,
  figure,
  map,
  table,
  tableRow,
  preformatted,
  button,
  buttonRow,
  download,
  notice,
  form,
  field,
  fieldChoice,
  picture,
  pictureText,
  gallery,
  galleryPicture,
  video,
  audio,
  embed,
  icon,
  divider,
  space,
  group,
  column,
  accordion,
  accordionEntry,
  tabs,
  tab,
  slides,
  slide,
  help,
  helpEntry,
  steps,
  step,
  siteTitle,
  navigation,
  navigationEntry,
  pageList,
  socialLinks,
  socialLink,
];
/** Everything that has a default. */
export const ELEMENTS: readonly ElementType[] = [page, ...WIDGETS, section, header, sidebar, footer];

const BY_NAME = new Map(ELEMENTS.map(element => [element.name, element]));
const WIDGET_NAMES = new Set(WIDGETS.map(widget => widget.name));

export const familyLabel = (family: ElementFamily): string =>
  ELEMENT_FAMILIES.find(it => it.name === family)?.label ?? family;

export const maybeElement = (name: string): ElementType | undefined => BY_NAME.get(name);
export function elementNamed(name: string): ElementType {
  const element = BY_NAME.get(name);
  if (!element) throw new Error(`no element ${name}`);
  return element;
}
export const isWidget = (name: string): boolean => WIDGET_NAMES.has(name);

/** Whether it can only live in a holder, which has a say in how it looks. */
export const isItem = (element: ElementType): boolean => element.onlyIn !== undefined;
/** Whether an element can hold a widget. */
export const canAccept = (holder: ElementType, widget: ElementType): boolean =>
  holder.holds !== null &&
  (holder.accepts ? holder.accepts.includes(widget.name) : !isItem(widget)) &&
  (widget.onlyIn?.includes(holder.name) ?? true);
const items = new Map<ElementType, readonly ElementType[]>();
/** The items that stand in an element, and those that stand in these in turn; none for an item, of which its holder speaks. */
export function itemsOf(element: ElementType): readonly ElementType[] {
  const known = items.get(element);
  if (known) return known;
  const found = new Set<ElementType>();
  const visit = (names: readonly string[]) => {
    for (const item of names.map(elementNamed))
      if (!found.has(item)) {
        found.add(item);
        visit(item.accepts ?? []);
      }
  };
  if (!isItem(element)) visit(element.accepts ?? []);
  items.set(element, [...found]);
  return [...found];
}

/** Parts of its own, the outermost first. */
export const partNames = (element: ElementType): string[] => Object.keys(element.parts);
/** Parts that can be styled where the element is: its own, and those of its items. */
export const styledParts = (element: ElementType): string[] =>
  [element, ...itemsOf(element)].flatMap(partNames);
export const firstPart = (element: ElementType): string => partNames(element)[0] ?? 'box';

/** The element whose part it is: itself, or one of its items. */
export const ownerOf = (element: ElementType, name: string): ElementType =>
  Object.hasOwn(element.parts, name)
    ? element
    : (itemsOf(element).find(item => Object.hasOwn(item.parts, name)) ?? element);
export function partOf(element: ElementType, name: string): Part | undefined {
  const { parts } = ownerOf(element, name);
  return Object.hasOwn(parts, name) ? parts[name] : undefined;
}

const NO_NAMES: readonly string[] = [];
const presetNames = new WeakMap<Part, readonly string[]>();
/** The names under which presets speak of a part: its kind, and what it is in a ground or in a treatment. */
export function presetNamesOf(element: ElementType, name: string): readonly string[] {
  const part = partOf(element, name);
  if (!part) return NO_NAMES;
  let names = presetNames.get(part);
  if (!names) {
    names = part.as === undefined || part.as === part.kind ? [part.kind] : [part.kind, part.as];
    presetNames.set(part, names);
  }
  return names;
}

/** The part whose pointer and focus decide the state of a part, or whose being open or chosen does. */
export function hostOf(element: ElementType, name: string, state?: State): string {
  const part = partOf(element, name);
  if (state === 'selected' && part?.selectedWith !== undefined) return part.selectedWith;
  return part?.host ?? firstPart(ownerOf(element, name));
}
/** The part whose element carries the classes of a part: its own, or that of which it is a pseudo-element. */
export const carrierOf = (element: ElementType, name: string): string => {
  const part = partOf(element, name);
  return (part?.pseudo && part.inside) ?? name;
};
/** Pseudo-elements that a part's element carries. */
export const pseudosOf = (element: ElementType, carrier: string): string[] =>
  partNames(element).filter(name => name !== carrier && carrierOf(element, name) === carrier);

/** Whether a part shows to keys what it shows under a pointer: its host is no control, and has no look of its own for the focus. */
export function hoversByKeys(element: ElementType, name: string): boolean {
  const { byTouch, states = [] } = partOf(element, hostOf(element, name)) ?? {};
  return byTouch === true && !states.includes('focus');
}

/** States a part can show: those of its hosts. */
export function statesOf(element: ElementType, name: string): readonly State[] {
  const states = partOf(element, hostOf(element, name))?.states ?? [];
  if (partOf(element, name)?.selectedWith === undefined || states.includes('selected')) return states;
  return [...states, 'selected'];
}
