export * from './brand/index.ts';
export { type Brief, briefNotes } from './brief.ts';
export { SiteBuilder } from './build.ts';
export { DRAWING_HEIGHT, DRAWING_WIDTH, type Drawing, drawings } from './drawings.ts';
export { type GuideSpec, READY_GUIDES, readyGuide } from './guides/index.ts';
export { largePage } from './large.ts';
export { looksOf, READY_LOOKS, type ReadyLook, takeLook } from './looks/index.ts';
export { createPage, PAGE_STARTERS, type PageStarter } from './pages/index.ts';
export { type LibraryPicture, libraryDrawing, libraryPictures } from './pictureLibrary.ts';
export { neutralPictures } from './pictures.ts';
export {
  createSection,
  PURPOSES,
  type Purpose,
  SECTION_STARTERS,
  type SectionStarter,
  sharedAreaOf,
} from './sections/index.ts';
export { createSite, neutralSite, SITE_STARTERS, type SiteStarter } from './sites/index.ts';
export { bellSound } from './tolvane/bell.ts';
export { BELL } from './tolvane/guide.ts';
export { tolvane } from './tolvane/tolvane.ts';
export { tolvaneLarge } from './tolvane/tolvaneLarge.ts';
