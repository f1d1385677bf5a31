import { Injectable } from '@nestjs/common';
import { Database } from '../common/database';
import { PictureStore } from '../files/pictureStore.service';

/** A stored file that belongs to a site. */
interface FoundPicture {
  mime: string;
  data: Buffer;
}

/** Pictures and files of sites: only what a record names is given away. */
@Injectable()
export class SitePictures {
  constructor(
    private readonly database: Database,
    private readonly store: PictureStore,
  ) {}

  /** A stored file of a site; null where no record names it, or it is not there. */
  async find(site: string, file: string): Promise<FoundPicture | null> {
    // Written by hand for its index, which holds the file names of two kinds of records: asked for each picture of a page.
    const [asset] = await this.database.query<{ mime: string }>(
      `select body->>'mime' as mime from records
       where site_id = $1 and kind = 'asset' and kind in ('asset', 'font') and body->>'file' = $2 limit 1`,
      [site, file],
    );
    const data = asset && (await this.store.read(site, file));
    return asset && data ? { mime: asset.mime, data } : null;
  }
}
