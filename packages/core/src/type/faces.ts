import { printNumber } from '../color/printColor.ts';
import { type Family, type FontFile, type FontMetrics, type Generic, weightsOf } from './family.ts';

/** A font that a machine may have, under its own name and those of fonts that are as wide and high. */
interface Local {
  names: readonly string[];
  metrics: FontMetrics;
}
/**
 * Fonts that machines have: most desktops, then Android, then what a bare Linux comes with. Metrics from
 * @capsizecss/metrics 4.3.0, in which Arimo, Tinos and Cousine are those of Arial, Times New Roman and Courier New, as the
 * Liberation fonts are (common practice, no source); of the DejaVu fonts 2.37 as @capsizecss/unpack reads them.
 */
const ARIAL: Local = {
  names: ['Arial', 'Liberation Sans', 'Arimo'],
  metrics: { ascent: 1854, descent: -434, lineGap: 67, unitsPerEm: 2048, xWidthAvg: 913 },
};
const ROBOTO: Local = {
  names: ['Roboto'],
  metrics: { ascent: 1900, descent: -500, lineGap: 0, unitsPerEm: 2048, xWidthAvg: 911 },
};
const DEJAVU_SANS: Local = {
  names: ['DejaVu Sans'],
  metrics: { ascent: 1901, descent: -483, lineGap: 0, unitsPerEm: 2048, xWidthAvg: 1041 },
};
const TIMES: Local = {
  names: ['Times New Roman', 'Liberation Serif', 'Tinos'],
  metrics: { ascent: 1825, descent: -443, lineGap: 87, unitsPerEm: 2048, xWidthAvg: 832 },
};
const NOTO_SERIF: Local = {
  names: ['Noto Serif'],
  metrics: { ascent: 1069, descent: -293, lineGap: 0, unitsPerEm: 1000, xWidthAvg: 481 },
};
const DEJAVU_SERIF: Local = {
  names: ['DejaVu Serif'],
  metrics: { ascent: 1901, descent: -483, lineGap: 0, unitsPerEm: 2048, xWidthAvg: 1058 },
};
const COURIER: Local = {
  names: ['Courier New', 'Liberation Mono', 'Cousine'],
  metrics: { ascent: 1705, descent: -615, lineGap: 0, unitsPerEm: 2048, xWidthAvg: 1229 },
};
const ROBOTO_MONO: Local = {
  names: ['Roboto Mono'],
  metrics: { ascent: 2146, descent: -555, lineGap: 0, unitsPerEm: 2048, xWidthAvg: 1229 },
};
const DEJAVU_MONO: Local = {
  names: ['DejaVu Sans Mono'],
  metrics: { ascent: 1901, descent: -483, lineGap: 0, unitsPerEm: 2048, xWidthAvg: 1233 },
};
type Locals = readonly [Local, Local, Local];
const SANS: Locals = [ARIAL, ROBOTO, DEJAVU_SANS];
const SERIF: Locals = [TIMES, NOTO_SERIF, DEJAVU_SERIF];
const MONO: Locals = [COURIER, ROBOTO_MONO, DEJAVU_MONO];
const LOCALS: Record<Generic, Locals> = {
  serif: SERIF,
  'ui-serif': SERIF,
  'sans-serif': SANS,
  'system-ui': SANS,
  cursive: SANS,
  monospace: MONO,
  'ui-monospace': MONO,
};

/** Names under which local fonts stand in, with adjusted metrics, while a font loads; the first that a machine has is used. */
export const fallbackNames = (family: string): readonly string[] =>
  [1, 2, 3].map(it => (it === 1 ? `${family} fallback` : `${family} fallback ${it}`));

/** Per cent with four decimals, as short as it can be. */
const percent = (n: number): string => `${printNumber(Number((n * 100).toFixed(4)))}%`;

export interface FallbackMetrics {
  /** The font by its names, any of which will do. */
  locals: readonly string[];
  sizeAdjust: number;
  ascent: number;
  descent: number;
  lineGap: number;
}

/**
 * How each local font has to be adjusted to take the room of a family: `size-adjust` so that lines are as long on average,
 * the overrides so that they are as high (CSS Fonts 5, sections 4.9 and 11). Empty for a family whose metrics are not known.
 */
export function fallbackMetrics({ metrics, generic }: Family): readonly FallbackMetrics[] {
  if (!metrics) return [];
  return LOCALS[generic].map(local => {
    const sizeAdjust =
      metrics.xWidthAvg / metrics.unitsPerEm / (local.metrics.xWidthAvg / local.metrics.unitsPerEm);
    const em = metrics.unitsPerEm * sizeAdjust;
    return {
      locals: local.names,
      sizeAdjust,
      ascent: metrics.ascent / em,
      descent: Math.abs(metrics.descent) / em,
      lineGap: metrics.lineGap / em,
    };
  });
}

/** `@font-face` of each local font that stands in. */
export const printFallbackFaces = (family: Family): string =>
  fallbackMetrics(family)
    .map(
      (it, i) =>
        `@font-face{font-family:"${fallbackNames(family.name)[i]}";src:${it.locals.map(name => `local("${name}")`).join(',')};size-adjust:${percent(it.sizeAdjust)};ascent-override:${percent(it.ascent)};descent-override:${percent(it.descent)};line-gap-override:${percent(it.lineGap)}}`,
    )
    .join('\n');

/** `@font-face` of one file as served at its address. */
export function printFontFace(family: Family, it: FontFile, address: (file: FontFile) => string): string {
  const { cut, format, weights } = it;
  const [least, most] = weights;
  const weight = least === most ? String(least) : `${least} ${most}`;
  return `@font-face{font-family:"${family.name}";font-style:${cut};font-weight:${weight};font-display:swap;src:url("${address(it)}") format("${format}")}`;
}

/** Whether a family has the weight asked for; the reader's own fonts are not known. */
export function hasWeight(family: Family, weight: number): boolean {
  const range = weightsOf(family);
  return range === null || (weight >= range[0] && weight <= range[1]);
}
