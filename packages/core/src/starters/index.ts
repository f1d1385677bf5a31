export { SiteBuilder } from './build.ts';
export { DRAWING_HEIGHT, DRAWING_WIDTH, drawings } from './drawings.ts';
export { largePage } from './large.ts';
export { tolvane } from './tolvane.ts';
export { tolvaneLarge } from './tolvaneLarge.ts';
