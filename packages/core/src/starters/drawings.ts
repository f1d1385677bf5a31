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

const quay = (x: number, y: number) =>
  `<path d="M${x},${y} H780 L820,${y + 24} H${x} Z" fill="#7a6a5c"/><path d="M${x},${y + 24} H820 V750 H${x} Z" fill="#5d5148"/>${[60, 240, 420, 600, 760].map(post => `<rect x="${post}" y="${y + 24}" width="14" height="90" fill="#463d37"/>`).join('')}`;
const houses = (x: number, y: number, fills: readonly string[]) =>
  fills
    .map((fill, i) => {
      const left = x + i * 158;
      const height = 110 + ((i * 53) % 60);
      return `<path d="M${left},${y} V${y - height} L${left + 66},${y - height - 54} L${left + 132},${y - height} V${y} Z" fill="${fill}"/><path d="M${left - 8},${y - height + 4} L${left + 66},${y - height - 58} L${left + 140},${y - height + 4}" fill="none" stroke="#3b3f4e" stroke-width="9"/><rect x="${left + 26}" y="${y - height + 26}" width="28" height="34" fill="#fff3cf"/><rect x="${left + 78}" y="${y - height + 26}" width="28" height="34" fill="#fff3cf" fill-opacity=".7"/><rect x="${left + 48}" y="${y - 58}" width="36" height="58" fill="#2b3145"/>`;
    })
    .join('');
export const sail = (x: number, y: number, size: number) =>
  `<g transform="translate(${x} ${y}) scale(${size})"><path d="M-46,0 H46 L32,20 H-34 Z" fill="#3a2f3f"/><path d="M-4,-6 V-110 L44,-12 Z" fill="#fbf7ef"/><path d="M-10,-8 V-88 L-42,-14 Z" fill="#e9dfd0"/></g>`;
export const gulls = (x: number, y: number) =>
  [0, 1, 2, 3]
    .map(
      i =>
        `<path d="M${x + i * 78},${y + ((i * 53) % 60)} q14,-16 28,0 q14,-16 28,0" fill="none" stroke="#4a5168" stroke-width="4" stroke-linecap="round"/>`,
    )
    .join('');
const stones = (x: number, y: number) =>
  `<path d="M0,${y + 20} Q600,${y - 30} 1200,${y + 40} V750 H0 Z" fill="#d8c9b4" fill-opacity=".75"/>` +
  [0, 1, 2, 3, 4, 5, 6]
    .map(i => {
      const size = 16 + i * 13;
      return `<ellipse cx="${x + Math.round(Math.sin(i * 1.3) * (30 + i * 14))}" cy="${y + 30 + i * i * 6}" rx="${size}" ry="${Math.round(size * 0.36)}" fill="#6f6874"/><ellipse cx="${x + Math.round(Math.sin(i * 1.3) * (30 + i * 14))}" cy="${y + 26 + i * i * 6}" rx="${Math.round(size * 0.8)}" ry="${Math.round(size * 0.22)}" fill="#8f8792"/>`;
    })
    .join('');
const bakery = (x: number, y: number) =>
  `<path d="M420,750 Q560,${y - 30} 820,${y} T1200,${y - 20} V750 Z" fill="#5e6a4b"/><path d="M420,750 Q560,${y} 820,${y + 40} T1200,${y + 30} V750 Z" fill="#4d5940"/>` +
  `<path d="M${x},${y + 20} V${y - 92} L${x + 110},${y - 170} L${x + 220},${y - 92} V${y + 20} Z" fill="#faf6ec"/><path d="M${x - 14},${y - 84} L${x + 110},${y - 176} L${x + 234},${y - 84}" fill="none" stroke="#7a3d3a" stroke-width="14"/><rect x="${x + 160}" y="${y - 196}" width="30" height="62" fill="#7a3d3a"/><path d="M${x + 176},${y - 204} q24,-34 -4,-58 q-24,-30 10,-62" fill="none" stroke="#ffffff" stroke-opacity=".7" stroke-width="15" stroke-linecap="round"/><rect x="${x + 30}" y="${y - 66}" width="44" height="44" fill="#f6c445"/><rect x="${x + 146}" y="${y - 66}" width="44" height="44" fill="#f6c445"/><rect x="${x + 90}" y="${y - 56}" width="42" height="76" fill="#3f5a6e"/>`;
