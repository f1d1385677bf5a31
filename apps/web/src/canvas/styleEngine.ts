import {
  BASE_CSS,
  closureVariables,
  FAMILIES,
  type Family,
  type FontFile,
  getRecord,
  guideIds,
  guideSources,
  type Id,
  isComputed,
  nodesOn,
  ownFamilies,
  ownRules,
  type PageRecord,
  type Printing,
  type PrintMode,
  presetsAround,
  printElementBases,
  printFallbackFace,
  printFontFace,
  printKeyframes,
  programSources,
  rebindBlocks,
  rootBlock,
  rulesOf,
  type Site,
  type Styles,
  schemeBlock,
  schemeBlocks,
  schemePatterns,
  schemeSelector,
  varContext,
} from '@cove/core';
import { BlockSheet } from './blockSheet.ts';
import { LayerOrder, RuleSheet } from './ruleSheet.ts';

const faces = (families: readonly Family[], address: (file: FontFile) => string): string =>
  families
    .flatMap(family => [
      ...family.files.map(file => printFontFace(family, file, address)),
      printFallbackFace(family),
    ])
    .join('\n');

/** All families shipped with the program; a browser fetches only those in use. */
export const FACES = faces(FAMILIES, ({ file }) => `/fonts/${file}`);
/** Families of a site's own. */
export const ownFaces = (site: Site, siteId: string): string =>
  faces(ownFamilies(site), ({ file }) => `/api/sites/${siteId}/fonts/${file}`);

/** Where the pictures of a site lie. */
export const assetUrlOf =
  (siteId: string): Printing['assetUrl'] =>
  ({ file }) =>
    file.startsWith('data:') ? file : `/api/sites/${siteId}/assets/${file}`;

/** The sheets of one document, kept equal to a site by doing the least for each edit. */
export class StyleEngine {
  private readonly layers: LayerOrder;
  private readonly blocks: BlockSheet;
  private readonly guide: RuleSheet;
  private readonly own: RuleSheet;
  private readonly base: CSSStyleSheet;
  private readonly faces: CSSStyleSheet;
  private readonly printing: Printing;

  constructor(
    document: Document,
    view: Window & typeof globalThis,
    private readonly mode: PrintMode,
    private readonly siteId: string,
    extra = '',
  ) {
    this.printing = { mode, assetUrl: assetUrlOf(siteId) };
    this.layers = new LayerOrder(view);
    this.blocks = new BlockSheet(view);
    this.guide = new RuleSheet(view, mode, this.layers);
    this.own = new RuleSheet(view, mode, this.layers);
    this.base = new view.CSSStyleSheet();
    this.base.replaceSync(`${FACES}\n${BASE_CSS}\n${printElementBases()}\n${printKeyframes()}\n${extra}`);
    this.faces = new view.CSSStyleSheet();
    document.adoptedStyleSheets = [
      this.layers.sheet,
      this.faces,
      this.base,
      this.blocks.sheet,
      this.guide.sheet,
      this.own.sheet,
    ];
  }

  /** Everything anew. */
  reset(site: Site, page: PageRecord | null): void {
    this.faces.replaceSync(ownFaces(site, this.siteId));
    this.blocks.set(rootBlock(site, this.mode));
    for (const block of schemeBlocks(site)) this.blocks.set(block);
    this.setRebinds(site, page);
    const context = varContext(site, this.printing);
    for (const source of programSources())
      this.guide.set(`program ${source.className}`, rulesOf(site, source, context), site);
    for (const id of guideIds(site)) this.setGuide(site, id);
    for (const id of [...this.guide.sources()])
      if (!id.startsWith('program ') && !getRecord(site, id)) this.guide.remove(id);
    this.setOwn(site, page);
    this.layers.flush();
  }

  private setGuide(site: Site, id: Id): void {
    const context = varContext(site, this.printing);
    this.guide.set(
      id,
      guideSources(site, id).flatMap(source => rulesOf(site, source, context)),
      site,
    );
  }

  private setOwn(site: Site, page: PageRecord | null): void {
    const nodes = page ? nodesOn(site, page) : [];
    const present = new Set(nodes.map(node => node.id));
    for (const node of nodes) this.own.set(node.id, ownRules(site, [node], this.printing), site);
    for (const id of [...this.own.sources()]) if (!present.has(id)) this.own.remove(id);
  }

  private setRebinds(site: Site, page: PageRecord | null): void {
    const blocks = page ? rebindBlocks(site, page) : [];
    for (const block of blocks) this.blocks.set(block);
    this.blocks.keepOnly(new Set(blocks.map(block => block.selector)), '.b-');
  }

  /** Follows an edit of the given records. */
  update(site: Site, page: PageRecord | null, touched: ReadonlySet<Id>): void {
    const tokens: Id[] = [];
    let derived = false;
    let bound = false;
    for (const id of touched) {
      const record = getRecord(site, id);
      switch (record?.kind) {
        case 'token':
          tokens.push(id);
          break;
        case 'scheme':
          this.blocks.set(schemeBlock(site, id));
          break;
        case 'preset':
          for (const around of presetsAround(site, id)) this.setGuide(site, around);
          derived ||= derives(record.styles);
          break;
        case 'default':
        case 'variant':
        case 'variantRule':
          this.setGuide(site, id);
          derived ||= derives(record.styles);
          break;
        case 'page':
          bound = true;
          this.setOwn(site, page);
          break;
        case 'section':
        case 'widget':
          this.own.set(id, this.isOn(site, page, id) ? ownRules(site, [record], this.printing) : [], site);
          bound ||= record.kind === 'section';
          derived ||= derives(record.styles);
          break;
        case 'asset':
          break;
        default:
          // Text styles, settings and what was removed reach too far to be followed one by one.
          this.reset(site, page);
          return;
      }
    }
    if (tokens.length > 0)
      this.blocks.patch({
        ...rootBlockOf(this.mode),
        declarations: closureVariables(site, tokens, {}, this.mode),
      });
    // A derivation or pattern may be written in a slot for the first time.
    if (derived) this.blocks.patch(rootBlock(site, this.mode));
    if (derived || tokens.length > 0)
      for (const scheme of site.kinds.scheme.keys())
        this.blocks.patch({
          selector: schemeSelector(scheme),
          declarations: schemePatterns(site, scheme),
        });
    if (bound || derived || tokens.length > 0) this.setRebinds(site, page);
    this.layers.flush();
  }

  private isOn(site: Site, page: PageRecord | null, id: Id): boolean {
    let at = getRecord(site, id);
    while (at?.kind === 'widget') at = getRecord(site, at.at.parent);
    return at?.kind === 'section' && (at.area !== 'main' || at.at.parent === page?.id);
  }
}

const derives = (styles: Styles): boolean => Object.values(styles).some(isComputed);
const rootBlockOf = (mode: PrintMode) => ({ selector: mode === 'sheet' ? ':where(.cell)' : ':root' });
