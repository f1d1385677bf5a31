export {
  filedRecords,
  fileInArchive,
  printWholeSite,
  readWholeSite,
  SITE_FILE,
  type WholeSite,
} from './wholeSite.ts';
