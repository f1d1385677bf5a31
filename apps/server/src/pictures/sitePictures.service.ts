import { Injectable } from '@nestjs/common';
import { Database } from '../common/database';
import { PictureStore } from '../files/pictureStore';
import { keptPath, Storage } from '../storage/storage';

/** A stored file that belongs to a site. */
interface FoundPicture {
  mime: string;
  data: Buffer;
}

/** Pictures and files of sites: only what a record names is given away, and what a kept guide brings that one looks at. */
@Injectable()
export class SitePictures {
  constructor(
    private readonly database: Database,
    private readonly store: PictureStore,
    private readonly storage: Storage,
  ) {}

  /** A stored file of a site; null where nothing names it that one may see, or it is not there. */
  async find(site: string, file: string, account: string): Promise<FoundPicture | null> {
    // Written by hand for its index, which holds the file names of two kinds of records: asked for each picture of a page.
    const [asset] = await this.database.query<{ mime: string }>(
      `select body->>'mime' as mime from records
       where site_id = $1 and kind = 'asset' and kind in ('asset', 'font') and body->>'file' = $2 limit 1`,
      [site, file],
    );
    const mime = asset?.mime ?? (await this.ofKeptGuide(site, file, account));
    const data = mime === null ? null : await this.store.read(site, file);
    return mime !== null && data ? { mime, data } : null;
  }

  /** What a file is that was laid here for a kept guide of this account, before the guide is taken; null for any other. */
  private async ofKeptGuide(site: string, file: string, account: string): Promise<string | null> {
    const laid = await this.database.query<{ mime: string; guide: string }>(
      `select mime, kept_guides.id as guide from stored_files, kept_guides
       where site_id = $1 and file = $2 and account_id = $3`,
      [site, file, account],
    );
    for (const { mime, guide } of laid) if (await this.storage.has(keptPath(guide, file))) return mime;
    return null;
  }
}
