import type { DrawingRecord } from '../site/records.ts';
import { type CssContext, printCss, type Value } from '../values/index.ts';

const attr = (text: string): string =>
  text.replace(/&/g, '&amp;').replace(/"/g, '&quot;').replace(/</g, '&lt;');

/**
 * A drawing as a CSS image that stands by itself: no variable reaches into one, so the context has to print literals. What
 * it paints in the colour of its place is painted in the ink.
 */
export function patternImage(drawing: DrawingRecord, ink: Value, context: CssContext): string {
  const paint = (value: Value | null): string =>
    value === null ? 'none' : attr(printCss(value.type === 'keyword' ? ink : value, context));
  const paths = drawing.paths.map(({ d, fill, stroke, width }) => {
    const line =
      stroke === null
        ? ''
        : ` stroke="${paint(stroke)}" stroke-width="${width}" stroke-linecap="round" stroke-linejoin="round"`;
    return `<path d="${d}" fill="${paint(fill)}"${line}/>`;
  });
  const { width, height } = drawing;
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">${paths.join('')}</svg>`;
  // Everything that means something to CSS or in an address is escaped, brackets too.
  return `url("data:image/svg+xml,${encodeURIComponent(svg).replace(/[()']/g, it => `%${it.charCodeAt(0).toString(16)}`)}")`;
}
