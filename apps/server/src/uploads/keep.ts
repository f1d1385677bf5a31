import { createHash } from 'node:crypto';
import { type AssetFacts, FILE_TYPES, type FontFacts, ok, type Result } from '@cove/core';
import { PictureStore } from '../files/pictureStore.service';
import { readFile } from '../files/readFile';
import { readFontFile } from '../files/readFontFile';
import { readPicture } from '../files/readPicture';
import { fontPath, type Storage } from '../storage/storage';
import { type StoredFile, storedFile } from '../storage/storedFiles';

export type UploadKind = 'picture' | 'file' | 'font';

/** What an upload became: what a record says of it, and what is noted of the file. */
export interface Kept<Facts> {
  facts: Facts;
  stored: StoredFile;
}

export interface KeptBy {
  picture: Kept<AssetFacts>;
  file: Kept<AssetFacts>;
  font: Kept<FontFacts>;
}

const ENDINGS: Record<FontFacts['format'], string> = {
  woff2: 'woff2',
  woff: 'woff',
  truetype: 'ttf',
  opentype: 'otf',
};

/** How each kind of upload is read and kept; runs in the process of its own. */
export const KEEP: {
  readonly [K in UploadKind]: (
    storage: Storage,
    site: string,
    data: Buffer,
    name: string,
  ) => Promise<Result<KeptBy[K]>>;
} = {
  /** A picture, made anew, under a name made of what it holds. */
  async picture(storage, site, data) {
    const read = await readPicture(data);
    if (!read.ok) return read;
    const { data: made, width, height } = read.value;
    const file = await new PictureStore(storage).write(site, made);
    return ok({ facts: { file, mime: 'image/webp', width, height }, stored: storedFile(file, made) });
  },
  /** A file as it is, to be linked to. */
  async file(storage, site, data, name) {
    const read = readFile(data, name);
    if (!read.ok) return read;
    const mime = read.value;
    const file = await new PictureStore(storage).write(site, data, FILE_TYPES[mime]);
    return ok({ facts: { file, mime, width: 0, height: 0 }, stored: storedFile(file, data) });
  },
  /** A font as it is, under a name made of what it holds, so that the same file is kept once. */
  async font(storage, site, data) {
    const read = await readFontFile(data);
    if (!read.ok) return read;
    const hash = createHash('sha256').update(data).digest('hex').slice(0, 32);
    const file = `${hash}.${ENDINGS[read.value.format]}`;
    await storage.write(fontPath(site, file), data);
    return ok({ facts: { ...read.value, file }, stored: storedFile(file, data) });
  },
};
