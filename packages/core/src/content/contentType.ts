import type { LinkTarget } from './link.ts';
import type { RichText } from './richText.ts';
import type { Cells } from './types/cells.ts';
import type { Columns } from './types/columns.ts';

/** What a field of a widget can hold. */
export type Content = string | number | boolean | null | LinkTarget | RichText | Cells | Columns;

/** One mention of a record in a field, and what may stand there. */
export interface ContentReference {
  readonly to: string;
  readonly kinds: readonly ('page' | 'section' | 'asset' | 'drawing')[];
}

/** What is put in place of what a field mentions; null where there is nothing in its place. */
export interface ContentMapping {
  link(link: LinkTarget): LinkTarget;
  asset(id: string): string | null;
  /** The id of a drawing or picture in an icon’s place. */
  drawn(id: string): string | null;
}

interface Field {
  readonly type: string;
  readonly label: string;
}

/** All that the program knows of one type of content. Whatever else stands in a field counts as nothing. */
export interface ContentType<F extends Field> {
  /** Undefined for what cannot stand in the field. */
  read(it: unknown, field: F): Content | undefined;
  /** What can stand in it, for a message. */
  expected(field: F): string;
  isEmpty(value: Content): boolean;
  /** Its words, for where they are searched or summed up. */
  print(value: Content): string;
  references(value: Content): readonly ContentReference[];
  /** The same with other mentions; the very one where none differs. */
  mapped(value: Content, mapping: ContentMapping): Content;
}
