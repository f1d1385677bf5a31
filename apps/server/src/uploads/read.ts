import { createHash } from 'node:crypto';
import { readFile as readBytes } from 'node:fs/promises';
import { type AssetFacts, FILE_TYPES, type FontFacts, ok, type Result } from '@cove/core';
import { PictureStore } from '../files/pictureStore';
import { readFile } from '../files/readFile';
import { readFontFile } from '../files/readFontFile';
import { readPicture } from '../files/readPicture';
import { fontPath, type Storage } from '../storage/storage';
import { type StoredFile, storedFile } from '../storage/storedFiles';
import { checkArchived } from './checkArchived';
import { unpackSite } from './unpackSite';

/** What an upload became: what a record says of it, and what is noted of the file. */
export interface Kept<Facts> {
  facts: Facts;
  stored: StoredFile;
}

/** Uploads that become a file of a site. */
export interface KeptBy {
  picture: Kept<AssetFacts>;
  file: Kept<AssetFacts>;
  font: Kept<FontFacts>;
}

/** What is looked into, and kept nowhere yet. */
export interface LookedInto {
  /** A whole site, unpacked beside itself: where its files lie. */
  wholeSite: readonly string[];
  /** One of those files. */
  archived: StoredFile;
}

export type ReadBy = KeptBy & LookedInto;
export type UploadKind = keyof ReadBy;

/** An upload: where it lies, and what it was called; its ending tells kinds of text apart. */
export interface Upload {
  site: string;
  path: string;
  name: string;
}

const ENDINGS: Record<FontFacts['format'], string> = {
  woff2: 'woff2',
  woff: 'woff',
  truetype: 'ttf',
  opentype: 'otf',
};

/** How each kind of upload is read; runs in the process of its own. */
export const READ: {
  readonly [K in UploadKind]: (storage: Storage, upload: Upload) => Promise<Result<ReadBy[K]>>;
} = {
  /** A picture, made anew, under a name made of what it holds. */
  async picture(storage, { site, path }) {
    const read = await readPicture(await readBytes(path));
    if (!read.ok) return read;
    const { data: made, width, height } = read.value;
    const file = await new PictureStore(storage).write(site, made);
    return ok({ facts: { file, mime: 'image/webp', width, height }, stored: storedFile(file, made) });
  },
  /** A file as it is, to be linked to. */
  async file(storage, { site, path, name }) {
    const data = await readBytes(path);
    const read = readFile(data, name);
    if (!read.ok) return read;
    const mime = read.value;
    const file = await new PictureStore(storage).write(site, data, FILE_TYPES[mime]);
    return ok({ facts: { file, mime, width: 0, height: 0 }, stored: storedFile(file, data) });
  },
  /** A font as it is, under a name made of what it holds, so that the same file is kept once. */
  async font(storage, { site, path }) {
    const data = await readBytes(path);
    const read = await readFontFile(data);
    if (!read.ok) return read;
    const hash = createHash('sha256').update(data).digest('hex').slice(0, 32);
    const file = `${hash}.${ENDINGS[read.value.format]}`;
    await storage.write(fontPath(site, file), data);
    return ok({ facts: { ...read.value, file }, stored: storedFile(file, data) });
  },
  wholeSite: (_, { path }) => unpackSite(path),
  archived: async (_, { path, name }) => checkArchived(await readBytes(path), name),
};
