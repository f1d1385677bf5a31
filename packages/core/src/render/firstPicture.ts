import type { HtmlElement } from './html.ts';

/**
 * The same with its first picture asked for at once, before scripts and what is out of sight: it is what visitors wait for
 * (HTML, section 4.8.4.4, lazy loading attributes). All others wait until they are near.
 */
export function withFirstPicture(root: HtmlElement): HtmlElement {
  let found = false;
  const visit = (it: HtmlElement): HtmlElement => {
    if (found) return it;
    if (it.tag === 'img' && it.attrs.loading === 'lazy') {
      found = true;
      return { ...it, attrs: { ...it.attrs, loading: null, fetchpriority: 'high' } };
    }
    let children: HtmlElement['children'] | null = null;
    for (const [i, child] of it.children.entries()) {
      if (typeof child === 'string') continue;
      const next = visit(child);
      if (next === child) continue;
      children = it.children.with(i, next);
      break;
    }
    return children ? { ...it, children } : it;
  };
  return visit(root);
}
