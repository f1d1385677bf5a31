export { filesOfRecords, printWholeSite, readWholeSite, type WholeSite } from './wholeSite.ts';
