import { FILE_TYPES, type FileType, type FontRecord } from '@cove/core';

const starts = (data: Uint8Array, text: string, at = 0): boolean =>
  [...text].every((letter, i) => data[at + i] === letter.charCodeAt(0));

/** Formats of fonts by the four bytes they begin with (OpenType, WOFF 1.0 and 2.0), and their media types (RFC 8081). */
export const FONT_SIGNATURES: readonly (readonly [string, FontRecord['format']])[] = [
  ['wOF2', 'woff2'],
  ['wOFF', 'woff'],
  ['OTTO', 'opentype'],
  ['\u0000\u0001\u0000\u0000', 'truetype'],
  ['true', 'truetype'],
];
export const FONT_TYPES: Readonly<Record<FontRecord['format'], string>> = {
  woff2: 'font/woff2',
  woff: 'font/woff',
  opentype: 'font/otf',
  truetype: 'font/ttf',
};

/** Whether it is text as UTF-8 has it, with nothing in it that text does not have. */
export function isText(data: Uint8Array): boolean {
  try {
    return !new TextDecoder('utf-8', { fatal: true }).decode(data).includes('\0');
  } catch {
    return false;
  }
}

/** The kind of text file that an ending of a name stands for. */
export function textTypeOf(name: string): FileType | null {
  const ending = /\.(txt|csv|ics|vtt)$/i.exec(name)?.[1]?.toLowerCase();
  const found = (Object.keys(FILE_TYPES) as FileType[]).find(
    mime => mime.startsWith('text/') && FILE_TYPES[mime] === ending,
  );
  return found ?? null;
}

/**
 * The media type of a file, told by what it holds; only kinds of text, which hold nothing that tells them apart, are told by
 * the ending of their name. Null for what is none of the kinds that a site may have.
 */
export function typeOfBytes(data: Uint8Array, name: string): string | null {
  if (data.length === 0) return null;
  if (starts(data, 'RIFF') && starts(data, 'WEBP', 8)) return 'image/webp';
  if (starts(data, 'RIFF') && starts(data, 'WAVE', 8)) return 'audio/wav';
  if (starts(data, '%PDF-')) return 'application/pdf';
  if (starts(data, 'ftyp', 4))
    return starts(data, 'M4A', 8) || starts(data, 'M4B', 8) ? 'audio/mp4' : 'video/mp4';
  if (starts(data, '\u001a\u0045\u00df\u00a3')) return 'video/webm';
  if (starts(data, 'OggS')) return 'audio/ogg';
  if (starts(data, 'ID3') || (data[0] === 0xff && [0xfb, 0xf3, 0xf2].includes(data[1] ?? 0)))
    return 'audio/mpeg';
  if (starts(data, 'PK\u0003\u0004')) return 'application/zip';
  const format = FONT_SIGNATURES.find(([signature]) => starts(data, signature))?.[1];
  if (format) return FONT_TYPES[format];
  const text = textTypeOf(name);
  if (text === 'text/vtt' && !starts(data, 'WEBVTT')) return null;
  return text && isText(data) ? text : null;
}
