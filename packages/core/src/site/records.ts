import type { Styles } from '../slots/index.ts';
import type { PageRecord, SectionRecord, SiteRecord, WidgetRecord } from './kinds/index.ts';

export type * from './kinds/index.ts';

export type Id = string;

/** In the order in which they stand on a page. */
export const AREAS = ['header', 'main', 'sidebar', 'footer'] as const;
export type Area = (typeof AREAS)[number];
/** What pages share. */
export type SharedArea = Exclude<Area, 'main'>;
export const SHARED_AREAS: readonly SharedArea[] = ['header', 'sidebar', 'footer'];

/** Where a rule holds. */
export type Place =
  | { type: 'pageKind'; pageKind: PageKind }
  | { type: 'branch'; page: Id }
  | { type: 'page'; page: Id }
  | { type: 'area'; area: Area }
  | { type: 'scheme'; scheme: Id }
  | { type: 'section'; section: Id }
  | { type: 'longForm' };

export const PAGE_KINDS = ['page', 'article', 'category', 'search', 'notFound'] as const;
export type PageKind = (typeof PAGE_KINDS)[number];

/** One value for a place in the tree, so that two moves cannot tear it. */
export interface At {
  parent: Id;
  /** Fractional key; ties are sorted by id. */
  order: string;
}

/** One preset worn; those worn by one element stand in the order of `order`, later over earlier. */
export interface Wear {
  preset: Id;
  order: string;
  on: boolean;
}

/** Declarations of properties the table does not know, by `part:state@width/css-property`; printed last, and not followed. */
export interface Declaring {
  declarations?: Readonly<Record<string, string>>;
}

/** What a thing of the guide is for, in words; goes into the hand-over. */
export interface Noted {
  note?: string;
}

/** Whether a page shows an area. */
export const showsArea = ({ areas }: Pick<PageRecord, 'areas'>, area: Area): boolean =>
  area === 'main' || (areas?.[area] ?? area !== 'sidebar');

/** What the header does while a visitor scrolls: goes with the page, stays in view, or comes back on scrolling up. */
export const HEADER_SCROLLS = ['withPage', 'stays', 'returns'] as const;
/** What it is coloured by: its own scheme; the first section, over which it lies; whichever section is beneath it. */
export const HEADER_COLORS = ['own', 'firstSection', 'sectionBeneath'] as const;

/** Of the site, or of a page that differs from it. */
export interface HeaderKind {
  headerScrolls?: (typeof HEADER_SCROLLS)[number];
  headerColors?: (typeof HEADER_COLORS)[number];
}

/** What stands on a page, takes styles and wears presets. */
export interface Wearer extends Declaring {
  at: At;
  /** Axis → variant. */
  variants: Readonly<Record<string, Id>>;
  wears: Readonly<Record<Id, Wear>>;
  styles: Styles;
}

/** Things on a page that take styles and presets. */
export type NodeRecord = SectionRecord | WidgetRecord;
export const isNode = (record: SiteRecord | null | undefined): record is NodeRecord =>
  record?.kind === 'section' || record?.kind === 'widget';

/** The one record of kind settings has this id in every site. */
export const SETTINGS = 'settings';
