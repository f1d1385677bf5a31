import { pageScope } from '../cascade/index.ts';
import { type Area, headerKindOf, type PageRecord, type SectionRecord, type Site } from '../site/index.ts';
import type { HtmlElement } from './html.ts';
import { bindingClasses, classesOf, renderNode, sectionsIn } from './markup.ts';
import { type MarkupOptions, phraseOf } from './markupContext.ts';

/** The body of a page: header, main, footer, each with its sections. */
export function renderBody(site: Site, page: PageRecord, options: MarkupOptions): HtmlElement {
  const scope = pageScope(site, page);
  const sections = (area: Area) =>
    sectionsIn(site, page.id, area).map((section: SectionRecord) =>
      renderNode(site, scope, section, options),
    );
  /** A box of the page's own, such as the one that holds all its areas. */
  const part = (tag: string, name: string, children: HtmlElement[], attrs = {}): HtmlElement => ({
    tag,
    attrs: {
      ...attrs,
      class: classesOf(site, scope, name).join(' '),
      'data-part': options.marks ? name : null,
      'data-node': options.marks ? page.id : null,
    },
    children,
  });
  const area = (tag: string, name: Area, attrs = {}): HtmlElement => ({
    tag,
    attrs: { ...attrs, 'data-area': options.marks ? name : null },
    children: sections(name),
  });
  const { headerScrolls, headerColors } = headerKindOf(site, page);
  const header = area('header', 'header', {
    'data-scrolls': headerScrolls === 'withPage' ? null : headerScrolls,
    'data-over': scope.over ? true : null,
    'data-follows': headerColors === 'sectionBeneath' ? true : null,
  });
  const main = area('main', 'main', { id: 'main' });
  const beside = area('aside', 'sidebar');
  const footer = area('footer', 'footer');
  const middle =
    beside.children.length === 0
      ? main
      : part('div', 'middle', [part('div', 'content', [main]), part('div', 'side', [beside])]);
  const areas = [header, middle, footer];
  const binding = bindingClasses({ ...page, scheme: scope.scheme }, scope.scheme);
  return {
    tag: 'body',
    attrs: {
      class: [...classesOf(site, scope, 'box'), ...binding].join(' '),
      'data-part': options.marks ? 'box' : null,
      'data-node': options.marks ? page.id : null,
    },
    children: [
      { tag: 'a', attrs: { class: 'skip', href: '#main' }, children: [phraseOf(site, 'skip')] },
      part(
        'div',
        'sheet',
        areas.filter(it => it === middle || it.children.length > 0),
      ),
    ],
  };
}

export function classNamesIn(root: HtmlElement, into: Set<string> = new Set()): Set<string> {
  const { class: names } = root.attrs;
  if (typeof names === 'string') for (const name of names.split(' ')) into.add(name);
  for (const child of root.children) if (typeof child !== 'string') classNamesIn(child, into);
  return into;
}

export const tagsIn = (root: HtmlElement, into: Set<string> = new Set()): Set<string> => {
  into.add(root.tag);
  for (const child of root.children) if (typeof child !== 'string') tagsIn(child, into);
  return into;
};
