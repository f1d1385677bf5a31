import {
  elementOfNode,
  getRecord,
  hostOf,
  type Id,
  isNode,
  type MarkupOptions,
  type NodeRecord,
  nodeScope,
  pageScope,
  parseDeclarationKey,
  parseSlot,
  printHtml,
  renderBody,
  renderNode,
  type Site,
  type SiteRecord,
  type State,
  type Styles,
  sectionBeside,
} from '@cove/core';
import { assetUrlOf, StyleEngine } from './styleEngine.ts';

/** The parts that a record says something of. */
const partsOf = (record: SiteRecord & { styles: Styles }): string => {
  const parts = Object.keys(record.styles).map(slot => parseSlot(slot)?.part);
  if ('declarations' in record)
    parts.push(...Object.keys(record.declarations ?? {}).map(key => parseDeclarationKey(key)?.part));
  return [...new Set(parts)].sort().join(' ');
};

/** A page in a document of its own, kept equal to a site: styles by rule, content by node. */
export class PageCanvas {
  private readonly engine: StyleEngine;
  private site: Site | null = null;
  private forced: { node: Id; part: string; state: State } | null = null;
  /** The element that bears the forced state. */
  private showing: Element | null = null;
  private readonly options: MarkupOptions;
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
    this.options = {
      marks: true,
      links,
      still: !links,
      assetUrl: assetUrlOf(siteId),
    };
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
      else this.renderAll(site);
    } else {
      this.engine.update(site, page, touched);
      if (this.held) for (const id of touched) this.held.touched.add(id);
      else this.renderTouched(before, site, touched);
    }
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
    if (held.all || !isNode(record)) this.renderAll(site);
    else {
      this.renderTouched(held.since, site, held.touched);
      this.renderOne(site, record);
    }
    this.applyForced();
  }

  private renderAll(site: Site): void {
    const page = site.kinds.page.get(this.page);
    if (!page) return;
    const body = renderBody(site, page, this.options);
    const { document } = this;
    document.documentElement.lang = [...site.kinds.settings.values()][0]?.language ?? 'en';
    for (const [name, value] of Object.entries(body.attrs))
      if (value != null) document.body.setAttribute(name, String(value));
    document.body.innerHTML = body.children.map(printHtml).join('');
  }

  private renderTouched(before: Site, site: Site, touched: ReadonlySet<Id>): void {
    const nodes: NodeRecord[] = [];
    for (const id of touched) {
      const was = getRecord(before, id);
      const is = getRecord(site, id);
      if (was === is) continue;
      const need = this.need(was, is);
      if (need === 'all') {
        this.renderAll(site);
        return;
      }
      if (need === 'node' && isNode(is)) nodes.push(is);
    }
    for (const node of this.withEdgesTo(site, nodes)) this.renderOne(site, node);
  }

  /** Besides those sections, the ones whose edges show their ground. */
  private withEdgesTo(site: Site, nodes: readonly NodeRecord[]): Set<NodeRecord> {
    const all = new Set(nodes);
    for (const node of nodes) {
      if (node.kind !== 'section') continue;
      for (const side of ['above', 'below'] as const) {
        const beside = sectionBeside(site, this.page, node.id, side);
        if (beside && this.findPart(beside.id, side === 'above' ? 'bottomEdge' : 'topEdge')) all.add(beside);
      }
    }
    return all;
  }

  /** How much markup an edited record alters. */
  private need(was: SiteRecord | undefined, is: SiteRecord | undefined): 'nothing' | 'node' | 'all' {
    if (!was || !is)
      return (was ?? is)?.kind === 'token' || (was ?? is)?.kind === 'asset' ? 'nothing' : 'all';
    if (isNode(was) && isNode(is)) {
      if (was.at.parent !== is.at.parent || was.at.order !== is.at.order) return 'all';
      const onlyStyles = Object.keys(is).every(
        key => key === 'styles' || key === 'declarations' || Reflect.get(was, key) === Reflect.get(is, key),
      );
      return onlyStyles && partsOf(was) === partsOf(is) ? 'nothing' : 'node';
    }
    if (is.kind === 'token' || is.kind === 'scheme') return 'nothing';
    if (is.kind === 'preset' && was.kind === 'preset' && was.includes !== is.includes) return 'all';
    // Which classes a part bears depends on which parts a record speaks of, not on what it says.
    if ('styles' in is && 'styles' in was && is.kind !== 'textStyle')
      return partsOf(was) === partsOf(is) ? 'nothing' : 'all';
    if (is.kind === 'textStyle') return 'nothing';
    return 'all';
  }

  private renderOne(site: Site, node: NodeRecord): void {
    const element = this.find(node.id);
    if (!element) return;
    const page = site.kinds.page.get(this.page);
    const outer =
      node.kind === 'section' ? page && pageScope(site, page) : nodeScope(site, this.page, node.at.parent);
    if (!outer) return;
    const template = this.document.createElement('template');
    template.innerHTML = printHtml(renderNode(site, outer, node, this.options));
    const fresh = template.content.firstElementChild;
    if (fresh) element.replaceWith(fresh);
  }

  /** The outermost element of a node, which is the first of its parts. */
  find(node: Id): Element | null {
    return this.document.querySelector(`[data-node="${CSS.escape(node)}"]`);
  }

  /** The first element of a part of a node. */
  findPart(node: Id, part: string): Element | null {
    return this.document.querySelector(`[data-node="${CSS.escape(node)}"][data-part="${CSS.escape(part)}"]`);
  }

  /** What stands at an element: the node, and the part of it. */
  static hit(element: Element | null): { node: Id; part: string } | null {
    const part = element?.closest('[data-node][data-part]');
    const id = part?.getAttribute('data-node');
    const name = part?.getAttribute('data-part');
    return id && name ? { node: id, part: name } : null;
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
    const host = hostOf(elementOfNode(record), this.forced.part);
    this.showing = this.findPart(this.forced.node, host);
    this.showing?.setAttribute('data-state', this.forced.state);
  }
}
