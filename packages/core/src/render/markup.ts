import { childScope, holderOf, pageScope, type Scope, sourcesOf, speaksOf } from '../cascade/index.ts';
import type { Content } from '../content/index.ts';
import { LIMITS } from '../limits/index.ts';
import {
  AREAS,
  type Area,
  contentReferences,
  elementOfNode,
  getRecord,
  type Id,
  isNode,
  type NodeRecord,
  nodesUnder,
  SETTINGS,
  type SectionRecord,
  type Site,
  sectionsOf,
  showsArea,
  type WidgetRecord,
} from '../site/index.ts';
import {
  CHILDREN,
  type ElementType,
  elementNamed,
  type Held,
  isItem,
  type MadeItem,
  partOf,
  presetNamesOf,
  pseudosOf,
  type VElement,
  type VNode,
} from '../widgets/index.ts';
import type { HtmlElement, HtmlNode } from './html.ts';
import { type MarkupOptions, markupContext, SAMPLE } from './markupContext.ts';
import { partClass } from './names.ts';
import { withSamplePicture } from './samplePicture.ts';
import { CannotRender } from './unrenderable.ts';

/** Classes of a part's element: its own and its pseudo-elements', and one for each source that has something to say of them. */
export function classesOf(site: Site, scope: Scope, carrier: string): string[] {
  const sources = sourcesOf(site, scope).filter(it => it.on);
  return [carrier, ...pseudosOf(scope.element, carrier)].flatMap(part => {
    const { pseudo } = partOf(scope.element, part) ?? {};
    // A part's element is known by its class; its pseudo-elements need theirs only where something is said of them.
    const classes = new Set(pseudo === undefined ? [partClass(scope.element.name, part)] : []);
    for (const source of sources) {
      if (pseudo === undefined && source.className === scope.element.name) continue;
      for (const name of source.byKind ? presetNamesOf(scope.element, part) : [part])
        if (speaksOf(site, source, name)) classes.add(partClass(source.className, name, pseudo));
    }
    return [...classes];
  });
}

/** Classes that bind roles and tokens at the element that wears a scheme or rebinds. */
export function bindingClasses(
  record: { id: Id; scheme: Id | null; rebind: object },
  inEffect: Id,
): string[] {
  const rebinds = Object.keys(record.rebind).length > 0;
  return [...(record.scheme || rebinds ? [`s-${inEffect}`] : []), ...(rebinds ? [`b-${record.id}`] : [])];
}

/** The same of a section where it stands; one that lies over another is bound as that is. */
const bindingOf = (section: SectionRecord, { scheme, over }: Scope): string[] =>
  bindingClasses(over ? { ...section, scheme } : section, scheme);

const USED: ReadonlySet<string> = new Set(['a', 'button', 'input', 'select', 'textarea', 'summary']);

type Said = Readonly<Record<string, Content>>;
/** Which of the things held are asked for: those that have a view, those of which the content answers. */
interface Asked {
  view?: string;
  where?(content: Said): boolean;
}
const ALL: Asked = {};

/** Fills in classes and children; widget code never sees either. */
function dress(
  site: Site,
  scope: Scope,
  options: MarkupOptions,
  said: Said,
  root: VElement,
  children: (asked: Asked) => HtmlNode[],
): HtmlElement {
  const classes = new Map<string, string>();
  const classText = (part: string) => {
    let text = classes.get(part);
    if (text === undefined) {
      text = classesOf(site, scope, part).join(' ');
      classes.set(part, text);
    }
    return text;
  };
  const { node } = scope;
  const marked = node ?? (isItem(scope.element) ? holderOf(scope)?.node : null);
  const visit = (it: VElement, isRoot: boolean): HtmlElement => {
    const binding = isRoot && node?.kind === 'section' ? bindingOf(node, scope) : [];
    const own = it.part === undefined ? null : [classText(it.part), ...binding].join(' ');
    const attrs: Record<string, string | number | true | null | undefined> = { class: own, ...it.attrs };
    if (isRoot && node?.kind === 'section' && isLinked(site, node.id)) attrs.id = `s-${node.id}`;
    if (options.marks && it.part !== undefined) {
      attrs['data-part'] = it.part;
      if (marked) attrs['data-node'] = marked.id;
    }
    if (options.noTabStops && (USED.has(it.tag) || attrs.tabindex === 0)) attrs.tabindex = -1;
    return {
      tag: it.tag,
      attrs,
      children: it.children.flatMap(inner),
    };
  };
  const inner = (child: VNode): HtmlNode[] => {
    if (child === CHILDREN) return children(ALL);
    if (typeof child === 'string') return [child];
    if ('neighbour' in child) return [neighbourGround(site, scope, child.neighbour)];
    if ('items' in child) return children({ view: child.items });
    if ('where' in child) return children(child);
    if ('item' in child) return renderMade(site, scope, options, said, child);
    if ('each' in child)
      return children(ALL).map((held, index) => ({ ...visit(child.each(index), false), children: [held] }));
    return [visit(child, false)];
  };
  return visit(root, true);
}

