import { elementOfNode, getRecord, hostOf, type Id, isNode, type Site, type State } from '@cove/core';
import { PageMarkup } from './pageMarkup.ts';
import { assetUrlOf, StyleEngine } from './styleEngine.ts';

/** Where a page parts: below a thing, or within a section at its end. */
export interface Seam {
  node: Id;
  part: string;
  side: 'margin-bottom' | 'padding-bottom';
}

/** A page in a document of its own, kept equal to a site: styles by rule, content by node. */
export class PageCanvas {
  private readonly engine: StyleEngine;
  private site: Site | null = null;
  private forced: { node: Id; part: string; state: State } | null = null;
  /** The element that bears the forced state. */
  private showing: Element | null = null;
  private readonly markup: PageMarkup;
  private readonly gap: CSSStyleSheet;
  /** Words are written in it: its content stays as it is until they are let go. */
  private held: { since: Site; touched: Set<Id>; all: boolean } | null = null;

  constructor(
    readonly document: Document,
    view: Window & typeof globalThis,
    siteId: string,
    private readonly page: Id,
    { extra = '', links = false }: { extra?: string; links?: boolean } = {},
  ) {
    this.engine = new StyleEngine(document, view, 'canvas', siteId, `.skip{display:none}${extra}`);
    this.gap = new view.CSSStyleSheet();
    document.adoptedStyleSheets.push(this.gap);
    this.markup = new PageMarkup(document, page, {
      marks: true,
      links,
      noTabStops: !links,
      assetUrl: assetUrlOf(siteId),
    });
  }

  /** Shows the site; `touched` tells what may differ from the last time, null that anything may. */
  show(site: Site, touched: ReadonlySet<Id> | null): void {
    const before = this.site;
    this.site = site;
    const page = site.kinds.page.get(this.page) ?? null;
    if (!page) {
      this.document.body.replaceChildren();
      return;
    }
    if (!before || touched === null) {
      this.engine.reset(site, page);
      if (this.held) this.held.all = true;
      else this.markup.all(site);
    } else {
      this.engine.update(site, page, touched);
      if (this.held) for (const id of touched) this.held.touched.add(id);
      else this.markup.follow(before, site, touched);
    }
    this.applyForced();
  }

  /** Shows what is closed open around some things; nothing of that is published. */
  openAround(ids: readonly Id[]): void {
    if (!this.site || this.held) return;
    this.markup.openAround(this.site, ids);
    this.applyForced();
  }

  /** Leaves its content alone while words are written in it; styles still follow. */
  hold(): void {
    if (this.site) this.held = { since: this.site, touched: new Set(), all: false };
  }

  /** Shows again what is so, where something has altered meanwhile; a node in any case. */
  release(node: Id): void {
    const { site, held } = this;
    this.held = null;
    if (!site || !held) return;
    const record = getRecord(site, node);
    if (held.all || !isNode(record)) this.markup.all(site);
    else {
      this.markup.follow(held.since, site, held.touched);
      this.markup.one(site, record);
    }
    this.applyForced();
  }

  find(node: Id): Element | null {
    return this.markup.find(node);
  }

  findPart(node: Id, part: string): Element | null {
    return this.markup.part(node, part);
  }

  /** What stands at an element: the node, and the part of it. */
  static hit(element: Element | null): { node: Id; part: string } | null {
    const part = element?.closest('[data-node][data-part]');
    const id = part?.getAttribute('data-node');
    const name = part?.getAttribute('data-part');
    return id && name ? { node: id, part: name } : null;
  }

  /** Opens a gap of some px below a thing, or within it at its end; closes it where there is none. */
  part(at: Seam | null, px: number): void {
    this.gap.replaceSync(
      at === null
        ? ''
        : `[data-node="${CSS.escape(at.node)}"][data-part="${CSS.escape(at.part)}"]{${at.side}:${px}px!important}`,
    );
  }

  /** Shows one part's host in a state, without a pointer. */
  force(forced: { node: Id; part: string; state: State } | null): void {
    this.forced = forced;
    this.applyForced();
  }

  private applyForced(): void {
    this.showing?.removeAttribute('data-state');
    this.showing = null;
    if (!this.forced || this.forced.state === 'rest' || !this.site) return;
    const record = getRecord(this.site, this.forced.node);
    if (!isNode(record)) return;
    const host = hostOf(elementOfNode(record), this.forced.part, this.forced.state);
    this.showing = this.findPart(this.forced.node, host);
    this.showing?.setAttribute('data-state', this.forced.state);
  }
}
