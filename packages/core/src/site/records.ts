import type { IconSetName } from '../icons/index.ts';
import type { PropertyName } from '../properties/index.ts';
import type { Cut, FamilyKind, FontFile, FontMetrics } from '../type/family.ts';
import type { TokenType, Value } from '../values/index.ts';
import type { LinkTarget, RichText } from './content.ts';

export type Id = string;

export const STATES = [
  'rest',
  'selected',
  'valid',
  'invalid',
  'hover',
  'focus',
  'pressed',
  'disabled',
] as const;
/** Weakest first; the strongest that matches and has a value wins. */
export type State = (typeof STATES)[number];
export const WIDTHS = ['wide', 'medium', 'narrow'] as const;
/** Wide holds everywhere, medium at medium and below, narrow at narrow. */
export type Width = (typeof WIDTHS)[number];

/** `part:state@width/property`; rest and wide are left out. */
export type Slot = string;
export type Styles = Readonly<Record<Slot, Value>>;

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

export interface SettingsRecord {
  id: Id;
  kind: 'settings';
  name: string;
  language: string;
  home: Id;
  defaultScheme: Id;
  /** Most px at which medium, and narrow, still hold. */
  mediumTo: number;
  narrowTo: number;
  /** Viewport widths in px between which fluid sizes grow. */
  fluidFrom: number;
  fluidTo: number;
  /** Tokens that the type scale starts from and grows by. */
  textBase: Id;
  textRatio: Id;
  /** The icon set in use; the first where left out. */
  iconSet?: IconSetName;
  /** The picture in a tab of the browser. */
  tabIcon?: Id;
  /** Links that lead away open a window of their own. */
  awayInNewTab?: true;
  /** Where the published site is found, as `https://…` without a slash at its end; what has to be said in full needs it. */
  address?: string;
}

/** Declarations of properties the table does not know, by `part:state@width/css-property`; printed last, and not followed. */
interface Declaring {
  declarations?: Readonly<Record<string, string>>;
}

/** What a thing of the guide is for, in words; goes into the hand-over. */
interface Noted {
  note?: string;
}

export interface TokenRecord extends Noted {
  id: Id;
  kind: 'token';
  type: TokenType;
  name: string;
  group: string;
  order: string;
  value: Value;
}

/** A role of the guide's own, beside those that every scheme has. */
export interface RoleRecord extends Noted {
  id: Id;
  kind: 'role';
  name: string;
  order: string;
  /** The role it is taken from where a scheme does not bind it. */
  fallback: string;
  /** The role it has to be read or seen on; null where it is a ground itself. */
  on: string | null;
}

export interface SchemeRecord extends Noted {
  id: Id;
  kind: 'scheme';
  name: string;
  face: 'light' | 'dark';
  order: string;
  /** Each role refers to a swatch. */
  roles: Readonly<Record<string, Value>>;
}

export interface TextStyleRecord extends Noted {
  id: Id;
  kind: 'textStyle';
  name: string;
  order: string;
  /** Slots without part and state: `@width/property`, of type, or of a line above or below. */
  styles: Styles;
}

export interface DefaultRecord extends Declaring {
  id: Id;
  kind: 'default';
  element: string;
  /** Null: the whole site. */
  place: Place | null;
  styles: Styles;
}

export interface VariantRecord extends Noted, Declaring {
  id: Id;
  kind: 'variant';
  element: string;
  axis: string;
  name: string;
  order: string;
  styles: Styles;
  /** New widgets of its element begin with it. */
  begins?: boolean;
}

/** A variant set again for a place. */
export interface VariantRuleRecord extends Declaring {
  id: Id;
  kind: 'variantRule';
  variant: Id;
  place: Place;
  styles: Styles;
}

/** A preset within a preset; those of one preset stand in the order of `order`, below what it sets itself. */
export interface Included {
  preset: Id;
  order: string;
}

export interface PresetRecord extends Noted {
  id: Id;
  kind: 'preset';
  name: string;
  order: string;
  /** The part of a slot is a kind of part: box, heading, text, label, icon, picture. */
  styles: Styles;
  /** Presets of one set exclude each other: wearing one takes off the others. */
  set?: string;
  includes?: Readonly<Record<Id, Included>>;
  /** Names of elements whose new widgets begin with it. */
  begins?: Readonly<Record<string, true>>;
}