/** An empty box that wears what the section above or below wears, so that its ground shows; else the page's. */
function neighbourGround(site: Site, scope: Scope, side: 'above' | 'below'): HtmlElement {
  const { page, node } = scope;
  let outer = scope;
  while (outer.parent) outer = outer.parent.scope;
  const beside = page && node ? sectionBeside(site, page.id, node.id, side) : undefined;
  const its = beside && page ? childScope(pageScope(site, page), beside) : outer;
  const bearer = beside ?? page;
  // It stands in a section with a scheme of its own, so what is in effect at the neighbour is said in any case.
  const binding = bearer ? bindingClasses({ ...bearer, scheme: its.scheme }, its.scheme) : [];
  return {
    tag: 'div',
    attrs: { class: [...classesOf(site, its, 'box'), ...binding].join(' ') },
    children: [],
  };
}

/** The section that shows right above or below one on a page, over the borders of areas. */
export function sectionBeside(
  site: Site,
  page: Id,
  section: Id,
  side: 'above' | 'below',
): SectionRecord | undefined {
  const shown = AREAS_DOWN.flatMap(area => sectionsIn(site, page, area));
  const index = shown.findIndex(it => it.id === section);
  return index < 0 ? undefined : shown[index + (side === 'above' ? -1 : 1)];
}

const linked = new WeakMap<Site['kinds']['widget'], Set<Id>>();
/** Whether some link leads into this section, so that it needs a name in the page. */
export function isLinked(site: Site, section: Id): boolean {
  let targets = linked.get(site.kinds.widget);
  if (!targets) {
    targets = new Set();
    for (const widget of site.kinds.widget.values())
      for (const to of sectionsLinkedFrom(widget)) targets.add(to);
    linked.set(site.kinds.widget, targets);
  }
  return targets.has(section);
}

const linkedFrom = new WeakMap<WidgetRecord, readonly Id[]>();
function sectionsLinkedFrom(widget: WidgetRecord): readonly Id[] {
  let found = linkedFrom.get(widget);
  if (!found) {
    found = contentReferences(widget).flatMap(({ to, kinds }) => (kinds.includes('section') ? [to] : []));
    linkedFrom.set(widget, found);
  }
  return found;
}

/** A section or widget with all it holds, or one view of an item. */
export function renderNode(
  site: Site,
  outer: Scope,
  node: NodeRecord,
  options: MarkupOptions,
  { view, index }: { view?: string | undefined; index?: number } = {},
): HtmlElement {
  const scope = childScope(outer, node);
  const content = saidOf(node);
  try {
    const root = makeMarkup(scope.element, view)?.(
      content,
      markupContext(site, scope, options, {
        holdsAny: nodesUnder(site, node.id).length > 0,
        holder: saidOf(outer.node),
        index: () => index ?? nodesUnder(site, node.at.parent).indexOf(node.id),
      }),
    );
    if (!root) throw new Error(`${scope.element.name} makes no markup`);
    return dress(site, scope, options, content, root, asked =>
      renderChildren(site, scope, node.id, options, asked),
    );
  } catch (error) {
    // Told with what is at fault: the innermost, since what holds it fails for its sake.
    if (error instanceof CannotRender) throw error;
    throw new CannotRender(node, error instanceof Error ? error : new Error(String(error)));
  }
}

const saidOf = (node: NodeRecord | null): Said => (node?.kind === 'widget' ? node.content : {});

const makeMarkup = ({ markup, views }: ElementType, view: string | undefined): ElementType['markup'] =>
  view === undefined ? markup : views?.[view];

