import { brotliDecompressSync } from 'node:zlib';
import { LIMITS } from '@cove/core';
import { codeOf } from '../common/codeOf';

const TOO_MANY = Number.POSITIVE_INFINITY;

/** The order of known tags in a WOFF2 directory in which glyf and loca stand (WOFF 2.0, section 4.1). */
const GLYF = 10;
const LOCA = 11;
const OWN_TAG = 63;
const WOFF2_HEADER = 48;
const WOFF_HEADER = 44;
const WOFF_ENTRY = 20;

/** A number of one to five bytes (WOFF 2.0, section 4.1, UIntBase128), and where it ends. */
function base128(data: Buffer, at: number): { value: number; next: number } {
  let value = 0;
  for (let i = 0; i < 5; i++) {
    const byte = data.readUInt8(at + i);
    value = value * 128 + (byte & 0x7f);
    if ((byte & 0x80) === 0) return { value, next: at + i + 1 };
  }
  throw new RangeError('a number of more than five bytes');
}

function endOfWoff2Directory(data: Buffer): number {
  const tables = data.readUInt16BE(12);
  let at = WOFF2_HEADER;
  for (let i = 0; i < tables; i++) {
    const flags = data.readUInt8(at);
    const tag = flags & 0x3f;
    const version = flags >> 6;
    at = base128(data, at + (tag === OWN_TAG ? 5 : 1)).next;
    const transformed = tag === GLYF || tag === LOCA ? version !== 3 : version !== 0;
    if (transformed) at = base128(data, at).next;
  }
  return at;
}

/**
 * How many bytes the tables of a font take once they are unpacked; infinite where they are more than are read. What a file
 * says of itself is not believed: a WOFF2 is unpacked as far as the budget goes. Throws a RangeError where it is broken.
 */
export function unpackedBytes(data: Buffer): number {
  const signature = data.toString('latin1', 0, 4);
  if (signature === 'wOFF') {
    const tables = data.readUInt16BE(12);
    let bytes = 0;
    for (let i = 0; i < tables; i++) bytes += data.readUInt32BE(WOFF_HEADER + i * WOFF_ENTRY + 12);
    return bytes;
  }
  if (signature !== 'wOF2') return data.length;
  const from = endOfWoff2Directory(data);
  const packed = data.subarray(from, from + data.readUInt32BE(20));
  try {
    return brotliDecompressSync(packed, { maxOutputLength: LIMITS.upload.unpackedFontBytes }).length;
  } catch (error) {
    if (codeOf(error) === 'ERR_BUFFER_TOO_LARGE') return TOO_MANY;
    throw new RangeError('the tables cannot be unpacked');
  }
}
