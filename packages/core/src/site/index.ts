export * from './apply.ts';
export { elementOfArea } from './area.ts';
export * from './change.ts';
export { type DeclarationParts, parseDeclarationKey, printDeclarationKey } from './declaration.ts';
export { differenceTo, fieldEdits } from './difference.ts';
export {
  editAt,
  editOf,
  type NodeKind,
  type OrderedKind,
  putRecord,
  removeRecord,
  type StyledKind,
} from './editOf.ts';
export { elementOfNode } from './elementOfNode.ts';
export { firstSection, headerKindOf } from './headerKind.ts';
export * from './history.ts';
export { newId, newIds } from './id.ts';
export { includedIn } from './includedIn.ts';
export type { PictureFocus } from './kinds/asset.ts';
export { type AssetFacts, FILE_TYPES, isFileType } from './kinds/asset.ts';
export { MAX_PRESETS_WORN } from './kinds/checkWearer.ts';
export type { Effects } from './kinds/effects.ts';
export type { FontFacts } from './kinds/font.ts';
export { FOUNDATIONS, type Foundation } from './kinds/foundation.ts';
export { KINDS, kindNamed } from './kinds/index.ts';
export { nodePage } from './kinds/nodePage.ts';
export type { GuideNames, Location } from './kinds/recordKind.ts';
export { contentReferences, type Parked } from './kinds/widget.ts';
export { effectsOf, foundationOf, locationOf, nameOf } from './named.ts';
export { byOrder, isOrderKey, keyBetween, keysBetween } from './order.ts';
export { pictureIn } from './pictureIn.ts';
export { placeAbout, placedId, placeIsAbout, placeKey, placeNamed } from './place.ts';
export { readEdits } from './readChange.ts';
export { readRecord } from './readRecord.ts';
export * from './records.ts';
export type { Reference } from './reference.ts';
export { referencesOf } from './references.ts';
export * from './rights.ts';
export * from './site.ts';
export { stableText } from './stableText.ts';
export { STATIONS, type StationName } from './stations.ts';
export { withArticle } from './withArticle.ts';
