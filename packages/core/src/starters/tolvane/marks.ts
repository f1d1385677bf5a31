import type { SiteBuilder } from '../build.ts';

/** The line's own drawings. */
export function marks(b: SiteBuilder): void {
  b.drawing('swell', 'mark', 'Swell', [48, 20], [['M0 10q12 -9 24 0t24 0', null, 'currentcolor', 1.5]]);
  b.drawing(
    'beacon',
    'mark',
    'Beacon',
    [24, 24],
    [
      ['M9 21l1.5 -12h3l1.5 12z', '{color.brand.hull}'],
      ['M10 4h4v3h-4z', '{color.brand.lamp}'],
      ['M7 5.5h-4M17 5.5h4M7.5 2.5l-2 -1.5M16.5 2.5l2 -1.5', null, '{color.brand.lamp}', 1.5],
    ],
  );
}
