import { splitTop } from '../brackets.ts';
import { isObject } from '../json.ts';
import { parseLength, printLength, readLength } from '../length.ts';
import type { Length, ShadowLayer, Value } from '../value.ts';
import { swapColor } from './swapColor.ts';
import type { LiteralKind, ValueOf } from './valueType.ts';

const MOST_LAYERS = 8;
const NONE: Length = { value: 0, unit: 'px' };

function readLayer(it: unknown, readColor: (it: unknown) => Value | null): ShadowLayer | null {
  if (!isObject(it)) return null;
  const [x, y, blur, spread] = [it.x, it.y, it.blur, it.spread].map(readLength);
  const color = readColor(it.color);
  if (!x || !y || !blur || !spread || !color) return null;
  return { x, y, blur, spread, inset: it.inset === true, color };
}

function parseLayer(text: string, parseColor: (text: string) => Value | null): ShadowLayer | null {
  const lengths: Length[] = [];
  let inset = false;
  let color: Value | null = null;
  for (const word of splitTop(text, /\s/)) {
    const length = parseLength(word);
    if (word === 'inset') inset = true;
    else if (length) lengths.push(length);
    else if (color) return null;
    else color = parseColor(word);
  }
  const [x, y, blur = NONE, spread = NONE] = lengths;
  return x && y && lengths.length <= 4 && color ? { x, y, blur, spread, inset, color } : null;
}

export const shadow: LiteralKind<ValueOf<'shadow'>> = {
  read({ value }, readColor) {
    if (!Array.isArray(value) || value.length === 0 || value.length > MOST_LAYERS) return null;
    const layers = value.map(it => readLayer(it, readColor)).filter(it => it !== null);
    return layers.length === value.length ? { type: 'shadow', value: layers } : null;
  },
  parse(text, parseColor) {
    const written = splitTop(text, /,/);
    const layers = written.map(it => parseLayer(it, parseColor)).filter(it => it !== null);
    return layers.length > 0 && layers.length === written.length ? { type: 'shadow', value: layers } : null;
  },
  print: ({ value }, _, inside) =>
    value
      .map(
        ({ x, y, blur, spread, inset, color }) =>
          `${inset ? 'inset ' : ''}${[x, y, blur, spread].map(printLength).join(' ')} ${inside(color)}`,
      )
      .join(', '),
  colors: ({ value }) => value.map(layer => layer.color),
  withColors(shade, other) {
    const layers = shade.value.map(layer => swapColor(layer, other));
    return layers.every((layer, i) => layer === shade.value[i]) ? shade : { ...shade, value: layers };
  },
  isLoose: () => true,
};
