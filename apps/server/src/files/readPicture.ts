import { fail, LIMITS, ok, type Result } from '@cove/core';
import sharp from 'sharp';

/** Formats that are read, by sharp's names. SVG is not among them: drawings are read to shapes and kept as such. */
const READ: readonly string[] = ['jpeg', 'png', 'webp', 'avif', 'heif', 'gif', 'tiff'];
/** Longest side in px of what is kept: a wide screen at its full width. */
const MOST = 2560;
const MOST_PIXELS = LIMITS.upload.pixels;

export interface ReadPicture {
  data: Buffer;
  width: number;
  height: number;
}

/**
 * A picture made anew from its pixels: turned upright, no larger than a page can show, as WebP. Nothing else of the file is
 * kept, so neither a place where it was taken nor anything hidden in it is published.
 */
export async function readPicture(file: Buffer): Promise<Result<ReadPicture>> {
  const refuse = (message: string) =>
    fail({ code: 'bad-picture', message, expected: 'a JPEG, PNG, WebP, AVIF, GIF or TIFF' });
  try {
    const picture = sharp(file, { limitInputPixels: MOST_PIXELS, failOn: 'error' });
    const { format, width = 0, height = 0 } = await picture.metadata();
    if (format === 'svg')
      return refuse('This is a drawing of shapes. Add it to icons and marks, where it can be recoloured.');
    if (!READ.includes(format ?? '')) return refuse('This is no picture that can be read.');
    if (width * height > MOST_PIXELS)
      return refuse('The picture has more than 60 million pixels. Make it smaller.');
    const { data, info } = await picture
      .rotate()
      .resize({ width: MOST, height: MOST, fit: 'inside', withoutEnlargement: true })
      .webp({ quality: 82 })
      .toBuffer({ resolveWithObject: true });
    return ok({ data, width: info.width, height: info.height });
  } catch (error) {
    const tooLarge = error instanceof Error && /pixel limit/i.test(error.message);
    return refuse(
      tooLarge
        ? 'The picture has more than 60 million pixels. Make it smaller.'
        : 'The file is broken, or no picture that can be read.',
    );
  }
}

/** What a WebP may hold: pixels, with their transparency (WebP Container Specification, RFC 9649, section 2). */
const PIXELS: readonly string[] = ['VP8 ', 'VP8L', 'VP8X', 'ALPH', 'ANIM', 'ANMF'];

/** Whether a WebP holds nothing but pixels, from its first byte to its last. */
function holdsOnlyPixels(file: Buffer): boolean {
  if (file.length < 12 || file.readUInt32LE(4) + 8 !== file.length) return false;
  let at = 12;
  while (at + 8 <= file.length) {
    if (!PIXELS.includes(file.toString('latin1', at, at + 4))) return false;
    const bytes = file.readUInt32LE(at + 4);
    at += 8 + bytes + (bytes % 2);
  }
  return at === file.length;
}

/** Whether a picture is one as they are kept here: WebP that can be read to its end, and nothing in it beside the pixels. */
export async function checkPicture(file: Buffer): Promise<Result<null>> {
  const refuse = (message: string) =>
    fail({ code: 'bad-picture', message, expected: 'a WebP of pixels alone' });
  if (!holdsOnlyPixels(file)) return refuse('It is no WebP, or holds more than pixels.');
  try {
    const picture = sharp(file, { limitInputPixels: MOST_PIXELS, failOn: 'error' });
    const { format } = await picture.metadata();
    if (format !== 'webp') return refuse('It is no WebP.');
    await picture.resize(8, 8, { fit: 'fill', kernel: 'nearest' }).raw().toBuffer();
    return ok(null);
  } catch {
    return refuse('It is broken, or larger than 60 million pixels.');
  }
}
