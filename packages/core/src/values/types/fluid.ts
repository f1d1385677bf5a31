import { printFluid } from '../fluid.ts';
import { isAbsolute, parseLength, readLength } from '../length.ts';
import type { LiteralKind, ValueOf } from './valueType.ts';

export const fluid: LiteralKind<ValueOf<'fluid'>> = {
  read(it) {
    const [min, max] = [readLength(it.min), readLength(it.max)];
    return min && max && isAbsolute(min) && isAbsolute(max) ? { type: 'fluid', min, max } : null;
  },
  parse(text) {
    const [low, high, ...rest] = text.split(/\s*(?:\.\.|–| to )\s*/);
    const min = low && parseLength(low);
    const max = high && parseLength(high);
    return min && max && rest.length === 0 && isAbsolute(min) && isAbsolute(max)
      ? { type: 'fluid', min, max }
      : null;
  },
  print: ({ min, max }, { fluid: range, viewportUnit }) => printFluid(min, max, range, viewportUnit),
  typed: ({ min, max }) => `${min.value}${min.unit} .. ${max.value}${max.unit}`,
  isLoose: () => true,
};
