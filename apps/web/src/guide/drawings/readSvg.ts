import {
  type Color,
  type DrawnPath,
  distance,
  fail,
  LIMITS,
  literalOf,
  NO_REBINDS,
  ok,
  parseColor,
  type Result,
  type Site,
  type Value,
} from '@cove/core';
import svgpath from 'svgpath';

export interface ReadDrawing {
  width: number;
  height: number;
  paths: DrawnPath[];
}

/** A colour nearer than this (CIEDE2000) to a swatch is taken for it. */
const NEAR = 2;
/** Shapes of one drawing, as its record has them. */
const MOST_SHAPES = 400;

const number = (element: Element, name: string): number => {
  const value = Number.parseFloat(element.getAttribute(name) ?? '');
  return Number.isFinite(value) ? value : 0;
};

/** Path data of a basic shape (SVG 2, section 10); null for what is none. */
function dataOf(element: Element): string | null {
  const n = (name: string) => number(element, name);
  const round = (cx: number, cy: number, rx: number, ry: number) =>
    `M${cx - rx} ${cy}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0z`;
  switch (element.localName) {
    case 'path':
      return element.getAttribute('d');
    case 'circle':
      return round(n('cx'), n('cy'), n('r'), n('r'));
    case 'ellipse':
      return round(n('cx'), n('cy'), n('rx'), n('ry'));
    case 'line':
      return `M${n('x1')} ${n('y1')}L${n('x2')} ${n('y2')}`;
    case 'polyline':
    case 'polygon': {
      const points = (element.getAttribute('points') ?? '').trim();
      return points === '' ? null : `M${points}${element.localName === 'polygon' ? 'z' : ''}`;
    }
    case 'rect':
      return `M${n('x')} ${n('y')}h${n('width')}v${n('height')}h${-n('width')}z`;
    default:
      return null;
  }
}

/** A presentation attribute, or the same in `style`, of an element or of what holds it. */
function inherited(element: Element, name: string): string | null {
  for (let at: Element | null = element; at; at = at.parentElement) {
    const style = new RegExp(`(?:^|;)\\s*${name}\\s*:\\s*([^;]+)`).exec(at.getAttribute('style') ?? '')?.[1];
    const found = style ?? at.getAttribute(name);
    if (found !== null && found !== undefined && found !== 'inherit') return found.trim();
  }
  return null;
}

const isInk = (color: Color): boolean => color.coords.every(it => it === 0) && color.alpha === 1;

/** Black and `currentColor` become the colour of the place; what comes near a swatch becomes that swatch. */
function paintOf(site: Site, text: string | null, initial: string): Value | null {
  const written = text ?? initial;
  if (written === 'none' || written === 'transparent') return null;
  const color = parseColor(written);
  if (!color || isInk(color)) return { type: 'keyword', value: 'currentcolor' };
  const near = [...site.kinds.token.values()]
    .flatMap(({ id, type, value }) => {
      const end = type === 'color' ? literalOf(site.kinds.token, NO_REBINDS, value) : null;
      return end?.type === 'color' ? [{ id, far: distance(end.value, color) }] : [];
    })
    .sort((a, b) => a.far - b.far)[0];
  return near && near.far < NEAR ? { type: 'token', token: near.id } : { type: 'color', value: color };
}

/**
 * Reads the shapes of an SVG: paths and basic shapes, their transforms worked in, their paints tied to swatches. Scripts,
 * links, styles of others and pictures have no place in what comes out, since only path data and colours are taken.
 */
export function readSvg(text: string, site: Site): Result<ReadDrawing> {
  const refuse = (message: string) =>
    fail({ code: 'bad-svg', message, expected: 'an SVG of paths and shapes' });
  if (text.length > LIMITS.typed.drawing)
    return refuse('The drawing is larger than 500 KB. Simplify it first.');
  const parsed = new DOMParser().parseFromString(text, 'image/svg+xml');
  const root = parsed.documentElement;
  if (parsed.querySelector('parsererror') || root.localName !== 'svg')
    return refuse('This is not an SVG file.');
  if (parsed.querySelector('image'))
    return refuse('It contains a bitmap, which cannot be recoloured. Use shapes only.');
  const [x = 0, y = 0, w = 0, h = 0] = (root.getAttribute('viewBox') ?? '').split(/[\s,]+/).map(Number);
  const width = w > 0 ? w : number(root, 'width');
  const height = h > 0 ? h : number(root, 'height');
  if (!(width > 0 && height > 0)) return refuse('The drawing does not say its size (viewBox).');
  const shapes = root.querySelectorAll('path,circle,ellipse,line,polyline,polygon,rect');
  const tooMany = () =>
    refuse(`There are ${shapes.length} shapes in it; ${MOST_SHAPES} are taken. Simplify it first.`);
  // Each is looked at with all that it stands in, so they are counted first.
  if (shapes.length > LIMITS.typed.shapes) return tooMany();
  /** Many shapes have few paints. */
  const paints = new Map<string, Value | null>();
  const paint = (written: string | null, initial: string): Value | null => {
    const key = written ?? initial;
    const known = paints.get(key);
    const found = known === undefined ? paintOf(site, written, initial) : known;
    paints.set(key, found);
    return found;
  };
  const paths: DrawnPath[] = [];
  for (const element of shapes) {
    if (element.closest('defs,clipPath,mask,pattern,symbol,marker')) continue;
    const data = dataOf(element);
    if (!data) continue;
    let path = svgpath(data);
    for (let at: Element | null = element; at && at !== root; at = at.parentElement) {
      const transform = at.getAttribute('transform');
      if (transform) path = path.transform(transform);
    }
    const d = path.translate(-x, -y).abs().round(3).toString();
    const fill = paint(inherited(element, 'fill'), 'black');
    const stroke = paint(inherited(element, 'stroke'), 'none');
    if (d === '' || (!fill && !stroke)) continue;
    const line = Number.parseFloat(inherited(element, 'stroke-width') ?? '1');
    paths.push({ d, fill, stroke, width: stroke ? (Number.isFinite(line) ? line : 1) : 0 });
  }
  if (paths.length === 0) return refuse('It has no shapes.');
  if (paths.length > MOST_SHAPES) return tooMany();
  return ok({ width, height, paths });
}
