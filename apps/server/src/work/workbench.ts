import type { Database } from '../common/database';
import type { FontStore } from '../files/fontStore';
import type { PictureStore } from '../files/pictureStore';
import type { SiteCache } from '../siteCache/siteCache';
import type { Storage } from '../storage/storage';
import type { StoredFiles } from '../storage/storedFiles';

/** What a job works with, in its thread: connections, sites and files of its own. */
export interface Workbench {
  database: Database;
  sites: SiteCache;
  storage: Storage;
  files: StoredFiles;
  fonts: FontStore;
  pictures: PictureStore;
  /** Folder for what is made to be fetched once. */
  scratch: string;
}
