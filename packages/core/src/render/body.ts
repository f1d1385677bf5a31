import { pageScope } from '../cascade/index.ts';
import type { PageRecord, SectionRecord, Site } from '../site/index.ts';
import type { HtmlElement } from './html.ts';
import { bindingClasses, classesOf, type MarkupOptions, renderNode, sectionsIn } from './markup.ts';

/** The body of a page: header, main, footer, each with its sections. */
export function renderBody(site: Site, page: PageRecord, options: MarkupOptions): HtmlElement {
  const scope = pageScope(site, page);
  const sections = (area: 'main' | 'header' | 'footer') =>
    sectionsIn(site, page.id, area).map((section: SectionRecord) =>
      renderNode(site, scope, section, options),
    );
  const areas: HtmlElement[] = [
    { tag: 'header', attrs: { 'data-area': options.marks ? 'header' : null }, children: sections('header') },
    {
      tag: 'main',
      attrs: { id: 'main', 'data-area': options.marks ? 'main' : null },
      children: sections('main'),
    },
    { tag: 'footer', attrs: { 'data-area': options.marks ? 'footer' : null }, children: sections('footer') },
  ];
  const binding = bindingClasses({ ...page, scheme: scope.scheme }, scope.scheme);
  return {
    tag: 'body',
    attrs: {
      class: [...classesOf(site, scope, 'box'), ...binding].join(' '),
      'data-part': options.marks ? 'box' : null,
      'data-node': options.marks ? page.id : null,
    },
    children: [
      { tag: 'a', attrs: { class: 'skip', href: '#main' }, children: ['Skip to content'] },
      {
        tag: 'div',
        attrs: {
          class: classesOf(site, scope, 'sheet').join(' '),
          'data-part': options.marks ? 'sheet' : null,
          'data-node': options.marks ? page.id : null,
        },
        children: areas.filter(area => area.tag === 'main' || area.children.length > 0),
      },
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
