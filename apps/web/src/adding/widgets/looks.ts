import {
  beginningOf,
  type Edit,
  type ElementType,
  type HtmlElement,
  type Id,
  renderAlone,
  type Site,
  sampleContent,
  variantsOf,
} from '@cove/core';
import { takeLook } from '@cove/core/starters';
import { staticMarkup } from '../../looks/option.ts';
import { withReadyLooks } from '../../looks/readyLooks.ts';

/** A look that a widget can begin with. */
export interface FirstLook {
  /** The variant; null for none. */
  variant: Id | null;
  label: string;
  axis: string;
  /** What takes it into the guide where it is a ready one, and the variant that it then is. */
  take(now: Site): { edits: readonly Edit[]; id: Id | null };
}

/** Looks to begin with: none, those of the guide, and ready ones where the guide may be altered; drawn on the site it answers with. */
export function firstLooks(
  site: Site,
  element: ElementType,
  mayGuide: boolean,
): { site: Site; looks: readonly FirstLook[]; first: Id | null } {
  const axis = element.axes.find(it => !element.longFormAxes?.includes(it));
  if (axis === undefined) return { site, looks: [], first: null };
  const { site: shown, looks } = mayGuide ? withReadyLooks(site, element) : { site, looks: [] };
  const variants = variantsOf(shown, element.name, axis).map(({ id, name }): FirstLook => {
    const ready = looks.find(it => it.id === id && !it.known)?.look;
    return {
      variant: id,
      label: name,
      axis,
      take: now => (ready ? takeLook(now, ready) : { edits: [], id }),
    };
  });
  const none: FirstLook = { variant: null, label: 'Default', axis, take: () => ({ edits: [], id: null }) };
  return {
    site: shown,
    looks: variants.length === 0 ? [] : [none, ...variants],
    first: beginningOf(site, element.name).variants[axis] ?? null,
  };
}

/** A widget as it would be, in the site’s own words where it has some. */
export function drawnAlone(
  site: Site,
  element: ElementType,
  variants: Readonly<Record<string, Id>>,
  scheme: Id,
  siteId: string,
): HtmlElement | null {
  const content = sampleContent(site, element, variants, 'own');
  return renderAlone(site, element, scheme, variants, content, staticMarkup(siteId));
}