export interface PageRecord {
  id: Id;
  kind: 'page';
  pageKind: PageKind;
  title: string;
  /** Last step of the address; empty for the home page. */
  path: string;
  description: string;
  at: At;
  scheme: Id | null;
  rebind: Readonly<Record<Id, Value>>;
  /** Visitors do not get it; members still see it. */
  off?: true;
  /** Not in navigation. */
  unlisted?: true;
  /** Reachable, but search engines are asked to stay away. */
  unindexed?: true;
  /** The picture shown where the page is shared. */
  sharePicture?: Id;
  /** Which of the shared areas it shows, where it differs from other pages: these have header and footer and no sidebar. */
  areas?: Readonly<Partial<Record<SharedArea, boolean>>>;
}

/** Whether a page shows an area. */
export const showsArea = ({ areas }: Pick<PageRecord, 'areas'>, area: Area): boolean =>
  area === 'main' || (areas?.[area] ?? area !== 'sidebar');

interface Wearer extends Declaring {
  at: At;
  /** Axis → variant. */
  variants: Readonly<Record<string, Id>>;
  wears: Readonly<Record<Id, Wear>>;
  styles: Styles;
}

export interface SectionRecord extends Wearer {
  id: Id;
  kind: 'section';
  area: Area;
  name: string;
  scheme: Id | null;
  rebind: Readonly<Record<Id, Value>>;
}

export type Content = string | number | boolean | null | LinkTarget | RichText;

export interface WidgetRecord extends Wearer {
  id: Id;
  kind: 'widget';
  widget: string;
  content: Readonly<Record<string, Content>>;
}

/** What is kept as it was given, to be taken home by visitors; everything else among a site's files is a picture. */
export const FILE_TYPES = {
  'application/pdf': 'pdf',
  'application/zip': 'zip',
  'text/plain': 'txt',
  'text/csv': 'csv',
  'text/calendar': 'ics',
} as const;
export type FileType = keyof typeof FILE_TYPES;
export const isFileType = (mime: string): mime is FileType => Object.hasOwn(FILE_TYPES, mime);

/** A picture, or a file that is only linked to: that has no size. */
export interface AssetRecord {
  id: Id;
  kind: 'asset';
  name: string;
  /** File name in storage: hash and ending. */
  file: string;
  mime: string;
  width: number;
  height: number;
  alt: string;
}

/** One uploaded font file; those of one family name belong together. */
export interface FontRecord {
  id: Id;
  kind: 'font';
  family: string;
  category: FamilyKind;
  cut: Cut;
  weightFrom: number;
  weightTo: number;
  /** File name in storage: hash and ending. */
  file: string;
  format: FontFile['format'];
  bytes: number;
  metrics: FontMetrics;
}

/** One shape of a drawing: path data, and what it is painted with; null paints nothing. */
export interface DrawnPath {
  d: string;
  /** A colour, a swatch, or `currentcolor`: the colour of where the drawing stands. */
  fill: Value | null;
  stroke: Value | null;
  /** In units of the drawing. */
  width: number;
}

/** The brand's own icon or mark, stored once and read out of an SVG: nothing of the file is kept but its shapes. */
export interface DrawingRecord extends Noted {
  id: Id;
  kind: 'drawing';
  name: string;
  order: string;
  use: 'icon' | 'mark';
  /** Size of its field. */
  width: number;
  height: number;
  paths: readonly DrawnPath[];
}

/** Words that go with a guide: the brief, the tone, what not to do. */
export interface NoteRecord {
  id: Id;
  kind: 'note';
  name: string;
  order: string;
  text: string;
  /** Pictures pinned to it: their ids, each with its order key. */
  pictures?: Readonly<Record<Id, string>>;
}

export type SiteRecord =
  | SettingsRecord
  | TokenRecord
  | RoleRecord
  | SchemeRecord
  | TextStyleRecord
  | DefaultRecord
  | VariantRecord
  | VariantRuleRecord
  | PresetRecord
  | PageRecord
  | SectionRecord
  | WidgetRecord
  | AssetRecord
  | FontRecord
  | DrawingRecord
  | NoteRecord;

export type Kind = SiteRecord['kind'];
export type RecordOf<K extends Kind> = Extract<SiteRecord, { kind: K }>;
export const KINDS = [
  'settings',
  'token',
  'role',
  'scheme',
  'textStyle',
  'default',
  'variant',
  'variantRule',
  'preset',
  'page',
  'section',
  'widget',
  'asset',
  'font',
  'drawing',
  'note',
] as const satisfies readonly Kind[];

/** Things on a page that take styles and presets. */
export type NodeRecord = SectionRecord | WidgetRecord;
export const isNode = (record: SiteRecord | null | undefined): record is NodeRecord =>
  record?.kind === 'section' || record?.kind === 'widget';

/** The one record of kind settings has this id in every site. */
export const SETTINGS = 'settings';

/** Style facets hold these; named here so that records need not import the property table. */
export type SlotProperty = PropertyName | 'textStyle';
