import { RequestProblem } from '../api/requestProblem.ts';

/** The type of a file of shapes. */
export const SVG_TYPE = 'image/svg+xml';
/** Bytes of one that is drawn at all: others hold whole pictures, or more shapes than anybody sees. */
const MOST_BYTES = 2_000_000;
/** Longest side in px at which it is drawn. */
const SIZE = 1600;

const refuse = (message: string) => new RequestProblem({ code: 'bad-picture', message }, 422);

/**
 * A file of shapes as a picture of pixels. An image runs no script of it and asks for nothing that it names (SVG Integration,
 * secure animated mode); whoever wants its shapes to be recoloured adds it to icons and marks.
 */
export async function svgAsPicture(file: File): Promise<File> {
  if (file.size > MOST_BYTES) throw refuse('A drawing of more than 2 MB is not drawn. Save it as a picture.');
  const address = URL.createObjectURL(new Blob([file], { type: SVG_TYPE }));
  try {
    const image = new Image();
    image.src = address;
    await image.decode().catch(() => {
      throw refuse('This is no drawing that can be read.');
    });
    const { naturalWidth: width = 0, naturalHeight: height = 0 } = image;
    if (width === 0 || height === 0) throw refuse('This drawing says no size. Give it a width and a height.');
    const scale = SIZE / Math.max(width, height);
    const canvas = document.createElement('canvas');
    canvas.width = Math.max(1, Math.round(width * scale));
    canvas.height = Math.max(1, Math.round(height * scale));
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
    const drawn = await new Promise<Blob | null>(done => canvas.toBlob(done, 'image/png'));
    if (!drawn) throw refuse('This drawing could not be drawn.');
    return new File([drawn], file.name.replace(/\.svg$/i, '.png'), { type: 'image/png' });
  } finally {
    URL.revokeObjectURL(address);
  }
}