/** An item that is made of what the site says: picked, it is a part of its holder. */
function renderMade(
  site: Site,
  outer: Scope,
  options: MarkupOptions,
  holder: Said,
  { item, key, content, holds }: MadeItem,
  instance = outer.node?.id ?? options.sample?.id ?? SAMPLE,
): HtmlElement[] {
  const element = elementNamed(item);
  const parent = { scope: outer, part: outer.element.holds ?? 'box' };
  const scope: Scope = { ...outer, element, node: null, variants: {}, wears: {}, parent };
  const made = `${instance}-${key}`;
  const root = element.markup?.(
    content,
    markupContext(site, scope, options, { holdsAny: holds.length > 0, holder, index: () => 0, made }),
  );
  if (!root) return [];
  const inner = () => holds.flatMap(it => renderMade(site, scope, options, content, it, made));
  return [dress(site, scope, options, content, root, inner)];
}

/** How many things stand around what is in a scope, itself among them. */
function depthOf(scope: Scope): number {
  let depth = 0;
  for (let at = scope.parent; at; at = at.scope.parent) depth++;
  return depth;
}

function renderChildren(
  site: Site,
  scope: Scope,
  parent: Id,
  options: MarkupOptions,
  { view, where }: Asked,
): HtmlElement[] {
  // What was stored deeper before there was a limit stays where it is, and is reported instead of shown.
  if (depthOf(scope) >= LIMITS.nesting) return [];
  return nodesUnder(site, parent).flatMap((id, index) => {
    const node = getRecord(site, id);
    if (!isNode(node) || where?.(saidOf(node)) === false) return [];
    if (view !== undefined && !makeMarkup(elementOfNode(node), view)) return [];
    return [renderNode(site, scope, node, options, { view, index })];
  });
}

/** A widget that is shown within another, in variants of its own. */
interface Shown extends Held {
  variants?: Readonly<Record<string, Id>>;
}

/**
 * What stands in an element that holds others while it is only shown. Of its items the parts can be picked, since they are
 * styled with it; of other widgets nothing.
 */
function sampleChildren(
  site: Site,
  scope: Scope,
  options: MarkupOptions,
  said: Said,
  holds: readonly Shown[],
  { view, where }: Asked,
): HtmlElement[] {
  const { element } = scope;
  const part = element.holds;
  if (part === null) return [];
  const longForm = scope.longForm || element.longForm === true;
  const of = options.sample?.id ?? SAMPLE;
  return holds.flatMap((held, index) => {
    const child = elementNamed(held.widget);
    if (view !== undefined && !makeMarkup(child, view)) return [];
    const content = withSamplePicture(site, child, { ...child.sample, ...held.content }, index);
    if (where?.(content) === false) return [];
    const parent = { scope, part };
    const { variants = {} } = held;
    const inner: Scope = { ...scope, element: child, node: null, variants, wears: {}, parent, longForm };
    const shown = {
      ...options,
      marks: options.marks && isItem(child),
      sample: { id: `${of}-${index}`, of, index },
    };
    const around = { holder: said, ...(view !== undefined && { view }) };
    return renderSample(site, inner, content, shown, held.holds, around) ?? [];
  });
}

const SAMPLE_HOLDS: readonly Held[] = [{ widget: 'button' }, { widget: 'button' }];

/** An element that stands on no page, with sample content. */
export function renderSample(
  site: Site,
  scope: Scope,
  content: Readonly<Record<string, Content>>,
  options: MarkupOptions,
  holds: readonly Shown[] = scope.element.sampleHolds ?? SAMPLE_HOLDS,
  { view, holder = {} }: { view?: string; holder?: Said } = {},
): HtmlElement | null {
  const root = makeMarkup(scope.element, view)?.(
    content,
    markupContext(site, scope, options, {
      holdsAny: holds.length > 0,
      holder,
      index: () => options.sample?.index ?? 0,
    }),
  );
  return root
    ? dress(site, scope, options, content, root, asked =>
        sampleChildren(site, scope, options, content, holds, asked),
      )
    : null;
}

/** What stands above and below each other; a sidebar stands beside. */
const AREAS_DOWN = AREAS.filter(area => area !== 'sidebar');

/** Sections of an area as they show on a page: its own, or else those it shares with others. */
export function sectionsIn(site: Site, page: Id, area: Area): SectionRecord[] {
  const record = site.kinds.page.get(page);
  if (record && !showsArea(record, area)) return [];
  const own = sectionsOf(site, page, area);
  return area === 'main' || own.length > 0 ? own : sectionsOf(site, SETTINGS, area);
}
