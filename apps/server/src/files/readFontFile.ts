import { fromBuffer } from '@capsizecss/unpack';
import { type Cut, type FontFacts, fail, LIMITS, ok, type Result } from '@cove/core';
import { create, type Font, type FontCollection } from 'fontkit';
import { FONT_SIGNATURES } from '../storage/typeOfBytes';
import { unpackedBytes } from './unpackedBytes';

/** What a file says of itself before it is kept. */
export type ReadFont = Omit<FontFacts, 'file'>;

const isFont = (it: Font | FontCollection): it is Font => it.type !== 'TTC' && it.type !== 'DFont';

const refuse = (message: string, found: string) =>
  fail({ code: 'bad-font', message, found, expected: 'a WOFF2, WOFF, TTF or OTF file of at most 4 MB' });

function weights(font: Font): readonly [number, number] {
  const axis = font.variationAxes.wght;
  const clamp = (n: number) => Math.min(1000, Math.max(1, Math.round(n)));
  if (axis) return [clamp(axis.min), clamp(axis.max)];
  const weight = clamp(font['OS/2'].usWeightClass || 400);
  return [weight, weight];
}

const cutOf = (font: Font): Cut =>
  font.italicAngle !== 0 || font['OS/2'].fsSelection.italic ? 'italic' : 'normal';

/** Letters, digits, spaces and hyphens of a name; what else there is could not stand in a style sheet safely. */
const safeName = (name: string): string =>
  name
    .replace(/[^\p{L}\p{N} _-]+/gu, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    .slice(0, 60);

const WEIGHT_WORDS =
  /\s+(Thin|Hairline|Extra ?Light|Ultra ?Light|Light|Regular|Medium|Semi ?Bold|Demi ?Bold|Bold|Extra ?Bold|Black|Heavy)$/i;

/** The typographic family (name 16, OpenType `name` table) where there is one; without the weight it is drawn at. */
function familyOf(font: Font): string {
  const preferred = font.getName('preferredFamily', 'en');
  return safeName(preferred ?? font.familyName.replace(WEIGHT_WORDS, ''));
}

/** Parses an uploaded font whole, so that only what is a font is ever served; refused with the reason otherwise. */
export async function readFontFile(data: Buffer): Promise<Result<ReadFont>> {
  if (data.length > LIMITS.upload.fontBytes)
    return refuse(
      `The file has ${(data.length / 1024 / 1024).toFixed(1)} MB. Fonts of up to 4 MB are taken.`,
      `${data.length} bytes`,
    );
  const signature = data.subarray(0, 4).toString('latin1');
  const format = FONT_SIGNATURES.find(([start]) => start === signature)?.[1];
  if (!format) return refuse('This is no font file.', JSON.stringify(signature));
  try {
    if (unpackedBytes(data) > LIMITS.upload.unpackedFontBytes)
      return refuse(
        `The font unpacks to more than ${LIMITS.upload.unpackedFontBytes / 1024 / 1024} MB.`,
        'a font that unpacks to more',
      );
    const font = create(data);
    if (!isFont(font)) return refuse('This is a collection of fonts. Upload one font at a time.', font.type);
    // Reading outlines shows whether the tables hold what they say.
    for (const letter of font.glyphsForString('Hamburgefonstiv 0123')) void letter.path.commands.length;
    if (!font.hasGlyphForCodePoint(0x61))
      return refuse('The font has no Latin letters.', font.postscriptName ?? '');
    const metrics = await fromBuffer(data);
    const name = familyOf(font);
    if (name === '') return refuse('The font does not say its name.', font.postscriptName ?? '');
    const [weightFrom, weightTo] = weights(font);
    return ok({
      family: name,
      cut: cutOf(font),
      weightFrom,
      weightTo,
      format,
      bytes: data.length,
      metrics: {
        ascent: metrics.ascent,
        descent: metrics.descent,
        lineGap: metrics.lineGap,
        unitsPerEm: metrics.unitsPerEm,
        xWidthAvg: metrics.xWidthAvg,
      },
    });
  } catch (error) {
    // The parser throws errors of many kinds at what is broken; each of them means the same.
    const reason = error instanceof Error ? error.message : String(error);
    return refuse(`The font is broken: it could not be read to its end.`, reason.slice(0, 120));
  }
}