const lamp = (x: number, y: number) =>
  `<path d="M${x},${y - 232} L0,${y - 420} V${y - 190} Z" fill="#ffe9a8" fill-opacity=".28"/><path d="M${x},${y - 232} L1200,${y - 330} V${y - 150} Z" fill="#ffe9a8" fill-opacity=".2"/>` +
  `<path d="M${x - 150},${y + 60} q150,-110 320,0 l60,130 H${x - 230} Z" fill="#12142b"/><path d="M${x - 34},${y} L${x - 20},${y - 200} H${x + 20} L${x + 34},${y} Z" fill="#e8e4ee"/><path d="M${x - 29},${y - 70} L${x - 25},${y - 126} H${x + 25} L${x + 29},${y - 70} Z" fill="#a33b46"/><rect x="${x - 23}" y="${y - 252}" width="46" height="52" fill="#22304f"/><circle cx="${x}" cy="${y - 230}" r="15" fill="#ffe08a"/><path d="M${x - 30},${y - 252} L${x},${y - 286} L${x + 30},${y - 252} Z" fill="#a33b46"/>`;

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
  {
    name: 'Hesk harbour',
    alt: 'Boathouses and a quay in the morning',
    sky: ['#f3d9c3', '#eaf1f6'],
    sea: ['#7b9bb4', '#3d5f80'],
    land: ['#9bb29a', '#5d7f66'],
    light: { x: 180, y: 300, r: 52, fill: '#fbe3ad' },
    seed: 17,
    front: quay(0, 640) + houses(90, 640, ['#b1434a', '#f3efe8', '#2a3a5f', '#d9a441']) + sail(860, 610, 1),
  },
  {
    name: 'Tide path',
    alt: 'A path of stones over wet sand at low tide',
    sky: ['#e4dcec', '#f8f2ea'],
    sea: ['#c3bccb', '#a99f9b'],
    land: ['#b6a3c4', '#7c628f'],
    light: { x: 980, y: 220, r: 44, fill: '#fdeec6' },
    seed: 29,
    front: stones(560, 470) + gulls(180, 180),
  },
  {
    name: 'Carrow bakery',
    alt: 'A white house with a smoking chimney above the cliffs',
    sky: ['#c7d9e8', '#f2f5f1'],
    sea: ['#5c8197', '#2c4a5e'],
    land: ['#a184ab', '#70447c', '#4a2b55'],
    light: { x: 260, y: 130, r: 34, fill: '#fff6d8' },
    seed: 41,
    front: bakery(700, 560) + gulls(140, 260),
  },
  {
    name: 'In fog',
    alt: 'The ferry coming out of thick fog',
    sky: ['#dfe4e6', '#e9ecec'],
    sea: ['#c2cbd0', '#96a4ae'],
    land: ['#cfd6d9'],
    light: { x: 700, y: 190, r: 46, fill: '#f7f6ee' },
    seed: 83,
    ferry: { x: 620, y: 500, scale: 1.2 },
  },
  {
    name: 'Lamp lit',
    alt: 'A lighthouse with its beam over the sea at dusk',
    sky: ['#2b2a4f', '#d98f6d'],
    sea: ['#4d3f66', '#151a36'],
    land: ['#39305a', '#1c1c3a'],
    light: { x: 210, y: 420, r: 60, fill: '#f7b05a' },
    seed: 59,
    front: lamp(860, 560),
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
  `<g transform="translate(${x} ${y}) scale(${scale})"><ellipse cx="4" cy="30" rx="84" ry="7" fill="#0d1730" fill-opacity=".35"/><path d="M-70,0 L80,0 L62,26 L-58,26 Z" fill="#22304f"/><path d="M-66,8 H74" stroke="#f6c445" stroke-width="3"/><path d="M-52,-20 H48 V0 H-52 Z" fill="#f7fafc"/><path d="M-30,-38 H20 V-20 H-30 Z" fill="#e9eff5"/><path d="M-26,-33 H16 V-26 H-26 Z" fill="#4a6d8c"/><path d="M-8,-58 H8 V-38 H-8 Z" fill="#f6c445"/><path d="M-8,-52 H8 V-47 H-8 Z" fill="#61356c"/><path d="M-44,-13 H40 V-7 H-44 Z" fill="#61356c"/><path d="M0,-62 q16,-14 40,-10 q24,3 46,-8" fill="none" stroke="#ffffff" stroke-opacity=".55" stroke-width="7" stroke-linecap="round"/><path d="M-64,27 q-40,2 -74,12 M70,27 q40,2 70,10" fill="none" stroke="#ffffff" stroke-opacity=".6" stroke-width="4" stroke-linecap="round"/></g>`;

/** Clouds that lie along the sky, thinner the higher they are. */
const clouds = (seed: number) =>
  Array.from({ length: 5 }, (_, i) => {
    const x = (seed * 137 + i * 331) % DRAWING_WIDTH;
    const y = 60 + ((seed * 29 + i * 67) % 230);
    const width = 120 + ((seed * 17 + i * 83) % 180);
    return `<ellipse cx="${x}" cy="${y}" rx="${width}" ry="${8 + (i % 3) * 6}" fill="#ffffff" fill-opacity="${(0.1 + (i % 3) * 0.06).toFixed(2)}"/><ellipse cx="${x + width / 2}" cy="${y + 12}" rx="${Math.round(width * 0.6)}" ry="${6 + (i % 2) * 4}" fill="#ffffff" fill-opacity=".12"/>`;
  }).join('');

const HORIZON = 440;

/** The sea as strokes of light, longer towards whoever looks, and a path of them below the sun. */
const glints = (seed: number, light: Scene['light']) =>
  Array.from({ length: 44 }, (_, i) => {
    const depth = i / 44;
    const y = HORIZON + 10 + depth * depth * 280;
    const below = i % 2 === 0;
    const spread = 40 + depth * 170;
    const x = below
      ? light.x - spread / 2 + ((i * 97 + seed * 31) % Math.max(1, Math.round(spread)))
      : (i * 197 + seed * 61) % DRAWING_WIDTH;
    const length = (below ? 22 : 40) + depth * 110;
    const strength = (below ? 0.34 : 0.07) + (i % 5) * 0.03;
    return `<path d="M${x.toFixed(0)},${y.toFixed(0)} h${length.toFixed(0)}" stroke="${below ? light.fill : '#ffffff'}" stroke-opacity="${strength.toFixed(2)}" stroke-width="${(1.5 + depth * 4).toFixed(1)}" stroke-linecap="round"/>`;
  }).join('');

/** Layers of land, each lit from above, hazier the farther away, with a line of surf at its foot. */
const islands = (land: readonly string[], seed: number) =>
  land
    .map((fill, i) => {
      const base = HORIZON + i * 26;
      const outline = ridge(seed + i * 5, base, 210 - i * 50);
      const haze = 0.42 - i * 0.2;
      return `<path d="${outline}" fill="${fill}"/><path d="${outline}" fill="url(#lit)"/>${haze > 0 ? `<path d="${outline}" fill="url(#haze)" fill-opacity="${haze.toFixed(2)}"/>` : ''}<path d="M0,${base + 2} H${DRAWING_WIDTH}" stroke="#ffffff" stroke-opacity=".18" stroke-width="3"/>`;
    })
    .join('');

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
  const whole = `width="${DRAWING_WIDTH}" height="${DRAWING_HEIGHT}"`;
  const down = (id: string, ...stops: readonly string[]) =>
    `<linearGradient id="${id}" x1="0" y1="0" x2="0" y2="1">${stops.map((stop, i) => `<stop offset="${i / (stops.length - 1)}" ${stop}/>`).join('')}</linearGradient>`;
  const color = (it: string, opacity = 1) =>
    `stop-color="${it}"${opacity < 1 ? ` stop-opacity="${opacity}"` : ''}`;
  const defs =
    down('sky', color(sky[0]), color(sky[1])) +
    down('sea', color(sea[0]), color(sea[1])) +
    down('lit', color('#ffffff', 0.26), color('#ffffff', 0), color('#000000', 0.22)) +
    down('haze', color(sky[1], 0), color(sky[1])) +
    `<radialGradient id="glow" gradientUnits="userSpaceOnUse" cx="${light.x}" cy="${light.y}" r="${light.r * 6}"><stop offset="0" ${color(light.fill, 0.75)}/><stop offset="1" ${color(light.fill, 0)}/></radialGradient>`;
  const sunAndSky = `<rect ${whole} fill="url(#sky)"/><rect ${whole} fill="url(#glow)"/>${clouds(seed)}<circle cx="${light.x}" cy="${light.y}" r="${light.r}" fill="${light.fill}"/>`;
  const water = `<rect y="${HORIZON + 2}" width="${DRAWING_WIDTH}" height="${DRAWING_HEIGHT - HORIZON - 2}" fill="url(#sea)"/>${glints(seed, light)}`;
  const svg =
    `<svg xmlns="http://www.w3.org/2000/svg" ${whole} viewBox="0 0 ${DRAWING_WIDTH} ${DRAWING_HEIGHT}">` +
    `<defs>${defs}</defs>${sunAndSky}${islands(land, seed)}${water}${boat ? ferry(boat.x, boat.y, boat.scale) : ''}${front}</svg>`;
  return { name, alt, svg };
}

export const drawings = (): Drawing[] => SCENES.map(drawScene);
