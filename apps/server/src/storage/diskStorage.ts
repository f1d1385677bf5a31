import { access, copyFile, mkdir, open, readdir, readFile, rm } from 'node:fs/promises';
import { dirname, join, relative, resolve, sep } from 'node:path';
import { codeOf } from '../common/codeOf';
import { Storage } from './storage';

/** What the system says where there is no such file. */
const MISSING: readonly (string | null)[] = ['ENOENT', 'EISDIR', 'ENOTDIR'];
const isMissing = (error: unknown): boolean => MISSING.includes(codeOf(error));

/** Files below the data folder. */
export class DiskStorage extends Storage {
  private readonly root: string;

  constructor(folder: string) {
    super();
    this.root = resolve(folder);
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

  async has(path: string): Promise<boolean> {
    try {
      await access(this.at(path));
      return true;
    } catch (error) {
      if (isMissing(error)) return false;
      throw error;
    }
  }

  async copy(from: string, to: string): Promise<void> {
    await mkdir(dirname(this.at(to)), { recursive: true });
    await copyFile(this.at(from), this.at(to));
  }

  async list(folder: string): Promise<string[]> {
    const full = this.at(folder);
    try {
      const entries = await readdir(full, { recursive: true, withFileTypes: true });
      return entries
        .filter(it => it.isFile())
        .map(it => relative(full, join(it.parentPath, it.name)).split(sep).join('/'))
        .sort();
    } catch (error) {
      if (isMissing(error)) return [];
      throw error;
    }
  }

  async removeFolder(path: string): Promise<void> {
    await rm(this.at(path), { recursive: true, force: true });
  }
}
