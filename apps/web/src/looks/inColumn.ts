import { elementNamed, type HtmlElement, renderSample, richText, type Scope, type Site } from '@cove/core';
import { staticMarkup } from './option.ts';

/** Enough for something to stand beside. */
const WORDS = [
  'Running text goes around it, line by line, so that you can see how much room is left beside it.',
  'A second paragraph shows where the text returns to its full width.',
];

/** A thing at the top of a long text, which is drawn as wide as it would be: how it stands shows by the words around it. */
export function inColumn(
  site: Site,
  around: Scope,
  thing: HtmlElement | null,
  siteId: string,
): HtmlElement | null {
  if (!thing) return null;
  const scope: Scope = { ...around, element: elementNamed('text'), node: null, variants: {}, longForm: true };
  const words = renderSample(site, scope, { text: richText(...WORDS) }, staticMarkup(siteId));
  return { tag: 'div', attrs: { 'data-column': true }, children: words ? [thing, words] : [thing] };
}
