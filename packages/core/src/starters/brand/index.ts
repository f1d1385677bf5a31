export {
  BRAND_LIMITS,
  BRAND_RANGES,
  type Brand,
  type BrandLength,
  type BrandSwatch,
  NO_BRAND,
  readBrandData,
  readBrandLength,
  readRatio,
} from './brand.ts';
export { completeBrand } from './completeBrand.ts';
export { readBrandFile } from './readFile.ts';
export { asBrandSwatches, type ReadBrand, readBrandLines, type UnreadLine } from './readLines.ts';
