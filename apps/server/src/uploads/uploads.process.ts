import 'reflect-metadata';
import { readFile } from 'node:fs/promises';
import { setPriority } from 'node:os';
import sharp from 'sharp';
import { DiskStorage } from '../storage/diskStorage';
import { KEEP } from './keep';
import type { UploadAnswer, UploadOrder } from './messages';

/** Reads what people upload, in a process that may take long, fill its memory or crash without anybody else noticing. */
const storage = new DiskStorage(process.argv[2] ?? '');
sharp.concurrency(1);
sharp.cache(false);
// What answers requests goes first.
setPriority(10);

async function keep({ order, kind, site, path, name }: UploadOrder): Promise<UploadAnswer> {
  try {
    return { order, result: await KEEP[kind](storage, site, await readFile(path), name) };
  } catch (error) {
    return { order, failed: error instanceof Error ? (error.stack ?? error.message) : String(error) };
  }
}

process.on('message', (order: UploadOrder) => {
  keep(order).then(answer => process.send?.(answer));
});
process.on('disconnect', () => process.exit(0));
