import { DRAWING_HEIGHT, DRAWING_WIDTH, type Drawing } from './drawings.ts';

/** Pictures that a site begins with until it has its own: still lifes and views of nowhere, in greys that go with any brand. */
const SHADES = ['#eceae6', '#dcd9d3', '#c5c1b9', '#a6a29a', '#7f7c76', '#57554f'] as const;
const [PAPER, PALE, MIST, STONE, SLATE, INK] = SHADES;

const drawing = (name: string, alt: string, shapes: string): Drawing => ({
  name,
  alt,
  svg: `<svg xmlns="http://www.w3.org/2000/svg" width="${DRAWING_WIDTH}" height="${DRAWING_HEIGHT}" viewBox="0 0 ${DRAWING_WIDTH} ${DRAWING_HEIGHT}"><rect width="1200" height="750" fill="${PAPER}"/>${shapes}</svg>`,
});

const rect = (x: number, y: number, width: number, height: number, fill: string, radius = 0): string =>
  `<rect x="${x}" y="${y}" width="${width}" height="${height}" rx="${radius}" fill="${fill}"/>`;
const circle = (x: number, y: number, r: number, fill: string): string =>
  `<circle cx="${x}" cy="${y}" r="${r}" fill="${fill}"/>`;
const path = (d: string, fill: string): string => `<path d="${d}" fill="${fill}"/>`;

const BOOKS: readonly (readonly [width: number, height: number, shade: string])[] = [
  [46, 250, SLATE],
  [34, 292, MIST],
  [58, 226, INK],
  [40, 270, STONE],
  [52, 304, PALE],
  [36, 240, SLATE],
  [60, 282, STONE],
];

const shelf = (y: number, first: number): string => {
  let x = first;
  const books = BOOKS.map(([width, height, shade]) => {
    const book = rect(x, y - height, width, height, shade, 3);
    x += width + 10;
    return book;
  });
  return `${books.join('')}${rect(80, y, 1040, 14, STONE)}`;
};

const leaf = (x: number, y: number, turn: number, shade: string): string =>
  `<path transform="translate(${x} ${y}) rotate(${turn})" d="M0 0c60-70 60-190 0-260c-60 70-60 190 0 260z" fill="${shade}"/>`;

/** In the order in which they are laid on pages. */
export const neutralPictures = (): Drawing[] => [
  drawing(
    'Hills',
    'Soft hills under a pale sun',
    circle(840, 230, 84, PALE) +
      path('M0 470C220 360 420 380 620 450S1010 520 1200 420V750H0Z', MIST) +
      path('M0 570C260 470 500 520 700 560S1040 610 1200 540V750H0Z', STONE) +
      path('M0 660C300 590 560 640 820 650S1110 670 1200 650V750H0Z', SLATE),
  ),
  drawing(
    'Table',
    'A bowl and a jug on a table',
    rect(0, 0, 1200, 520, PAPER) +
      rect(0, 520, 1200, 230, MIST) +
      path('M300 420h330c0 110-70 170-165 170s-165-60-165-170z', SLATE) +
      path('M720 590c-50-60-46-150-6-230v-70h120v70c40 80 44 170-6 230z', STONE) +
      path('M834 330c90-10 100 130-4 140v-34c54-8 50-76 4-72z', STONE) +
      circle(420, 400, 46, PALE) +
      circle(500, 392, 52, STONE),
  ),
  drawing('Shelf', 'Books on two shelves', shelf(352, 130) + shelf(690, 620)),
  drawing(
    'Plant',
    'A plant in a pot by a window',
    rect(690, 70, 380, 470, PALE, 4) +
      rect(874, 70, 12, 470, PAPER) +
      rect(690, 296, 380, 12, PAPER) +
      leaf(420, 520, -38, STONE) +
      leaf(420, 520, 34, STONE) +
      leaf(420, 520, -12, SLATE) +
      leaf(420, 520, 14, INK) +
      path('M310 510h220l-34 170H344z', STONE) +
      rect(0, 680, 1200, 70, MIST),
  ),
  drawing(
    'Arches',
    'Three arches with light behind them',
    rect(0, 0, 1200, 750, MIST) +
      [150, 470, 790]
        .map(
          (x, i) =>
            path(`M${x} 750V340a130 130 0 0 1 260 0V750Z`, [PAPER, PALE, PAPER][i] ?? PAPER) +
            rect(x + 40, 560, 180, 190, [PALE, MIST, PALE][i] ?? PALE),
        )
        .join('') +
      rect(0, 716, 1200, 34, STONE),
  ),
  drawing(
    'Path',
    'A path that leads over a field',
    rect(0, 0, 1200, 360, PALE) +
      rect(0, 360, 1200, 390, STONE) +
      path('M560 360h80l220 390H340z', PAPER) +
      circle(240, 300, 90, SLATE) +
      rect(228, 300, 24, 120, INK) +
      circle(960, 316, 66, SLATE) +
      rect(951, 316, 18, 90, INK),
  ),
];
