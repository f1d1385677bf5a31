export { colorOf, type Lookup } from './evaluate.ts';
export { parseColor } from './parseColor.ts';
export { type Expression, evaluateChannel } from './quantity.ts';
export { type ColorSyntax, parseSyntax } from './syntax.ts';
