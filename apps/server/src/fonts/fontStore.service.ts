import { createHash } from 'node:crypto';
import { type FontRecord, ok, type Result } from '@cove/core';
import { Injectable } from '@nestjs/common';
import { fontPath, Storage } from '../storage/storage';
import { type FontFacts, readFontFile } from './readFontFile';
import { readShippedFont } from './shippedFonts';

const ENDINGS: Record<FontRecord['format'], string> = {
  woff2: 'woff2',
  woff: 'woff',
  truetype: 'ttf',
  opentype: 'otf',
};

/** Fonts of the program and of sites. */
@Injectable()
export class FontStore {
  constructor(private readonly storage: Storage) {}

  /** A font by its file name, whoever it belongs to; null where there is none. */
  async read(site: string, file: string): Promise<Buffer | null> {
    return (await readShippedFont(file)) ?? this.own(site, file);
  }

  async own(site: string, file: string): Promise<Buffer | null> {
    return /^[a-f0-9]{32}\.(woff2|woff|ttf|otf)$/.test(file) ? this.storage.read(fontPath(site, file)) : null;
  }

  /** Keeps an uploaded font under a name made of what it holds, so that the same file is kept once. */
  async keep(site: string, data: Buffer): Promise<Result<FontFacts & { file: string }>> {
    const read = await readFontFile(data);
    if (!read.ok) return read;
    const hash = createHash('sha256').update(data).digest('hex').slice(0, 32);
    const file = `${hash}.${ENDINGS[read.value.format]}`;
    await this.storage.write(fontPath(site, file), data);
    return ok({ ...read.value, file });
  }
}
