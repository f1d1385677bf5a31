import {
  baseCss,
  closureVariables,
  type Declarations,
  effectsOf,
  FAMILIES,
  type Family,
  type FontFile,
  type Gamut,
  getRecord,
  guideIds,
  guideSources,
  type Id,
  isComputed,
  isNode,
  nodesOn,
  ownFamilies,
  ownRules,
  type PageRecord,
  type Printing,
  type PrintMode,
  presetsAround,
  printElementBases,
  printFallbackFaces,
  printFontFace,
  printKeyframes,
  programSources,
  rebindBlocks,
  rootBlocks,
  rootBlocksOf,
  rootVariables,
  rulesOf,
  type Site,
  type SiteRecord,
  type Styles,
  schemeBlock,
  schemeBlocks,
  schemePatterns,
  schemeSelector,
  sectionsIn,
  settingsOf,
  type Target,
  usersOf,
  varContext,
} from '@cove/core';
import { BlockSheet } from './blockSheet.ts';
import { LayerOrder, RuleSheet } from './ruleSheet.ts';

const faces = (families: readonly Family[], address: (file: FontFile) => string): string =>
  families
    .flatMap(family => [
      ...family.files.map(file => printFontFace(family, file, address)),
      printFallbackFaces(family),
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
    /^(?:data|blob):/.test(file) ? file : `/api/sites/${siteId}/assets/${file}`;

/** The sheets of one document, kept equal to a site by doing the least for each edit. */
export class StyleEngine {
  private readonly layers: LayerOrder;
  private readonly blocks: BlockSheet;
  private readonly guide: RuleSheet;
  private readonly own: RuleSheet;
  private readonly base: CSSStyleSheet;
  private readonly faces: CSSStyleSheet;
  private readonly printing: Printing;
  /** What the sheets were last made equal to. */
  private shown: Site | null = null;
  /** What the screen shows that the sheets are printed for. */
  private gamut: Gamut = 'srgb';

  constructor(
    document: Document,
    private readonly view: Window & typeof globalThis,
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
    this.base.replaceSync(
      `${FACES}\n${baseCss(mode)}\n${printElementBases(null, mode)}\n${printKeyframes()}\n${extra}`,
    );
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

  private get target(): Target {
    return { mode: this.mode, gamut: this.gamut };
  }

  /** Wide colours show where the brand wants them and the screen has them, as they will for visitors. */
  private gamutFor(site: Site): Gamut {
    return settingsOf(site).wideColors && this.view.matchMedia('(color-gamut: p3)').matches
      ? 'display-p3'
      : 'srgb';
  }

  /** Everything anew. */
  reset(site: Site, page: PageRecord | null): void {
    this.shown = site;
    this.gamut = this.gamutFor(site);
    this.faces.replaceSync(ownFaces(site, this.siteId));
    for (const block of rootBlocks(site, this.target)) this.blocks.set(block);
    for (const block of schemeBlocks(site, this.gamut)) this.blocks.set(block);
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
    const blocks = page ? rebindBlocks(site, page, this.gamut) : [];
    for (const block of blocks) this.blocks.set(block);
    this.blocks.keepOnly(new Set(blocks.map(block => block.selector)), '.b-');
  }

  /** Follows an edit of the given records. */
  update(site: Site, page: PageRecord | null, touched: ReadonlySet<Id>): void {
    const before = this.shown;
    if (!before || this.gamut !== this.gamutFor(site)) {
      this.reset(site, page);
      return;
    }
    this.shown = site;
    const tokens: Id[] = [];
    /** Records whose own rules are made anew. */
    const sources = new Set<Id>();
    let patterns = false;
    let bound = false;
    let nodes = false;
    for (const id of touched) {
      const was = getRecord(before, id);
      const is = getRecord(site, id);
      switch (effectsOf(was, is).rules) {
        case 'none':
          break;
        case 'variables':
          tokens.push(id);
          break;
        case 'scheme':
          this.blocks.set(schemeBlock(site, id, this.gamut));
          break;
        case 'patterns':
          patterns = true;
          break;
        case 'faces':
          this.faces.replaceSync(ownFaces(site, this.siteId));
          break;
        case 'source':
          sources.add(id);
          break;
        case 'holders':
          for (const around of presetsAround(site, id)) sources.add(around);
          break;
        case 'mentioning':
          sources.add(id);
          for (const user of usersOf(site, id))
            for (const around of presetsAround(site, user)) sources.add(around);
          patterns = true;
          break;
        case 'own':
          sources.add(id);
          bound ||= (is ?? was)?.kind === 'section';
          // What stands in it may be on the page since, or no longer.
          nodes ||= isNode(was) && isNode(is) ? was.at.parent !== is.at.parent : isInArea(is ?? was);
          break;
        case 'page':
          bound = true;
          nodes = true;
          break;
        case 'all':
          this.reset(site, page);
          return;
      }
    }
    for (const id of sources) {
      this.setSource(site, page, id);
      const record = getRecord(site, id);
      // A derivation or pattern may be written in a slot for the first time.
      patterns ||= record !== undefined && 'styles' in record && derives(record.styles);
    }
    if (nodes) this.setOwn(site, page);
    if (tokens.length > 0) this.patchRoot(site, closureVariables(site, tokens, {}, this.target));
    if (patterns) this.patchRoot(site, rootVariables(site, this.target));
    if (patterns || tokens.length > 0)
      for (const scheme of site.kinds.scheme.keys())
        this.blocks.patch({
          selector: schemeSelector(scheme),
          declarations: schemePatterns(site, scheme, this.gamut),
        });
    if (bound || patterns || tokens.length > 0) this.setRebinds(site, page);
    this.layers.flush();
  }

  /** A token that has become a growing size, or is none any more, is declared in another place. */
  private patchRoot(site: Site, declarations: Declarations): void {
    const blocks = rootBlocksOf(site, declarations, this.mode);
    for (const block of blocks) {
      this.blocks.patch(block);
      for (const other of blocks) if (other !== block) this.blocks.drop(other.selector, block.declarations);
    }
  }

  /** The rules of a record of the guide, or of something on the page, as they are now; none where it is gone. */
  private setSource(site: Site, page: PageRecord | null, id: Id): void {
    const record = getRecord(site, id);
    if (isNode(record))
      this.own.set(id, this.isOn(site, page, id) ? ownRules(site, [record], this.printing) : [], site);
    else if (record) this.setGuide(site, id);
    else {
      this.guide.remove(id);
      this.own.remove(id);
    }
  }

  private isOn(site: Site, page: PageRecord | null, id: Id): boolean {
    let at = getRecord(site, id);
    while (at?.kind === 'widget') at = getRecord(site, at.at.parent);
    return at?.kind === 'section' && page !== null && sectionsIn(site, page.id, at.area).includes(at);
  }
}

/** Whether something is a section that stands in place of what pages share, or is shared by them. */
const isInArea = (record: SiteRecord | undefined): boolean =>
  record?.kind === 'section' && record.area !== 'main';

const derives = (styles: Styles): boolean => Object.values(styles).some(isComputed);
