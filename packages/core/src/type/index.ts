export {
  type FallbackMetrics,
  fallbackMetrics,
  fallbackNames,
  hasWeight,
  printFallbackFaces,
  printFontFace,
} from './faces.ts';
export { FAMILIES, familyNamed, SHIPPED_FILES, SYSTEM_FAMILIES } from './families.ts';
export {
  type Cut,
  FAMILY_KINDS,
  type Family,
  type FamilyKind,
  type FontFile,
  type FontMetrics,
  type Generic,
  hasItalic,
  type WidthClass,
  weightsOf,
  widthClass,
} from './family.ts';
export { PAIRINGS, type Pairing } from './pairings.ts';
export { BASE_RANGE, RATIO_RANGE, scaleStep } from './scale.ts';
