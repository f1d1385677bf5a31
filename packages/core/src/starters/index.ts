export { SiteBuilder } from './build.ts';
export { DRAWING_HEIGHT, DRAWING_WIDTH, drawings } from './drawings.ts';
export { tolvane } from './tolvane.ts';
