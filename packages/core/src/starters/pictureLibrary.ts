import { type Drawing, drawScene, gulls, type Scene, sail } from './drawings.ts';

/** A picture that the simulated library outside gives away. */
export interface LibraryPicture {
  id: string;
  name: string;
  alt: string;
  /** What it can be found by, besides its name. */
  subjects: readonly string[];
}

type Light = Pick<Scene, 'sky' | 'sea' | 'light'> & { when: string; words: readonly string[] };

const LIGHTS: readonly Light[] = [
  {
    when: 'at dawn',
    words: ['dawn', 'sunrise', 'morning', 'pink'],
    sky: ['#f3c9c4', '#f9ead8'],
    sea: ['#b58fa6', '#5f5a86'],
    light: { x: 930, y: 350, r: 54, fill: '#ffd9a0' },
  },
  {
    when: 'in the morning',
    words: ['morning', 'clear', 'blue'],
    sky: ['#cfe3f2', '#f5fafd'],
    sea: ['#6f9dbd', '#33618a'],
    light: { x: 820, y: 190, r: 46, fill: '#fff6d4' },
  },
  {
    when: 'at noon',
    words: ['noon', 'summer', 'bright'],
    sky: ['#a9d3ee', '#e6f4fb'],
    sea: ['#3f8bb6', '#155a82'],
    light: { x: 600, y: 110, r: 50, fill: '#fffbe6' },
  },
  {
    when: 'in fog',
    words: ['fog', 'mist', 'grey', 'quiet'],
    sky: ['#d8dde0', '#eceff0'],
    sea: ['#b9c3c9', '#8b99a3'],
    light: { x: 300, y: 200, r: 40, fill: '#f4f4f0' },
  },
  {
    when: 'in the evening',
    words: ['evening', 'sunset', 'warm', 'orange'],
    sky: ['#f0a36b', '#f9dcae'],
    sea: ['#7c5a7d', '#2f2f5c'],
    light: { x: 240, y: 370, r: 62, fill: '#f8c24a' },
  },
  {
    when: 'at night',
    words: ['night', 'moon', 'dark', 'stars'],
    sky: ['#0f1730', '#313d68'],
    sea: ['#223058', '#0c1326'],
    light: { x: 880, y: 140, r: 32, fill: '#eef1fa' },
  },
];

const lighthouse = (x: number, y: number) =>
  `<path d="M${x - 26},${y} L${x - 15},${y - 190} H${x + 15} L${x + 26},${y} Z" fill="#f3efe8"/><path d="M${x - 22},${y - 70} L${x - 18},${y - 120} H${x + 18} L${x + 22},${y - 70} Z" fill="#b1434a"/><rect x="${x - 17}" y="${y - 226}" width="34" height="36" fill="#2a3550"/><circle cx="${x}" cy="${y - 208}" r="10" fill="#f8c24a"/><path d="M${x - 70},${y} q70,-34 140,0 z" fill="#3d4457"/>`;
const buoy = (x: number, y: number) =>
  `<g transform="translate(${x} ${y})"><path d="M-34,20 h68 l-12,26 h-44 z" fill="#2a3550"/><path d="M-22,20 L-8,-56 H8 L22,20 Z" fill="#c8503f"/><circle cx="0" cy="-66" r="11" fill="#f8c24a"/></g>`;
const pier =
  '<path d="M0,610 H560 V634 H0 Z" fill="#6d5a49"/>' +
  [60, 180, 300, 420, 530]
    .map(x => `<rect x="${x}" y="634" width="16" height="116" fill="#54463a"/>`)
    .join('');
const rocks =
  '<path d="M620,640 q60,-70 130,-14 q50,-46 96,4 q44,-26 70,20 z" fill="#474b55"/><path d="M300,690 q40,-44 92,-6 q36,-20 60,14 z" fill="#5a5f69"/>';

type Motif = Pick<Scene, 'name' | 'alt' | 'land' | 'seed' | 'ferry' | 'front'> & { words: readonly string[] };

