import type { SiteBuilder } from '../build.ts';
import { DRAWING_HEIGHT, DRAWING_WIDTH, drawings } from '../drawings.ts';
import { elements } from './elements.ts';
import { foundations } from './foundations.ts';
import { furniture } from './furniture.ts';
import { marks } from './marks.ts';
import { presets } from './presets.ts';
import { schemes } from './schemes.ts';
import { textStyles } from './textStyles.ts';

/** Ids of the demo's pictures, in the order of the drawings. */
export const pictureId = (name: string): string => `pic-${name.toLowerCase().replace(/\s+/g, '-')}`;

/** The sound of the ship’s bell, by its name and by its id. */
export const BELL = 'ship-bell';

/** The guide of the invented ferry line, its pictures, header and footer; its pages are not in it. */
export function tolvaneGuide(b: SiteBuilder, name: string, file: (name: string) => string): void {
  foundations(b);
  schemes(b);
  textStyles(b);
  marks(b);
  elements(b);
  presets(b);
  b.settings({
    name,
    language: 'en',
    home: 'home',
    defaultScheme: 'daymark',
    mediumTo: 960,
    narrowTo: 600,
    fluidFrom: 360,
    fluidTo: 1280,
    textBase: 'base',
    textRatio: 'ratio',
    headerScrolls: 'returns',
  });
  for (const drawing of drawings())
    b.asset({
      id: pictureId(drawing.name),
      name: drawing.name,
      alt: drawing.alt,
      file: file(drawing.name),
      mime: 'image/webp',
      width: DRAWING_WIDTH,
      height: DRAWING_HEIGHT,
    });
  b.asset({
    id: BELL,
    name: 'The bell',
    alt: '',
    file: file(BELL),
    mime: 'audio/wav',
    width: 0,
    height: 0,
  });
  furniture(b);
}
