export { SiteBuilder } from './build.ts';
export { DRAWING_HEIGHT, DRAWING_WIDTH, drawings } from './drawings.ts';
export { type GuideSpec, READY_GUIDES, readyGuide } from './guides/index.ts';
export { largePage } from './large.ts';
export { tolvane } from './tolvane.ts';
export { tolvaneLarge } from './tolvaneLarge.ts';
