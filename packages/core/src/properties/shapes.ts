import { printNumber } from '../color/index.ts';

type Corner = readonly [x: number, y: number];

const STEPS = 48;
/** Two whole waves, as a run of points; a polygon keeps its proportions at every width, which a path would not. */
const WAVE: readonly Corner[] = Array.from({ length: STEPS + 1 }, (_, i) => {
  const along = 1 - i / STEPS;
  return [along * 100, 50 + 46 * Math.sin(along * 4 * Math.PI)];
});

/** What of a strip belongs to the neighbour, in per cent of it; the rest is the section's own. */
export const EDGE_SHAPES = {
  straight: { label: 'Straight', corners: null },
  slope: {
    label: 'Slope',
    corners: [
      [0, 0],
      [100, 0],
      [0, 100],
    ],
  },
  'slope-back': {
    label: 'Slope, the other way',
    corners: [
      [0, 0],
      [100, 0],
      [100, 100],
    ],
  },
  point: {
    label: 'Point',
    corners: [
      [0, 0],
      [100, 0],
      [100, 100],
      [50, 0],
      [0, 100],
    ],
  },
  wave: { label: 'Wave', corners: [[0, 0], [100, 0], ...WAVE] },
  notch: {
    label: 'Notch',
    corners: [
      [0, 0],
      [100, 0],
      [58, 0],
      [50, 100],
      [42, 0],
    ],
  },
} as const satisfies Record<string, { label: string; corners: readonly Corner[] | null }>;
export type EdgeShape = keyof typeof EDGE_SHAPES;

const isEdgeShape = (name: string): name is EdgeShape => Object.hasOwn(EDGE_SHAPES, name);
export const EDGE_SHAPE_NAMES: readonly EdgeShape[] = Object.keys(EDGE_SHAPES).filter(isEdgeShape);

/** `clip-path` of a shape by its name (CSS Shapes 1, polygon); a straight edge leaves the neighbour nothing. */
export function printEdgeShape(name: string): string {
  const corners: readonly Corner[] | null = isEdgeShape(name) ? EDGE_SHAPES[name].corners : null;
  if (!corners) return 'inset(100%)';
  return `polygon(${corners.map(([x, y]) => `${printNumber(Number(x.toFixed(2)))}% ${printNumber(Number(y.toFixed(2)))}%`).join(', ')})`;
}
