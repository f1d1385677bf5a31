import { parseColor } from '../color/index.ts';
import { parseLength, parseLiteral } from '../values/index.ts';
import { fontParts } from './fontShorthand.ts';
import { isNode } from './tree.ts';
import { easingNamed } from './values.ts';

/** Types that tokens are of in other spellings, in the words of the format; a null stands for what a guide has no place for. */
const NEIGHBOURS: readonly (readonly [RegExp, string | null])[] = [
  [
    /^(?:text-?case|text-?decoration|text|string|bool|boolean|asset|image|icon|content|link|visibility|flex|grid)$/,
    null,
  ],
  [/^colou?rs?$|^paint$|^fill$/, 'color'],
  [/^font-?weights?$/, 'fontWeight'],
  [/^(?:font-?famil(?:y|ies)|typefaces?)$/, 'fontFamily'],
  [
    /^line-?heights?$|^leading$|^opacit(?:y|ies)$|^z-?index(?:es)?$|^percentage$|^ratio$|^integer$|^float$/,
    'number',
  ],
  [
    /^(?:siz(?:e|ing|es)|spac(?:e|ing|es)|font-?sizes?|letter-?spacings?|paragraph-?(?:spacings?|indents?)|(?:border-?)?radi(?:us|i)|(?:border|stroke)-?widths?|breakpoints?|screens?|length|width|height)$/,
    'dimension',
  ],
  [/^(?:box-?|drop-?|inner-?|text-?)?shadows?$|^elevations?$/, 'shadow'],
  [/^(?:times?|durations?|delays?)$/, 'duration'],
  [/^(?:cubic-bezier|easings?|timing-?functions?|curves?)$/, 'cubicBezier'],
  [/^(?:text-?styles?|font-?styles?|type-?styles?|fonts?)$/, 'typography'],
];

const kebab = (word: string): string => word.replace(/([a-z0-9])([A-Z])/g, '$1-$2').toLowerCase();

/** Words that say no type at all. */
export const saysNothing = (type: string): boolean => /^(?:other|unknown|any|none|custom|token)$/i.test(type);

/** What a type of another spelling is called in the format; null for one without a place, undefined for an unknown word. */
export const neighbourOf = (type: string): string | null | undefined =>
  NEIGHBOURS.find(([word]) => word.test(kebab(type)))?.[1];

const isNumber = (it: unknown): it is number => typeof it === 'number';

/** The type of a value by what it is, and by the words above it where that says too little; null where neither tells. */
export function inferType(value: unknown, path: readonly string[]): string | null {
  const words = kebab(path.join('-'));
  if (isNode(value)) return ofObject(value);
  if (Array.isArray(value)) return ofList(value);
  if (isNumber(value))
    return /weight/.test(words)
      ? 'fontWeight'
      : /(?:^|-)(?:siz|spac|radi|width|height|gap|padding|margin|inset)/.test(words) &&
          !/line-height/.test(words)
        ? 'dimension'
        : /duration|delay/.test(words)
          ? 'duration'
          : 'number';
  return typeof value === 'string' ? ofText(value.trim(), words) : null;
}

function ofObject(it: Readonly<Record<string, unknown>>): string | null {
  if ('colorSpace' in it) return 'color';
  if ('unit' in it && 'value' in it) return it.unit === 'ms' || it.unit === 's' ? 'duration' : 'dimension';
  if ('blur' in it || 'offsetX' in it) return 'shadow';
  if ('fontFamily' in it || 'fontSize' in it) return 'typography';
  if ('timingFunction' in it) return 'transition';
  if ('dashArray' in it) return 'strokeStyle';
  return 'style' in it && 'width' in it ? 'border' : null;
}

function ofList(it: readonly unknown[]): string | null {
  if (it.length === 4 && it.every(isNumber)) return 'cubicBezier';
  if (it.length > 0 && it.every(inner => typeof inner === 'string')) return 'fontFamily';
  const [first] = it;
  if (!isNode(first)) return null;
  return 'position' in first ? 'gradient' : ofObject(first);
}

function ofText(text: string, words: string): string | null {
  const isFamily = /famil|typeface|(?:^|-)fonts?(?:-(?!size|weight|style|line|letter)|$)/.test(words);
  if (/weight/.test(words) && /^[a-z-]+$/i.test(text)) return 'fontWeight';
  if (/font|text|type|heading|title|body/.test(words) && fontParts(text)) return 'typography';
  if (/^#|^[a-z-]+\(.*\)$/i.test(text) && parseColor(text)) return 'color';
  if (/^-?[\d.]+m?s$/.test(text)) return 'duration';
  if (/^cubic-bezier\(/.test(text)) return 'cubicBezier';
  if (/eas(?:e|ing)|timing|curve/.test(words) && easingNamed(text) !== undefined) return 'cubicBezier';
  if (/^-?[\d.]+$/.test(text)) return inferType(Number(text), [words]);
  if (parseLength(text) || (text.includes('..') && parseLiteral(text, 'fluid'))) return 'dimension';
  if (/gradient\(/.test(text)) return 'gradient';
  if (/^-?(?:inset\b|[\d.])/.test(text) && parseLiteral(text, 'shadow')) return 'shadow';
  if (/shadow|elevation/.test(words) && parseLiteral(text, 'shadow')) return 'shadow';
  if (!isFamily && parseColor(text)) return 'color';
  return isFamily || /^(["']).+\1|,\s*(?:sans-)?serif$|,\s*monospace$/.test(text) ? 'fontFamily' : null;
}
