import { copyFile, mkdir, open, readFile, rm } from 'node:fs/promises';
import { dirname, resolve, sep } from 'node:path';
import { Injectable } from '@nestjs/common';
import { Config } from '../config/config';
import { Storage } from './storage';

const isMissing = (error: unknown) =>
  error instanceof Error &&
  'code' in error &&
  (error.code === 'ENOENT' || error.code === 'EISDIR' || error.code === 'ENOTDIR');

/** Files below the data folder. */
@Injectable()
export class DiskStorage extends Storage {
  private readonly root: string;

  constructor(config: Config) {
    super();
    this.root = resolve(config.COVE_DATA);
  }

  private at(path: string): string {
    const full = resolve(this.root, path);
    if (!full.startsWith(this.root + sep)) throw new Error(`${path} leads out of the data folder`);
    return full;
  }

  async write(path: string, data: Uint8Array | string): Promise<void> {
    const full = this.at(path);
    await mkdir(dirname(full), { recursive: true });
    const file = await open(full, 'w');
    try {
      await file.writeFile(data);
      await file.sync();
    } finally {
      await file.close();
    }
  }

  async read(path: string): Promise<Buffer | null> {
    try {
      return await readFile(this.at(path));
    } catch (error) {
      if (isMissing(error)) return null;
      throw error;
    }
  }

  async copy(from: string, to: string): Promise<void> {
    await mkdir(dirname(this.at(to)), { recursive: true });
    await copyFile(this.at(from), this.at(to));
  }

  async removeFolder(path: string): Promise<void> {
    await rm(this.at(path), { recursive: true, force: true });
  }
}
