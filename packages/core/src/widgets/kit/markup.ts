import type { Content, LinkTarget, RichText } from '../../content/index.ts';
import type { PhraseName } from '../../phrases/index.ts';

/** As much of a picture, or of a file that is linked to, as markup says. */
export interface MarkupAsset {
  readonly name: string;
  readonly file: string;
  readonly mime: string;
  readonly width: number;
  readonly height: number;
  readonly alt: string;
}

/** A node of HTML to be. Only the printer makes markup of it, so only the printer escapes. */
export interface VElement {
  tag: string;
  /** The part it is; its classes come from the cascade. */
  part?: string;
  attrs: Readonly<Record<string, string | number | true | null | undefined>>;
  children: readonly VNode[];
}
/** Where the widgets held by this one go. */
export const CHILDREN = Symbol('children');
/** The same, each of them in an element of its own; `index` counts from 0. */
export interface EachChild {
  each(index: number): VElement;
}
/** Where the widgets held go of which the content answers. */
export interface SomeChildren {
  where(content: Readonly<Record<string, Content>>): boolean;
}
/** Where one view of each item held goes; what is no item is left out there. */
export interface ItemViews {
  items: string;
}
/** An item that nobody put there, made of what the site says: it looks like one that says nothing of its looks. */
export interface MadeItem {
  item: string;
  /** Tells it from others beside it, in the names of its parts. */
  key: string;
  content: Readonly<Record<string, Content>>;
  holds: readonly MadeItem[];
}
/** Where the ground of the section above or below shows. */
export interface NeighbourGround {
  neighbour: 'above' | 'below';
}
export type VNode =
  | VElement
  | string
  | typeof CHILDREN
  | EachChild
  | SomeChildren
  | ItemViews
  | MadeItem
  | NeighbourGround;

type Attrs = VElement['attrs'] & { part?: string };

export function h(
  tag: string,
  { part, ...attrs }: Attrs = {},
  ...children: (VNode | null | false)[]
): VElement {
  return {
    tag,
    ...(part !== undefined && { part }),
    attrs,
    children: children.filter(child => child !== null && child !== false),
  };
}

/** A drawing on its way to markup; paints are CSS text. */
export interface DrawnSvg {
  width: number;
  height: number;
  paths: readonly { d: string; fill: string; stroke: string; width: number | null }[];
}

/** An `svg` of a part; decorative, unless it has a name. */
export function svg(part: string, drawn: DrawnSvg, name = ''): VElement {
  return h(
    'svg',
    {
      part,
      viewBox: `0 0 ${drawn.width} ${drawn.height}`,
      role: name === '' ? null : 'img',
      'aria-label': name || null,
      'aria-hidden': name === '' ? 'true' : null,
      focusable: 'false',
    },
    ...drawn.paths.map(({ d, fill, stroke, width }) =>
      h('path', {
        d,
        fill,
        stroke,
        'stroke-width': width,
        'stroke-linecap': stroke === 'none' ? null : 'round',
        'stroke-linejoin': stroke === 'none' ? null : 'round',
      }),
    ),
  );
}

/** Pages below a page, or at the top for null; or those beside a page. */
export type PageBranch = { readonly below: string | null } | { readonly beside: string };

/** As much of a page as a list of pages shows. */
export interface ListedPage {
  readonly id: string;
  readonly title: string;
  readonly href: string;
  readonly current: boolean;
  readonly description: string;
  /** An icon by its name, or the id of a drawing or picture. */
  readonly icon: string | null;
  readonly picture: MarkupAsset | null;
}

/** A picture in several widths (HTML, section 4.8.4). */
export interface PictureSources {
  readonly modern: { readonly type: string; readonly srcset: string };
  readonly srcset: string;
  readonly sizes: string;
}

