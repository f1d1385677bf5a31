import type { Content, RichText } from '../content/index.ts';
import {
  CHILDREN,
  type ElementType,
  elementNamed,
  type MarkupContext,
  type VElement,
  type VNode,
} from '../widgets/index.ts';

/** The elements from a root down to one, as they stand in each other. */
type Line = readonly VElement[];

const DRAWN = { width: 24, height: 24, paths: [] };
const PICTURE = { name: '', file: '', mime: 'image/webp', width: 1, height: 1, alt: '' };
/** Surroundings in which everything is there. */
const surroundings = (holder: Readonly<Record<string, Content>>): MarkupContext => ({
  href: () => '#',
  isCurrent: () => false,
  isAbove: () => false,
  asset: () => PICTURE,
  drawing: () => DRAWN,
  assetUrl: () => '',
  sources: () => null,
  speaks: () => true,
  responds: true,
  id: name => name,
  item: { holder, index: () => 0, openIndex: () => null, holderId: name => name },
  isOpen: false,
  holdsAny: true,
  phrase: name => name,
  siteName: '',
  logo: PICTURE,
  homeHref: '#',
  language: 'en',
  awayInNewTab: false,
  page: null,
  pages: () => [
    { id: 'any', title: '', href: '#', current: false, description: 'a', icon: 'any', picture: PICTURE },
  ],
});

const ANY_WORDS: RichText = [
  [
    { text: 'a', link: { type: 'url', href: 'https://any.example/' } },
    { text: 'b', code: true },
    { text: 'c', marked: true },
  ],
];

/** Contents that bring out all the parts of an element: its sample, and that with each choice made otherwise. */
function contentsOf({ content, sample, begins }: ElementType): Readonly<Record<string, Content>>[] {
  const full: Record<string, Content> = { ...begins, ...sample };
  for (const [name, { type }] of Object.entries(content)) {
    if (type === 'icon' || type === 'asset') full[name] ??= 'any';
    if (type === 'rich') full[name] = ANY_WORDS;
    if (type === 'cells') full[name] = { cells: [ANY_WORDS, ANY_WORDS, ANY_WORDS] };
  }
  const others = Object.entries(content).flatMap(([name, field]) =>
    field.type === 'choice'
      ? field.options.flatMap(option => [
          { ...full, [name]: option },
          { ...sample, [name]: option },
        ])
      : [],
  );
  return [full, sample, begins, ...others];
}

/** What is said around an element: of an item, all that its holders can say. */
const holdersOf = ({ onlyIn = [] }: ElementType): Readonly<Record<string, Content>>[] => [
  {},
  ...onlyIn.flatMap(it => contentsOf(elementNamed(it))),
];

const childrenOf = (node: VNode): readonly VNode[] => {
  if (typeof node !== 'object') return [];
  if ('each' in node) return [node.each(0), node.each(1)];
  return 'children' in node ? node.children : [];
};

/** Whether other widgets can come to stand within. */
const takesWidgets = (node: VNode): boolean =>
  node === CHILDREN ||
  (typeof node === 'object' &&
    ('items' in node ||
      'item' in node ||
      'where' in node ||
      'each' in node ||
      childrenOf(node).some(takesWidgets)));

const lines = new Map<ElementType, ReadonlyMap<string, readonly Line[]>>();

/** Where each part comes to stand. */
function linesOf(element: ElementType): ReadonlyMap<string, readonly Line[]> {
  const known = lines.get(element);
  if (known) return known;
  const found = new Map<string, Line[]>();
  const visit = (node: VNode, above: Line) => {
    if (typeof node !== 'object' || 'items' in node || 'item' in node || 'neighbour' in node) return;
    if ('where' in node) return;
    if ('each' in node) {
      for (const it of childrenOf(node)) visit(it, above);
      return;
    }
    const line = [...above, node];
    if (node.part !== undefined) {
      const there = found.get(node.part);
      if (there) there.push(line);
      else found.set(node.part, [line]);
    }
    for (const child of node.children) visit(child, line);
  };
  for (const holder of holdersOf(element))
    for (const content of contentsOf(element))
      for (const make of [element.markup, ...Object.values(element.views ?? {})])
        if (make) visit(make(content, surroundings(holder)), []);
  lines.set(element, found);
  return found;
}

/** Whether an element makes a part at all, in some content of its sample. */
export const makesPart = (element: ElementType, part: string): boolean => linesOf(element).has(part);

const chains = new Map<string, readonly string[]>();

/**
 * The ways from a part down to another within it, as selectors to be written between the two: child by child while other
 * widgets may stand beside, so that the same part of a widget further inside is not meant; then at any depth.
 */
export function chainsBetween(element: ElementType, outer: string, inner: string): readonly string[] {
  const key = `${element.name} ${outer} ${inner}`;
  const known = chains.get(key);
  if (known) return known;
  const found = new Set<string>();
  for (const line of linesOf(element).get(inner) ?? []) {
    const start = line.findLastIndex(it => it.part === outer);
    if (start < 0) continue;
    let text = '';
    for (const [i, at] of line.entries()) {
      if (i < start) continue;
      const next = line[i + 1];
      if (!next) break;
      if (!takesWidgets(at)) {
        text += ' ';
        break;
      }
      if (i === line.length - 2) text += '>';
      else text += `>${next.part === undefined ? next.tag : `.${element.name}-${next.part}`}`;
    }
    found.add(text);
  }
  const all = found.size === 0 ? [' '] : [...found];
  chains.set(key, all);
  return all;
}
