export * from './body.ts';
export { printDocument } from './document.ts';
export { drawnSvg } from './drawings.ts';
export { fontsIn, printFontFaces, voiceFamilies } from './fonts.ts';
export { escapeHtml, type HtmlElement, printHtml } from './html.ts';
export * from './links.ts';
export {
  classesOf,
  renderNode,
  renderSample,
  sectionBeside,
  sectionsIn,
} from './markup.ts';
export type { MarkupOptions } from './markupContext.ts';
export { renderPreview } from './preview.ts';
export { type PublishedSite, publishSite } from './publish.ts';
export { type RenderedPage, renderPage } from './renderedPage.ts';
export * from './rules.ts';
export { guideIds, guideSources, ownSource, programSources } from './sources.ts';
export * from './specimen.ts';
export { printSpecimen, type SpecimenFiles, specimenNeeds } from './specimenFile.ts';
export * from './stylesheet.ts';
export { nameOfNode, type Unrenderable } from './unrenderable.ts';
export {
  closureVariables,
  type Declarations,
  isComputed,
  PAGES,
  rootVariables,
  schemePatterns,
  schemeVariables,
  slotDerivations,
  type Target,
} from './variables.ts';
