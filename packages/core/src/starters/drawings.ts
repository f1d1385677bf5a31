/** Pictures of the demo, drawn by the program: a sky, a sun or moon, islands, the sea, now and then a ferry. */
export interface Drawing {
  name: string;
  alt: string;
  svg: string;
}

export const DRAWING_WIDTH = 1200;
export const DRAWING_HEIGHT = 750;

export interface Scene {
  name: string;
  alt: string;
  sky: readonly [string, string];
  sea: readonly [string, string];
  land: readonly string[];
  light: { x: number; y: number; r: number; fill: string };
  seed: number;
  ferry?: { x: number; y: number; scale: number };
  /** Shapes that stand before the sea. */
  front?: string;
}

const SCENES: readonly Scene[] = [
  {
    name: 'Early boat',
    alt: 'A ferry leaving the quay under a low sun',
    sky: ['#f7d9a8', '#dfe9f2'],
    sea: ['#5d7ea6', '#22365e'],
    land: ['#8a7fa3', '#56507d'],
    light: { x: 860, y: 300, r: 70, fill: '#f6c445' },
    seed: 3,
    ferry: { x: 380, y: 470, scale: 1.5 },
  },
  {
    name: 'Hesk',
    alt: 'The long ridge of Hesk seen from the sea',
    sky: ['#dbe8f3', '#f4fafe'],
    sea: ['#7ea3bd', '#3c5f82'],
    land: ['#9bb29a', '#5d7f66', '#3b5c4a'],
    light: { x: 250, y: 170, r: 46, fill: '#ffffff' },
    seed: 11,
  },
  {
    name: 'Little Hesk',
    alt: 'A single round hill with the tide out',
    sky: ['#e9e1f2', '#f6f3fa'],
    sea: ['#a9b6cf', '#6d7ea8'],
    land: ['#b6a3c4', '#7c628f'],
    light: { x: 920, y: 150, r: 40, fill: '#f7e6b0' },
    seed: 23,
  },
  {
    name: 'Carrow',
    alt: 'Heather on the cliffs of Carrow',
    sky: ['#cfe0ea', '#eef6fa'],
    sea: ['#5c8197', '#2c4a5e'],
    land: ['#a184ab', '#70447c', '#4a2b55'],
    light: { x: 620, y: 140, r: 38, fill: '#fff6d8' },
    seed: 37,
  },
  {
    name: 'Sant Bree',
    alt: 'The lamp of Sant Bree at night',
    sky: ['#141c30', '#34406a'],
    sea: ['#27345a', '#10182b'],
    land: ['#222b49', '#161d33'],
    light: { x: 300, y: 150, r: 34, fill: '#e9edf7' },
    seed: 53,
  },
  {
    name: 'On deck',
    alt: 'The ferry between two islands at noon',
    sky: ['#bfdcef', '#eef7fc'],
    sea: ['#4f8bb0', '#235478'],
    land: ['#8fae9f', '#5a806d'],
    light: { x: 980, y: 120, r: 44, fill: '#fff2c2' },
    seed: 71,
    ferry: { x: 560, y: 500, scale: 2 },
  },
];

/** A ridge as a sum of three waves, so that the same seed draws the same island. */
function ridge(seed: number, base: number, height: number): string {
  const points: string[] = [];
  for (let x = 0; x <= DRAWING_WIDTH; x += 20) {
    const t = x / DRAWING_WIDTH;
    const wave =
      Math.sin(t * 5.1 + seed) * 0.5 +
      Math.sin(t * 11.3 + seed * 1.7) * 0.28 +
      Math.sin(t * 23.9 + seed * 2.3) * 0.1;
    const shore = Math.sin(Math.PI * Math.min(1, Math.max(0, (t - 0.05 * (seed % 3)) * 1.15)));
    points.push(`${x},${(base - Math.max(0, wave + 0.55) * height * shore).toFixed(1)}`);
  }
  return `M0,${base} L${points.join(' L')} L${DRAWING_WIDTH},${base} Z`;
}

const ferry = (x: number, y: number, scale: number) =>
  `<g transform="translate(${x} ${y}) scale(${scale})"><path d="M-70,0 L80,0 L62,26 L-58,26 Z" fill="#22304f"/><path d="M-52,-20 H48 V0 H-52 Z" fill="#f7fafc"/><path d="M-30,-38 H20 V-20 H-30 Z" fill="#f7fafc"/><path d="M-8,-58 H8 V-38 H-8 Z" fill="#f6c445"/><path d="M-44,-13 H40 V-7 H-44 Z" fill="#61356c"/></g>`;

export function drawScene({
  name,
  alt,
  sky,
  sea,
  land,
  light,
  seed,
  ferry: boat,
  front = '',
}: Scene): Drawing {
  const horizon = 440;
  const layers = land
    .map((fill, i) => `<path d="${ridge(seed + i * 5, horizon + i * 26, 210 - i * 50)}" fill="${fill}"/>`)
    .join('');
  const glints = Array.from({ length: 26 }, (_, i) => {
    const y = horizon + 30 + i * 11;
    const x = (i * 197 + seed * 61) % DRAWING_WIDTH;
    return `<path d="M${x},${y} h${40 + ((i * 37) % 90)}" stroke="#ffffff" stroke-opacity="${(0.05 + (i % 5) * 0.03).toFixed(2)}" stroke-width="3" stroke-linecap="round"/>`;
  }).join('');
  const gradient = (id: string, [from, to]: readonly [string, string]) =>
    `<linearGradient id="${id}" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="${from}"/><stop offset="1" stop-color="${to}"/></linearGradient>`;
  const svg =
    `<svg xmlns="http://www.w3.org/2000/svg" width="${DRAWING_WIDTH}" height="${DRAWING_HEIGHT}" viewBox="0 0 ${DRAWING_WIDTH} ${DRAWING_HEIGHT}">` +
    `<defs>${gradient('sky', sky)}${gradient('sea', sea)}</defs>` +
    `<rect width="${DRAWING_WIDTH}" height="${DRAWING_HEIGHT}" fill="url(#sky)"/><circle cx="${light.x}" cy="${light.y}" r="${light.r}" fill="${light.fill}"/>${layers}` +
    `<rect y="${horizon + 20}" width="${DRAWING_WIDTH}" height="${DRAWING_HEIGHT - horizon - 20}" fill="url(#sea)"/>${glints}${boat ? ferry(boat.x, boat.y, boat.scale) : ''}${front}</svg>`;
  return { name, alt, svg };
}

export const drawings = (): Drawing[] => SCENES.map(drawScene);
