import { printPainted } from '../color/index.ts';
import { byOrder } from '../site/index.ts';
import { literalOf, NO_REBINDS, type Tokens } from '../tokens/index.ts';

/** The colours by which a guide is known again, as CSS: those that were entered, in their order, each once; before what is derived. */
export function mainColors(tokens: Tokens, most = 8): string[] {
  const swatches = [...tokens.values()].filter(it => it.type === 'color').sort(byOrder);
  const entered = swatches.filter(it => it.value.type === 'color');
  const derived = swatches.filter(it => it.value.type === 'derived');
  const found = new Set<string>();
  for (const { value } of [...entered, ...derived]) {
    if (found.size >= most) break;
    const literal = literalOf(tokens, NO_REBINDS, value);
    if (literal?.type === 'color') found.add(printPainted(literal.value));
  }
  return [...found];
}
