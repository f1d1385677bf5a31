import type { HtmlElement, Id, MarkupOptions, Site } from '@cove/core';
import { assetUrlOf } from '../canvas/styleEngine.ts';

/** One look that can be had, drawn as it would be. */
export interface LookOption {
  id: string;
  label: string;
  /** What it is beside its name, such as one that the guide has not taken yet. */
  note: string;
  chosen: boolean;
  markup: HtmlElement | null;
}

/** Looks of which one is chosen, or several where they are no choice among each other. */
export interface LookGroup<Option extends LookOption = LookOption> {
  label: string;
  options: readonly Option[];
}

/** All looks that can be had, and what they stand on. */
export interface Looks<Option extends LookOption = LookOption> {
  /** The site as it would be with all of them in it. */
  site: Site;
  /** The page whose rules hold around them; null for none. */
  page: Id | null;
  scheme: Id;
  /** Records around them that rebind tokens. */
  bearers: readonly Id[];
  groups: readonly LookGroup<Option>[];
}

/** Drawn to be looked at: no marks to be found by, links that lead nowhere. */
export const staticMarkup = (siteId: string): MarkupOptions => ({
  marks: false,
  links: false,
  noTabStops: true,
  assetUrl: assetUrlOf(siteId),
});
