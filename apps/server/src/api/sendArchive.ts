import { createReadStream } from 'node:fs';
import { rm } from 'node:fs/promises';
import { pipeline } from 'node:stream/promises';
import type { Response } from 'express';

/** Sends an archive that was made whole before, so that none is cut short, and takes it away. */
export async function sendArchive(
  response: Response,
  { path, bytes, name }: { path: string; bytes: number; name: string },
): Promise<void> {
  try {
    response.writeHead(200, {
      'content-type': 'application/zip',
      'content-length': bytes,
      'content-disposition': `attachment; filename="${name}"`,
    });
    await pipeline(createReadStream(path), response);
  } finally {
    await rm(path, { force: true });
  }
}
