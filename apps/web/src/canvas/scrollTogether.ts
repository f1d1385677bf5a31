/** Where a document is scrolled to: how far into which of its anchors. */
interface Place {
  key: string;
  share: number;
}

/**
 * Lets documents scroll as one, by the things in them rather than by pixels: what is at the top of the one is at the top of
 * the others, though it may be taller there.
 */
export class ScrollTogether {
  private readonly documents = new Set<Document>();
  /** Documents whose next scroll is our own doing. */
  private readonly moved = new Set<Document>();

  /** `anchors` selects what stands below each other in them; by `attribute` the same thing is known in each. */
  constructor(
    private readonly anchors: string,
    private readonly attribute: string,
  ) {}

  join(document: Document): void {
    this.documents.add(document);
    document.addEventListener('scroll', () => {
      if (this.moved.delete(document)) return;
      const { defaultView } = document;
      if (!defaultView) {
        this.documents.delete(document);
        return;
      }
      this.follow(document, defaultView);
    });
  }

  /** What comes into view takes its real height only then, so places are looked for again in the next frames. */
  private follow(document: Document, view: Window, again = 2): void {
    const place = this.placeIn(document);
    for (const other of this.documents) if (place && other !== document) this.move(other, place);
    if (again > 0) view.requestAnimationFrame(() => this.follow(document, view, again - 1));
  }

  private placeIn(document: Document): Place | null {
    const top = [...document.querySelectorAll(this.anchors)].findLast(
      it => it.getBoundingClientRect().top <= 0.5,
    );
    const key = top?.getAttribute(this.attribute);
    if (!top || !key) return null;
    const box = top.getBoundingClientRect();
    return { key, share: box.height > 0 ? -box.top / box.height : 0 };
  }

  private move(document: Document, { key, share }: Place): void {
    const box = [...document.querySelectorAll(this.anchors)]
      .find(it => it.getAttribute(this.attribute) === key)
      ?.getBoundingClientRect();
    const { scrollingElement } = document;
    if (!box || !scrollingElement) return;
    const by = box.top + share * box.height;
    if (Math.abs(by) < 1) return;
    this.moved.add(document);
    scrollingElement.scrollTop += by;
  }
}
