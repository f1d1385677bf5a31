import { createHash } from 'node:crypto';
import { fail, isFileType, ok, type Result } from '@cove/core';
import { readFontFile } from '../files/readFontFile';
import { checkPicture } from '../files/readPicture';
import { type StoredFile, storedFile } from '../storage/storedFiles';
import { typeOfBytes } from '../storage/typeOfBytes';

/** What a file really is, where it may be part of a site. */
async function typeOf(data: Buffer, name: string): Promise<Result<string>> {
  const mime = typeOfBytes(data, name);
  if (mime === 'image/webp') {
    const checked = await checkPicture(data);
    return checked.ok ? ok(mime) : checked;
  }
  if (mime?.startsWith('font/')) {
    const read = await readFontFile(data);
    return read.ok ? ok(mime) : read;
  }
  return mime !== null && isFileType(mime)
    ? ok(mime)
    : fail({ code: 'bad-file', message: 'It is none of the kinds of files that a site may have.' });
}

/**
 * Holds a file out of somebody’s archive to what uploads are held to, without making it anew: a site that goes out and comes
 * in keeps its bytes. Its name is made of what it holds; another one could take the place of a file that is there.
 */
export async function checkArchived(data: Buffer, name: string): Promise<Result<StoredFile>> {
  const [stem = ''] = name.split('.');
  const digest = createHash('sha256').update(data).digest('hex');
  if (stem === '' || !digest.startsWith(stem))
    return fail({
      code: 'bad-file',
      message: `${name} does not hold what its name says: it was altered, or is broken.`,
      found: name,
    });
  const type = await typeOf(data, name);
  return type.ok
    ? ok(storedFile(name, data))
    : fail({ ...type.problem, message: `${name} cannot be taken. ${type.problem.message}`, found: name });
}
