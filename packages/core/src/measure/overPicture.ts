import { type Color, luminance, painted, ratioOf } from '../color/index.ts';

export interface Area2D {
  x: number;
  y: number;
  width: number;
  height: number;
}
interface Size {
  width: number;
  height: number;
}

/** How a picture lies behind a box, as a browser says it; all lengths in px. */
export interface Cropping {
  /** The padding box of what has the picture. */
  box: Size;
  picture: Size;
  /** Computed `background-size`: `cover`, `contain`, or a width and height as `auto`, px or per cent. */
  size: string;
  /** Computed `background-position`: two lengths in px or per cent. */
  position: string;
}

const length = (text: string | undefined, whole: number): number | null => {
  const n = Number.parseFloat(text ?? '');
  if (!Number.isFinite(n)) return null;
  return text?.endsWith('%') ? (n / 100) * whole : n;
};

/** The size at which a picture is drawn behind a box (CSS Backgrounds 3, section 3.9). */
function drawnSize({ box, picture, size }: Cropping): Size {
  const ratio = picture.width / picture.height;
  if (size === 'cover' || size === 'contain') {
    const pick = size === 'cover' ? Math.max : Math.min;
    const scale = pick(box.width / picture.width, box.height / picture.height);
    return { width: picture.width * scale, height: picture.height * scale };
  }
  const [across, down] = size.split(' ');
  const width = length(across, box.width);
  const height = length(down, box.height);
  if (width !== null) return { width, height: height ?? width / ratio };
  return height === null ? picture : { width: height * ratio, height };
}

/** Where the upper left corner of the drawn picture lies (CSS Backgrounds 3, section 3.6: a per cent of what is left over). */
function drawnAt({ box, position }: Cropping, drawn: Size): { x: number; y: number } {
  const [across, down] = position.split(' ');
  return {
    x: length(across, box.width - drawn.width) ?? 0,
    y: length(down, box.height - drawn.height) ?? 0,
  };
}

/** The part of a picture, in its own px, that lies under some area of the box; null where none does. */
export function pictureUnder(area: Area2D, cropping: Cropping): Area2D | null {
  const drawn = drawnSize(cropping);
  const at = drawnAt(cropping, drawn);
  const left = Math.max(area.x, at.x);
  const top = Math.max(area.y, at.y);
  const right = Math.min(area.x + area.width, at.x + drawn.width);
  const bottom = Math.min(area.y + area.height, at.y + drawn.height);
  if (right <= left || bottom <= top) return null;
  const [sx, sy] = [cropping.picture.width / drawn.width, cropping.picture.height / drawn.height];
  return {
    x: (left - at.x) * sx,
    y: (top - at.y) * sy,
    width: (right - left) * sx,
    height: (bottom - top) * sy,
  };
}

/** WCAG 2.2, "large scale (text)": from 18 pt, or 14 pt and bold; 1 pt is 4/3 px. */
export const isLargeText = (px: number, weight: number): boolean =>
  px >= 24 || (px >= (14 * 4) / 3 && weight >= 700);
/** WCAG 2.2, 1.4.3: contrast that text needs on what is behind it. */
export const wantedFor = (large: boolean): number => (large ? 3 : 4.5);

/** Patches of a picture as RGBA bytes, each the mean of about a letter's worth of it. */
export type Patches = Uint8ClampedArray;

/** WCAG 2.2, "relative luminance", of one channel of sRGB from 0 to 1. */
const linear = (v: number): number => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);

/** Relative luminance of one patch under a colour laid over it, blended in sRGB as browsers do. */
function seenLuminance(patches: Patches, i: number, tint: readonly number[], share: number): number {
  const channel = (k: number) => linear((tint[k] ?? 0) * share + ((patches[i + k] ?? 0) / 255) * (1 - share));
  return 0.2126 * channel(0) + 0.7152 * channel(1) + 0.0722 * channel(2);
}

const NO_TINT: readonly number[] = [0, 0, 0];
const channelsOf = (tint: Color | null): readonly number[] => (tint ? painted(tint).coords : NO_TINT);

/** The least contrast of a text on any patch, with a colour laid over the picture at a share of 0 to 1. */
export function worstContrast(patches: Patches, text: Color, tint: Color | null, share: number): number {
  const own = luminance(text);
  const channels = channelsOf(tint);
  let worst = 21;
  for (let i = 0; i + 3 < patches.length; i += 4)
    worst = Math.min(worst, ratioOf(own, seenLuminance(patches, i, channels, tint ? share : 0)));
  return worst;
}

/** The least share of a tint, in hundredths, from which on text can be read on every patch; null where even all of it is too little. */
export function leastTint(patches: Patches, text: Color, tint: Color, wanted: number): number | null {
  const own = luminance(text);
  const channels = channelsOf(tint);
  const fails = (i: number, share: number) =>
    ratioOf(own, seenLuminance(patches, i, channels, share)) < wanted;
  /** What failed last fails most likely again, so that a whole look is taken about once. */
  let suspect = 0;
  // More of one colour brings every patch nearer to it, but contrast may fall before it grows: each hundredth is tried.
  for (let hundredth = 0; hundredth <= 100; hundredth++) {
    const share = hundredth / 100;
    if (patches.length > 3 && fails(suspect, share)) continue;
    let i = 0;
    while (i + 3 < patches.length && !fails(i, share)) i += 4;
    if (i + 3 >= patches.length) return share;
    suspect = i;
  }
  return null;
}
