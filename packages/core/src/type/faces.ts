import { printNumber } from '../color/printColor.ts';
import { type Family, type FontFile, type FontMetrics, type Generic, weightsOf } from './family.ts';

/** Name under which a local font stands in, with adjusted metrics, while a font loads. */
export const fallbackName = (family: string): string => `${family} fallback`;

interface Local {
  name: string;
  metrics: FontMetrics;
}
/** Fonts that nearly every machine has; metrics from @capsizecss/metrics 4.3.0. */
const ARIAL: Local = {
  name: 'Arial',
  metrics: { ascent: 1854, descent: -434, lineGap: 67, unitsPerEm: 2048, xWidthAvg: 913 },
};
const TIMES: Local = {
  name: 'Times New Roman',
  metrics: { ascent: 1825, descent: -443, lineGap: 87, unitsPerEm: 2048, xWidthAvg: 832 },
};
const COURIER: Local = {
  name: 'Courier New',
  metrics: { ascent: 1705, descent: -615, lineGap: 0, unitsPerEm: 2048, xWidthAvg: 1229 },
};
const LOCALS: Record<Generic, Local> = {
  serif: TIMES,
  'ui-serif': TIMES,
  'sans-serif': ARIAL,
  'system-ui': ARIAL,
  cursive: ARIAL,
  monospace: COURIER,
  'ui-monospace': COURIER,
};

/** Per cent with four decimals, as short as it can be. */
const percent = (n: number): string => `${printNumber(Number((n * 100).toFixed(4)))}%`;

export interface FallbackMetrics {
  local: string;
  sizeAdjust: number;
  ascent: number;
  descent: number;
  lineGap: number;
}

/**
 * How a local font has to be adjusted to take the room of a family: `size-adjust` so that lines are as long on average,
 * the overrides so that they are as high (CSS Fonts 5, sections 4.9 and 11).
 */
export function fallbackMetrics({ metrics, generic }: Family): FallbackMetrics | null {
  if (!metrics) return null;
  const local = LOCALS[generic];
  const sizeAdjust =
    metrics.xWidthAvg / metrics.unitsPerEm / (local.metrics.xWidthAvg / local.metrics.unitsPerEm);
  const em = metrics.unitsPerEm * sizeAdjust;
  return {
    local: local.name,
    sizeAdjust,
    ascent: metrics.ascent / em,
    descent: Math.abs(metrics.descent) / em,
    lineGap: metrics.lineGap / em,
  };
}

/** `@font-face` of the local font that stands in. */
export function printFallbackFace(family: Family): string {
  const it = fallbackMetrics(family);
  if (!it) return '';
  return `@font-face{font-family:"${fallbackName(family.name)}";src:local("${it.local}");size-adjust:${percent(it.sizeAdjust)};ascent-override:${percent(it.ascent)};descent-override:${percent(it.descent)};line-gap-override:${percent(it.lineGap)}}`;
}

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
