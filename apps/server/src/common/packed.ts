import { promisify } from 'node:util';
import { brotliCompress, brotliDecompress, constants } from 'node:zlib';

const compress = promisify(brotliCompress);
const decompress = promisify(brotliDecompress);

/** JSON, compressed outside the main thread. */
export const pack = (value: unknown): Promise<Buffer> =>
  compress(JSON.stringify(value), { params: { [constants.BROTLI_PARAM_QUALITY]: 5 } });

/** What `pack` was given, not looked at: whoever asks reads it through the core's own tables. */
export async function unpack(body: Buffer): Promise<unknown> {
  const value: unknown = JSON.parse((await decompress(body)).toString('utf8'));
  return value;
}
