import 'reflect-metadata';
import { setPriority } from 'node:os';
import sharp from 'sharp';
import { DiskStorage } from '../storage/diskStorage';
import type { UploadAnswer, UploadOrder } from './messages';
import { READ } from './read';

/** Reads what people upload, in a process that may take long, fill its memory or crash without anybody else noticing. */
const storage = new DiskStorage(process.argv[2] ?? '');
sharp.concurrency(1);
sharp.cache(false);
// What answers requests goes first.
setPriority(10);

async function read({ order, kind, ...upload }: UploadOrder): Promise<UploadAnswer> {
  try {
    return { order, result: await READ[kind](storage, upload) };
  } catch (error) {
    return { order, failed: error instanceof Error ? (error.stack ?? error.message) : String(error) };
  }
}

process.on('message', (order: UploadOrder) => {
  read(order).then(answer => process.send?.(answer));
});
process.on('disconnect', () => process.exit(0));