/** What a widget may ask while it makes its markup. */
export interface MarkupContext {
  /** Address of a link as seen from this page; null if it leads nowhere now. */
  href(link: LinkTarget): string | null;
  /** True for a link to the page being made. */
  isCurrent(link: LinkTarget): boolean;
  /** True for a link to a page that the one being made stands below. */
  isAbove(link: LinkTarget): boolean;
  asset(id: string): MarkupAsset | null;
  /** An icon of the set in use, or a drawing of the brand's own, ready to be drawn; null where there is none. */
  drawing(name: string): DrawnSvg | null;
  assetUrl(asset: MarkupAsset): string;
  /** A picture in several widths and a modern format, as a part shows it; null where it is shown as it is. */
  sources(asset: MarkupAsset, part: string): PictureSources | null;
  /** Whether the guide, or what is set here, says anything of a part that is there only then. */
  speaks(part: string): boolean;
  /** Whether something of it looks different under a pointer, on a page that is published. */
  readonly responds: boolean;
  /** An id for a part of this very instance, which no other thing on the page has. */
  id(name: string): string;
  /** What the holder of an item says, and the item’s place in it; null for what is no item, or stands in no holder. */
  item: {
    readonly holder: Readonly<Record<string, Content>>;
    /** Its number in the holder, from 0. */
    index(): number;
    /** The number of the one among its siblings that is being edited; null where none is. */
    openIndex(): number | null;
    /** An id for something of the holder. */
    holderId(name: string): string;
  } | null;
  /** Whether anything stands in it. */
  holdsAny: boolean;
  /** Something in it is being edited, so that it stands open whatever it is published as. */
  isOpen: boolean;
  /** What the program says itself, in the language of the site or in words of its own. */
  phrase(name: PhraseName): string;
  siteName: string;
  /** The site’s logo, the one for what the widget stands on; null where there is none. */
  readonly logo: MarkupAsset | null;
  homeHref: string;
  /** Links that lead away open a window of their own. */
  /** BCP 47 tag of the site’s language. */
  language: string;
  awayInNewTab: boolean;
  /** The page being made; null where nothing stands on one. */
  page: string | null;
  /**
   * Pages as navigation lists them, in order; those that are off or not to be listed are left out. Who shows but their names
   * and icons asks for `names`, and is made anew for no more than those.
   */
  pages(branch: PageBranch, what?: 'all' | 'names'): readonly ListedPage[];
}

/** Attributes of a link, with the one rule for links that lead away. */
export function linkAttrs(link: LinkTarget, context: MarkupContext): VElement['attrs'] {
  return {
    href: context.href(link),
    rel: link.type === 'url' ? 'noopener' : null,
    download: link.type === 'file' ? true : null,
    // Whoever cannot see the new window appear is told of it before.
    ...(link.type === 'url' &&
      context.awayInNewTab && { target: '_blank', title: context.phrase('newWindow') }),
    'aria-current': context.isCurrent(link) ? 'page' : null,
  };
}

const wrap = (tag: string, on: boolean | undefined, inner: VNode): VNode => (on ? h(tag, {}, inner) : inner);

/** Parts that words of running text can be, inside the part that holds the text. */
export const runParts = <const Inside extends string>(inside: Inside) =>
  ({
    link: {
      inside,
      label: 'Link',
      kind: 'label',
      host: 'link',
      states: ['hover', 'focus', 'pressed', 'selected'],
    },
    code: { label: 'Code', kind: 'text', inside },
    marked: { label: 'Marked words', kind: 'text', inside },
  }) as const;

/** A whole text in one element: a line for each paragraph. */
export const linesToNodes = (text: RichText, context: MarkupContext): VNode[] =>
  text.flatMap((runs, i) => [...(i > 0 ? [h('br')] : []), ...runsToNodes(runs, context)]);

export function runsToNodes(text: RichText[number], context: MarkupContext): VNode[] {
  return text.map(run => {
    let node: VNode = run.text;
    if (run.code) node = h('code', { part: 'code' }, node);
    if (run.marked) node = h('mark', { part: 'marked' }, node);
    node = wrap('em', run.emphasis, node);
    node = wrap('strong', run.strong, node);
    if (!run.link) return node;
    const attrs = linkAttrs(run.link, context);
    return attrs.href == null ? node : h('a', { part: 'link', ...attrs }, node);
  });
}
