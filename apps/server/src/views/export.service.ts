import type { Writable } from 'node:stream';
import { finished } from 'node:stream/promises';
import { Injectable } from '@nestjs/common';
import { ZipFile } from 'yazl';
import { FontStore } from '../fonts/fontStore.service';
import { PictureStore } from '../pictures/pictureStore.service';
import { Renderer } from '../releases/renderer.service';

@Injectable()
export class ExportService {
  constructor(
    private readonly renderer: Renderer,
    private readonly fonts: FontStore,
    private readonly pictures: PictureStore,
  ) {}

  /** Writes the published site as one archive; rendering and compression run outside the main thread. */
  async zip(id: string, into: Writable): Promise<void> {
    const { files, assets, fonts } = (await this.renderer.render(id)).published;
    const zip = new ZipFile();
    zip.outputStream.pipe(into);
    for (const [path, text] of files) zip.addBuffer(Buffer.from(text), path);
    for (const { file } of assets) {
      const data = await this.pictures.read(id, file);
      if (data) zip.addBuffer(data, `assets/${file}`, { compress: false });
    }
    for (const file of fonts) {
      const data = await this.fonts.read(id, file);
      if (data) zip.addBuffer(data, `fonts/${file}`, { compress: false });
    }
    zip.end();
    await finished(into);
  }
}
