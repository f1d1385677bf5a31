import { fontPath, type Storage } from '../storage/storage';
import { isShippedFont, readShippedFont } from './shippedFonts';

const OWN = /^[a-f0-9]{32}\.(woff2|woff|ttf|otf)$/;

/** Fonts of the program and of sites. */
export class FontStore {
  constructor(private readonly storage: Storage) {}

  /** A font by its file name, whoever it belongs to; null where there is none. */
  async read(site: string, file: string): Promise<Buffer | null> {
    return (await readShippedFont(file)) ?? this.own(site, file);
  }

  async has(site: string, file: string): Promise<boolean> {
    return isShippedFont(file) || (OWN.test(file) && (await this.storage.has(fontPath(site, file))));
  }

  async own(site: string, file: string): Promise<Buffer | null> {
    return OWN.test(file) ? this.storage.read(fontPath(site, file)) : null;
  }
}
