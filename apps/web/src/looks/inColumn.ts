import { elementNamed, type HtmlElement, renderSample, richText, type Scope, type Site } from '@cove/core';
import { staticMarkup } from './option.ts';

/** Enough for something to stand beside. */
const WORDS = [
  'On a clear day all four islands lie below, and the ferry draws a straight line between them that is gone before the next one leaves.',
  'Half way there is a bench with its back to the mainland. Sit down, whatever the time, and count the boats.',
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
