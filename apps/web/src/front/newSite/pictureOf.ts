/** Longer side in px to which a drawing is drawn. */
const DRAWN = 1024;

/** The pixels of an SVG drawing, which workers cannot draw; null for what is no drawing. No script of it runs in an image. */
export async function pixelsOfDrawing(file: File): Promise<Uint8ClampedArray | null> {
  const url = URL.createObjectURL(file);
  try {
    const image = new Image();
    image.src = url;
    await image.decode();
    const [width, height] = [image.naturalWidth || DRAWN, image.naturalHeight || DRAWN];
    const scale = DRAWN / Math.max(width, height);
    const canvas = document.createElement('canvas');
    canvas.width = Math.max(1, Math.round(width * scale));
    canvas.height = Math.max(1, Math.round(height * scale));
    const context = canvas.getContext('2d', { willReadFrequently: true });
    if (!context) return null;
    context.drawImage(image, 0, 0, canvas.width, canvas.height);
    return context.getImageData(0, 0, canvas.width, canvas.height).data;
  } catch {
    return null;
  } finally {
    URL.revokeObjectURL(url);
  }
}

export const isDrawing = (file: File): boolean =>
  file.type === 'image/svg+xml' || file.name.toLowerCase().endsWith('.svg');
