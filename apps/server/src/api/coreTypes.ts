import type {
  AssetFacts,
  Clip,
  DesignTokens,
  Edit,
  FontFacts,
  GuideData,
  Problem,
  SiteRecord,
  Thread,
  Unrenderable,
} from '@cove/core';

/** Types of the core that answers hold: what they look like is told by the core, for whoever reads them has it too. */
export interface CoreTypes {
  AssetFacts: AssetFacts;
  Clip: Clip;
  DesignTokens: DesignTokens;
  Edit: Edit;
  FontFacts: FontFacts;
  GuideData: GuideData;
  Problem: Problem;
  SiteRecord: SiteRecord;
  Thread: Thread;
  Unrenderable: Unrenderable;
}
export type CoreTypeName = keyof CoreTypes;

/** What the description of the server says of each. */
export const CORE_TYPES: Readonly<Record<CoreTypeName, string>> = {
  AssetFacts: 'What is known of a kept picture or file: {file, mime, width, height}',
  Clip: 'Sections or widgets with all they hold, and what they refer to',
  DesignTokens: 'Tokens as Design Tokens Format Module 2025.10',
  Edit: 'put {record}, set {id, path, value}, unset {id, path} or remove {id}',
  FontFacts: 'What a kept font says of itself: a font record without id, kind and category',
  GuideData: 'A whole guide: its records and what a site chooses of it',
  Problem: 'Why something was refused, or failed: {code, message, …}',
  SiteRecord: 'A record of a site: {id, kind, …}, with the fields of its kind',
  Thread: 'Where a value comes from, through what, and what it hides',
  Unrenderable: 'Something that cannot be rendered: which item, on which page, and why',
};

/** A type of the core where a description names one. */
export const coreRef = (name: CoreTypeName) => ({ $ref: `#/components/schemas/${name}` });
