import { createHash } from 'node:crypto';
import { assetPath, type Storage } from '../storage/storage';

/** Pictures and files of sites. */
export class PictureStore {
  constructor(private readonly storage: Storage) {}

  read(site: string, file: string): Promise<Buffer | null> {
    return this.storage.read(assetPath(site, file));
  }

  /** Writes a file down as it is; answers its name, which is made of what it holds. */
  async write(site: string, data: Buffer, ending = 'webp'): Promise<string> {
    const file = `${createHash('sha256').update(data).digest('hex').slice(0, 32)}.${ending}`;
    await this.storage.write(assetPath(site, file), data);
    return file;
  }
}
