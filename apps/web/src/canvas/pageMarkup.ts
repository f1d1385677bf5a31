import {
  AREAS,
  directionOf,
  effectsOf,
  elementOfNode,
  getRecord,
  type Id,
  isNode,
  type MarkupOptions,
  type NodeRecord,
  nodeScope,
  nodesOn,
  type PageRecord,
  pageScope,
  printHtml,
  renderBody,
  renderNode,
  SETTINGS,
  type SectionRecord,
  type Site,
  sectionsIn,
  settingsOf,
  usersOf,
} from '@cove/core';

const holderId = (site: Site, id: Id): Id | null => {
  const node = getRecord(site, id);
  return isNode(node) ? node.at.parent : null;
};

/** What can be closed of that which a thing is or stands in. */
function closingAround(site: Site, id: Id): Id[] {
  const found: Id[] = [];
  for (let at = getRecord(site, id); isNode(at); at = getRecord(site, at.at.parent))
    if (elementOfNode(at).closes) found.push(at.id);
  return found;
}

/** What the header of a page lies over, which it is coloured by. */
function overOf(site: Site, page: Id): string | null {
  const record = site.kinds.page.get(page);
  const over = record && pageScope(site, record).over;
  return over ? `${over.id} ${over.scheme}` : null;
}

/** The elements of one page in a document, kept equal to a site by drawing anew only what an edit alters. */
export class PageMarkup {
  constructor(
    private readonly document: Document,
    private readonly page: Id,
    private options: MarkupOptions,
  ) {}

  /** Shows what is closed on the page open around some things, and what was open for others as it is published. */
  openAround(site: Site, ids: readonly Id[]): void {
    const page = site.kinds.page.get(this.page);
    const open = new Set(ids.flatMap(id => closingAround(site, id)));
    const before = this.options.open ?? new Set<Id>();
    if (!page || before === 'all') return;
    const other = [...open].filter(id => !before.has(id)).concat([...before].filter(id => !open.has(id)));
    if (other.length === 0) return;
    this.options = { ...this.options, open };
    // Which of several is open is for their holder to show.
    this.draw(site, page, new Set(other.flatMap(id => holderId(site, id) ?? [])));
  }

  /** Everything anew. */
  all(site: Site): void {
    const page = site.kinds.page.get(this.page);
    if (!page) return;
    const body = renderBody(site, page, this.options);
    const { document } = this;
    const { language } = settingsOf(site);
    document.documentElement.lang = language;
    document.documentElement.dir = directionOf(language);
    for (const [name, value] of Object.entries(body.attrs))
      if (value != null) document.body.setAttribute(name, String(value));
    document.body.innerHTML = body.children.map(printHtml).join('');
    this.showOpened();
  }

  /** What the edits between two sites alter. */
  follow(before: Site, site: Site, touched: ReadonlySet<Id>): void {
    const page = site.kinds.page.get(this.page);
    if (!page) return;
    /** Things to be drawn anew, and places whose contents are other ones. */
    const anew = new Set<Id>();
    const places = new Set<Id>();
    for (const id of touched) {
      const was = getRecord(before, id);
      const is = getRecord(site, id);
      if (was === is) continue;
      switch (effectsOf(was, is).markup) {
        case 'none':
          break;
        case 'self':
          anew.add(id);
          break;
        case 'place':
          for (const node of [was, is]) if (isNode(node)) places.add(node.at.parent);
          break;
        case 'mentioning':
          for (const user of usersOf(site, id)) anew.add(user);
          break;
        case 'lists':
          for (const node of nodesOn(site, page)) if (elementOfNode(node).listsPages) anew.add(node.id);
          break;
        case 'all':
          this.all(site);
          return;
      }
    }
    if (overOf(before, this.page) !== overOf(site, this.page)) {
      this.all(site);
      return;
    }
    for (const place of places) {
      const holder = getRecord(site, place);
      if (isNode(holder)) anew.add(place);
      else if ((place === this.page || place === SETTINGS) && !this.arrange(site, page)) {
        this.all(site);
        return;
      }
    }
    this.draw(site, page, anew);
  }