const MOTIFS: readonly Motif[] = [
  {
    name: 'Long ridge',
    alt: 'A long green ridge beyond the sea',
    words: ['island', 'hill', 'green'],
    land: ['#9bb29a', '#5d7f66', '#3b5c4a'],
    seed: 11,
  },
  {
    name: 'Round hill',
    alt: 'A single round hill above the water',
    words: ['island', 'hill'],
    land: ['#b6a3c4', '#7c628f'],
    seed: 23,
  },
  {
    name: 'Heather cliffs',
    alt: 'Cliffs covered in heather',
    words: ['island', 'cliff', 'heather', 'purple'],
    land: ['#a184ab', '#70447c', '#4a2b55'],
    seed: 37,
  },
  {
    name: 'Open water',
    alt: 'Nothing but water up to the horizon',
    words: ['sea', 'horizon', 'empty'],
    land: [],
    seed: 5,
  },
  {
    name: 'Ferry',
    alt: 'A ferry on its way between islands',
    words: ['ship', 'boat', 'crossing', 'transport'],
    land: ['#8fae9f', '#5a806d'],
    seed: 71,
    ferry: { x: 560, y: 500, scale: 2 },
  },
  {
    name: 'Far ferry',
    alt: 'A small ferry far out at sea',
    words: ['ship', 'boat', 'distance'],
    land: ['#94a3ad'],
    seed: 83,
    ferry: { x: 820, y: 470, scale: 0.8 },
  },
  {
    name: 'Lighthouse',
    alt: 'A lighthouse on a rock',
    words: ['lamp', 'tower', 'coast'],
    land: ['#7f8794'],
    seed: 53,
    front: lighthouse(360, 560),
  },
  {
    name: 'Two sails',
    alt: 'Two sailing boats side by side',
    words: ['boat', 'sailing', 'wind', 'sport'],
    land: ['#8c9f8d'],
    seed: 29,
    front: sail(420, 590, 1.6) + sail(760, 540, 1),
  },
  {
    name: 'Buoy',
    alt: 'A red buoy in the current',
    words: ['sign', 'red', 'current'],
    land: ['#9aa7b0', '#6b7a86'],
    seed: 61,
    front: buoy(700, 590),
  },
  {
    name: 'Gulls',
    alt: 'Gulls above the bay',
    words: ['birds', 'animals', 'sky'],
    land: ['#a3b3a0', '#6f8571'],
    seed: 43,
    front: gulls(380, 190),
  },
  {
    name: 'Pier',
    alt: 'A wooden pier that leads out over the water',
    words: ['quay', 'harbour', 'wood'],
    land: ['#93a09a'],
    seed: 17,
    front: pier,
  },
  {
    name: 'Rocks',
    alt: 'Rocks in the shallows',
    words: ['coast', 'stones', 'low tide'],
    land: ['#b0a795', '#877d6c'],
    seed: 97,
    front: rocks,
  },
];

const idOf = (name: string): string => name.toLowerCase().replace(/[^a-z]+/g, '-');

const ALL = MOTIFS.flatMap(motif =>
  LIGHTS.map(light => {
    const name = `${motif.name} ${light.when}`;
    return {
      picture: {
        id: idOf(name),
        name,
        alt: `${motif.alt}, ${light.when}`,
        subjects: [...motif.words, ...light.words],
      },
      scene: { ...light, ...motif, name },
    };
  }),
);
const BY_ID = new Map(ALL.map(it => [it.picture.id, it]));

/** All pictures of the simulated library, in an order that shows each motif early. */
export const libraryPictures = (): LibraryPicture[] =>
  LIGHTS.flatMap((_, i) =>
    MOTIFS.flatMap((__, m) => ALL[m * LIGHTS.length + ((i + m) % LIGHTS.length)]?.picture ?? []),
  );

/** One of them, drawn; null where there is none of that id. */
export function libraryDrawing(id: string): Drawing | null {
  const found = BY_ID.get(id);
  return found ? drawScene(found.scene) : null;
}
