import type { Rendition } from '@cove/core';
import sharp, { type Sharp } from 'sharp';
import { assetPath, renditionPath, type Storage } from '../storage/storage';

const encoded = (picture: Sharp, format: Rendition['format']): Sharp => {
  switch (format) {
    case 'avif':
      // Least effort: on a noisy picture of 1.6 megapixels 0.3 s instead of 9 s, for 4 % more bytes.
      return picture.avif({ quality: 55, effort: 0 });
    case 'webp':
      return picture.webp({ quality: 80 });
    case 'png':
      return picture.png({ compressionLevel: 9 });
    case 'jpeg':
      return picture.flatten({ background: '#fff' }).jpeg({ quality: 82 });
  }
};

/** A picture in another size and format. What cannot be read is passed on as it is: browsers tell pictures by their bytes. */
async function made(original: Buffer, { format, width, height }: Rendition): Promise<Buffer> {
  try {
    const picture = sharp(original, { failOn: 'error' }).resize({
      width,
      ...(height === null ? { withoutEnlargement: true } : { height, fit: 'cover', position: 'attention' }),
    });
    return await encoded(picture, format).toBuffer();
  } catch {
    return original;
  }
}

/** Makes a rendition where it was not made before; answers where it is kept, or null where its picture is gone. */
export async function keptRendition(
  storage: Storage,
  site: string,
  rendition: Rendition,
): Promise<string | null> {
  const path = renditionPath(site, rendition.file);
  if (await storage.has(path)) return path;
  const original = await storage.read(assetPath(site, rendition.of));
  if (!original) return null;
  await storage.write(path, await made(original, rendition));
  return path;
}
