import { createHash } from 'node:crypto';
import { type AssetRecord, FILE_TYPES, ok, type Result } from '@cove/core';
import { Injectable } from '@nestjs/common';
import { assetPath, Storage } from '../storage/storage';
import { readFile } from './readFile';
import { readPicture } from './readPicture';

export type PictureFacts = Pick<AssetRecord, 'file' | 'mime' | 'width' | 'height'>;

/** Pictures of sites. */
@Injectable()
export class PictureStore {
  constructor(private readonly storage: Storage) {}

  read(site: string, file: string): Promise<Buffer | null> {
    return this.storage.read(assetPath(site, file));
  }

  /** Keeps an uploaded picture, made anew, under a name made of what it holds. */
  async keep(site: string, upload: Buffer): Promise<Result<PictureFacts>> {
    const read = await readPicture(upload);
    if (!read.ok) return read;
    const { data, width, height } = read.value;
    return ok({ file: await this.write(site, data), mime: 'image/webp', width, height });
  }

  /** Keeps an uploaded file as it is, to be linked to. */
  async keepFile(site: string, upload: Buffer, name: string): Promise<Result<PictureFacts>> {
    const read = readFile(upload, name);
    if (!read.ok) return read;
    const mime = read.value;
    return ok({ file: await this.write(site, upload, FILE_TYPES[mime]), mime, width: 0, height: 0 });
  }

  /** Writes a file down as it is; answers its name, which is made of what it holds. */
  async write(site: string, data: Buffer, ending = 'webp'): Promise<string> {
    const file = `${createHash('sha256').update(data).digest('hex').slice(0, 32)}.${ending}`;
    await this.storage.write(assetPath(site, file), data);
    return file;
  }
}
