export {
  isRendition,
  type PictureSizes,
  type Rendition,
  type RenditionFormat,
  shareRendition,
  sizesOfPicture,
  tabIcons,
} from './renditions.ts';
