import { type AssetFacts, isFileType } from '../site/index.ts';

/** Widths in px in which a picture is published besides its own; common practice, no source. */
const WIDTHS = [480, 960, 1600] as const;
/** No picture is published wider than this in a modern format: screens that show more of it are rare. */
const WIDEST = 2400;

const ENDINGS = { webp: 'webp', avif: 'avif', png: 'png', jpeg: 'jpg' } as const;
export type RenditionFormat = keyof typeof ENDINGS;

/** A picture in another size or format, made when a site is published. */
export interface Rendition {
  /** Its file name, which tells all of it. */
  file: string;
  /** The file that it is made of. */
  of: string;
  format: RenditionFormat;
  width: number;
  /** What it is cropped to; null where it keeps its proportions. */
  height: number | null;
}

const rendition = (
  { file }: Pick<AssetFacts, 'file'>,
  format: RenditionFormat,
  width: number,
  height: number | null = null,
): Rendition => ({
  file: `${file.replace(/\.[a-z]+$/, '')}-${width}${height === null ? '' : `x${height}`}.${ENDINGS[format]}`,
  of: file,
  format,
  width,
  height,
});

/** Whether pixels can be made of it: a drawing stays one, and a file is no picture. */
const isRaster = ({ mime }: Pick<AssetFacts, 'mime'>): boolean =>
  mime.startsWith('image/') && mime !== 'image/svg+xml' && !isFileType(mime);

/** The same picture in several widths, by format; none where it is small or a drawing. */
export interface PictureSizes {
  /** For browsers that know AV1 Image File Format 1.1. */
  modern: readonly Rendition[];
  /** For all others; the picture itself is the widest. */
  usual: readonly Rendition[];
}

export function sizesOfPicture(asset: Omit<AssetFacts, 'height'>): PictureSizes | null {
  if (!isRaster(asset) || asset.width <= WIDTHS[0]) return null;
  const smaller = WIDTHS.filter(it => it < asset.width);
  return {
    modern: [...smaller, Math.min(asset.width, WIDEST)].map(width => rendition(asset, 'avif', width)),
    usual: smaller.map(width => rendition(asset, 'webp', width)),
  };
}

/** What browsers ask for beside a page: an icon for its tab and one for a home screen, by the sizes they use (HTML, section 4.6.7.8). */
export const tabIcons = (asset: Pick<AssetFacts, 'file' | 'mime'>): Rendition[] =>
  isRaster(asset) ? [32, 180].map(size => rendition(asset, 'png', size, size)) : [];

/** What a page looks like where it is shared, in the proportions that networks show (common practice, no source). */
export const shareRendition = (asset: Pick<AssetFacts, 'file' | 'mime'>): Rendition | null =>
  isRaster(asset) ? rendition(asset, 'jpeg', 1200, 630) : null;

const NAME = /^([a-f0-9]{16,64})-(\d{2,4})(?:x(\d{2,4}))?\.(webp|avif|png|jpg)$/;
/** Whether a file name is that of a rendition. */
export const isRendition = (file: string): boolean => NAME.test(file);
