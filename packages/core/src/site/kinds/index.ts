import { keysOf } from '../../lists/index.ts';
import { asset } from './asset.ts';
import { defaultKind } from './default.ts';
import { drawing } from './drawing.ts';
import { font } from './font.ts';
import { note } from './note.ts';
import { page } from './page.ts';
import { preset } from './preset.ts';
import type { RecordKind } from './recordKind.ts';
import { role } from './role.ts';
import { scheme } from './scheme.ts';
import { section } from './section.ts';
import { settings } from './settings.ts';
import { textStyle } from './textStyle.ts';
import { token } from './token.ts';
import { tokenGroup } from './tokenGroup.ts';
import { variant } from './variant.ts';
import { variantRule } from './variantRule.ts';
import { widget } from './widget.ts';

export type { AssetRecord, FileType } from './asset.ts';
export type { DefaultRecord } from './default.ts';
export type { DrawingRecord, DrawnPath } from './drawing.ts';
export type { FontRecord } from './font.ts';
export type { NoteRecord, NoteStatus } from './note.ts';
export type { PageRecord } from './page.ts';
export type { Included, PresetRecord } from './preset.ts';
export type { RoleRecord } from './role.ts';
export type { HeadingChoice, SchemeRecord } from './scheme.ts';
export type { SectionRecord } from './section.ts';
export type { SettingsRecord } from './settings.ts';
export type { TextStyleRecord } from './textStyle.ts';
export type { TokenRecord } from './token.ts';
export type { TokenGroupRecord } from './tokenGroup.ts';
export type { VariantRecord } from './variant.ts';
export type { VariantRuleRecord } from './variantRule.ts';
export type { WidgetRecord } from './widget.ts';

/** All kinds of record, in the order in which a site is written: what is mentioned comes first, as far as that can be. */
export const RECORD_KINDS = {
  settings,
  token,
  tokenGroup,
  role,
  scheme,
  textStyle,
  default: defaultKind,
  variant,
  variantRule,
  preset,
  page,
  section,
  widget,
  asset,
  font,
  drawing,
  note,
} as const;

/** The record of each kind. */
export type RecordMap = { [K in keyof typeof RECORD_KINDS]: ReturnType<(typeof RECORD_KINDS)[K]['read']> };
export type Kind = keyof RecordMap;
export type RecordOf<K extends Kind> = RecordMap[K];
export type SiteRecord = RecordMap[Kind];

/** Kinds that go from guide to guide. */
export type GuideKind = {
  [K in Kind]: (typeof RECORD_KINDS)[K]['guide'] extends null ? never : K;
}[Kind];
export type GuideRecord = RecordOf<GuideKind>;

export const KINDS: readonly Kind[] = keysOf(RECORD_KINDS);

const TABLE: { readonly [K in Kind]: RecordKind<RecordMap[K]> } = RECORD_KINDS;

/** What the program knows of a kind. */
export const kindNamed = <K extends Kind>(kind: K): RecordKind<RecordMap[K]> => TABLE[kind];
