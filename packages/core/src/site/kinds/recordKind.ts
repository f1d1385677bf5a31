import type { Problem } from '../../result/index.ts';
import type { Fields } from '../fields.ts';
import type { Id, SiteRecord } from '../records.ts';
import type { Reference } from '../reference.ts';
import type { Right } from '../right.ts';
import type { Scene } from '../scene.ts';
import type { Site } from '../site.ts';
import type { Effects } from './effects.ts';
import type { Foundation } from './foundation.ts';

export interface Recorded {
  readonly id: Id;
  readonly kind: string;
}

/** Other ids for what is named; what it does not know it leaves alone. */
export type Rename = (id: Id) => Id;

/** What the records of one guide call each other, in words that another guide may share. */
export interface GuideNames {
  token(id: Id): string;
  variant(id: Id): string;
}

/** How records of a kind go from one guide to another. */
export interface InGuide<R extends Recorded> {
  /** It belongs to the brand rather than to how things look: another guide leaves it where it is. */
  readonly owned: boolean;
  /** What tells two records of two guides to be the same thing; null for what is matched otherwise. */
  key(record: R, names: GuideNames): string | null;
  /** What of a guide it belongs to. */
  foundation(record: R, site: Site): Foundation;
  /** What it is called among the parts of a guide. */
  title(record: R): string;
  /** The record under other ids: its own, and those of all it mentions. */
  renamed(record: R, rename: Rename): R;
}

/** Where in the interface a record can be changed: at a station, with what is open there. */
export type Location =
  | { readonly station: 'guide'; readonly open: Readonly<Record<string, string>> }
  /** `page` is null for what all pages share. */
  | { readonly station: 'pages'; readonly page: Id | null; readonly node: Id };

/** All that the program knows of one kind of record. */
export interface RecordKind<R extends Recorded, G extends InGuide<R> | null = InGuide<R> | null> {
  /** What one of them is called in a sentence. */
  readonly label: string;
  /** Reads its fields; throws `BadField` for what is ill-formed. */
  read(id: Id, fields: Fields): R;
  /** Every other record that it mentions. */
  references(record: R): readonly Reference[];
  /** What putting one there needs, and so taking it away; `get` finds other records as they are then. */
  rightToPut(record: R, get: (id: Id) => SiteRecord | undefined): Right;
  /** What moving one needs, where that depends on where it goes. */
  rightToMove?(record: R, parent: Id, get: (id: Id) => SiteRecord | undefined): Right;
  /** What setting or unsetting each field needs. */
  readonly rights: { readonly [F in Exclude<keyof R, 'id' | 'kind'>]-?: Right };
  /** What has to hold besides its references, where it was touched; `before` is what it was, if it was there. */
  check?(record: R, before: R | undefined, scene: Scene): Problem | null;
  /** How it goes from guide to guide; null where it belongs to the pages. */
  readonly guide: G;
  /** What it is called where it is spoken of; `nameOf` does the same for another record. */
  name(record: R, site: Site, nameOf: (id: Id) => string): string;
  /** Null for what is changed nowhere alone. */
  location(record: R, site: Site): Location | null;
  /** What an edit alters in a document that is drawn; one of the two may be missing, and they differ. */
  effects(was: R | undefined, is: R | undefined): Effects;
}