  /** Draws some things anew, with the sections whose edges show their ground; once each, with all that stands in them. */
  private draw(site: Site, page: PageRecord, anew: ReadonlySet<Id>): void {
    const nodes = [...anew].map(id => getRecord(site, id)).filter(isNode);
    const isInAnother = (node: NodeRecord): boolean => {
      for (let at = getRecord(site, node.at.parent); isNode(at); at = getRecord(site, at.at.parent))
        if (anew.has(at.id)) return true;
      return false;
    };
    for (const node of nodes) if (!isInAnother(node)) this.one(site, node);
    if (nodes.some(node => node.kind === 'section'))
      for (const section of this.withEdges(site, page)) if (!anew.has(section.id)) this.one(site, section);
    this.showOpened();
  }

  /** What opens in front of the page does so while something in it is edited, if it is arranged so. */
  private showOpened(): void {
    const view = this.document.defaultView;
    for (const it of this.document.querySelectorAll<HTMLElement>('[data-opens][popover]')) {
      if (it.matches(':popover-open') || view?.getComputedStyle(it).display !== 'none') continue;
      it.popover = 'manual';
      const source = this.document.querySelector<HTMLElement>(`[popovertarget="${CSS.escape(it.id)}"]`);
      it.showPopover(source ? { source } : {});
    }
  }

  private withEdges(site: Site, page: PageRecord): SectionRecord[] {
    return AREAS.flatMap(area => sectionsIn(site, page.id, area)).filter(
      ({ id }) => this.part(id, 'topEdge') ?? this.part(id, 'bottomEdge'),
    );
  }

  /** Puts the sections of each area in their order, drawing only those that are new; false where an area comes or goes. */
  private arrange(site: Site, page: PageRecord): boolean {
    for (const area of AREAS) {
      const sections = sectionsIn(site, page.id, area);
      const host = this.document.querySelector(`[data-area=${area}]`);
      if (!host) {
        if (sections.length > 0) return false;
        continue;
      }
      if (sections.length === 0 && area !== 'main') return false;
      this.arrangeIn(host, site, page, sections);
    }
    for (const section of this.withEdges(site, page)) this.one(site, section);
    return true;
  }

  private arrangeIn(host: Element, site: Site, page: PageRecord, sections: readonly SectionRecord[]): void {
    const there = new Map([...host.children].map(it => [it.getAttribute('data-node'), it]));
    let next = host.firstElementChild;
    for (const section of sections) {
      const known = there.get(section.id);
      const element = known ?? this.drawn(site, page, section);
      there.delete(section.id);
      if (!element) continue;
      if (element === next) next = next.nextElementSibling;
      else host.insertBefore(element, next);
    }
    for (const gone of there.values()) gone.remove();
  }

  private drawn(site: Site, page: PageRecord, node: NodeRecord): Element | null {
    const outer =
      node.kind === 'section' ? pageScope(site, page) : nodeScope(site, this.page, node.at.parent);
    if (!outer) return null;
    const template = this.document.createElement('template');
    template.innerHTML = printHtml(renderNode(site, outer, node, this.options));
    return template.content.firstElementChild;
  }

  /** Draws one thing anew, with all that stands in it; of an item in several pieces, what holds it. */
  one(site: Site, node: NodeRecord): void {
    const page = site.kinds.page.get(this.page);
    const holder = elementOfNode(node).views ? getRecord(site, node.at.parent) : undefined;
    if (isNode(holder)) {
      this.one(site, holder);
      return;
    }
    const element = this.find(node.id);
    const fresh = page && element && this.drawn(site, page, node);
    if (fresh) element.replaceWith(fresh);
  }

  /** The outermost element of a node, which is the first of its parts. */
  find(node: Id): Element | null {
    return this.document.querySelector(`[data-node="${CSS.escape(node)}"]`);
  }

  /** The first element of a part of a node. */
  part(node: Id, part: string): Element | null {
    return this.document.querySelector(`[data-node="${CSS.escape(node)}"][data-part="${CSS.escape(part)}"]`);
  }
}
