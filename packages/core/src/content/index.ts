import type { Content, ContentMapping, ContentReference, ContentType } from './contentType.ts';
import { type AssetField, asset } from './types/asset.ts';
import { type CellsField, cells } from './types/cells.ts';
import { type ChoiceField, choice } from './types/choice.ts';
import { type ColumnsField, columns } from './types/columns.ts';
import { type IconField, icon } from './types/icon.ts';
import { type LinkField, link } from './types/link.ts';
import { type PlainField, plain } from './types/plain.ts';
import { type RichField, rich } from './types/rich.ts';

export type { Content, ContentMapping, ContentReference } from './contentType.ts';
export { type LinkTarget, parseLink, printLink, readHref, readLink } from './link.ts';
export { readPlain } from './plain.ts';
export {
  inOneLine,
  isRichText,
  plainOf,
  type RichText,
  readRichText,
  richText,
  type TextRun,
} from './richText.ts';
export { type Cells, isCells } from './types/cells.ts';
export { COLUMN_KINDS, type Columns, isColumns, MOST_COLUMNS, type TableColumn } from './types/columns.ts';

/** What the fields of widgets can hold. */
export type ContentField =
  | AssetField
  | CellsField
  | ChoiceField
  | ColumnsField
  | IconField
  | LinkField
  | PlainField
  | RichField;
export type ContentTypeName = ContentField['type'];
export type ContentFieldOf<T extends ContentTypeName> = Extract<ContentField, { type: T }>;

const CONTENT_TYPES: { readonly [T in ContentTypeName]: ContentType<ContentFieldOf<T>> } = {
  asset,
  cells,
  choice,
  columns,
  icon,
  link,
  plain,
  rich,
};

/** What stands in a field, or what could. */
export type ReadContent = { ok: true; value: Content } | { ok: false; expected: string };

const reading = <T extends ContentTypeName>(type: T, field: ContentFieldOf<T>, it: unknown): ReadContent => {
  const value = CONTENT_TYPES[type].read(it, field);
  return value === undefined
    ? { ok: false, expected: CONTENT_TYPES[type].expected(field) }
    : { ok: true, value };
};
export const readContent = (field: ContentField, it: unknown): ReadContent => reading(field.type, field, it);

/** Every record that a field mentions. */
export const referencesInContent = ({ type }: ContentField, value: Content): readonly ContentReference[] =>
  CONTENT_TYPES[type].references(value);

/** What a field holds with other mentions in it; the very same where none differs. */
export const mapContent = ({ type }: ContentField, value: Content, mapping: ContentMapping): Content =>
  CONTENT_TYPES[type].mapped(value, mapping);

export const isEmptyContent = ({ type }: ContentField, value: Content): boolean =>
  CONTENT_TYPES[type].isEmpty(value);

/** The words in a field. */
export const printContent = ({ type }: ContentField, value: Content): string =>
  CONTENT_TYPES[type].print(value);
