export { type FluidRange, printFluid, REM } from './fluid.ts';
export {
  nestsTooDeep,
  parseArithmetic,
  parseFamilies,
  parseLength,
  parseLiteral,
  splitTop,
} from './parseLiteral.ts';
export { type CssContext, printCss, printLength } from './printValue.ts';
export { readValue } from './readValue.ts';
export * from './value.ts';
