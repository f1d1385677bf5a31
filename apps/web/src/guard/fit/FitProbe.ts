import { type Id, type Site, settingsOf, WIDTHS, type Width } from '@cove/core';
import type { View } from '../../canvas/CanvasFrame.tsx';
import { PageCanvas } from '../../canvas/pageCanvas.ts';
import { type TightText, tightTexts } from './tightTexts.ts';

/** A text that fitted before a change and does not after it. */
export interface UnfitText extends TightText {
  page: Id;
  /** The widest of the named widths at which it does not fit. */
  width: Width;
  /** The viewport in px at which that was seen. */
  viewport: number;
}

/** The narrowest screen a page has to work on without scrolling sideways: WCAG 2.2, success criterion 1.4.10. */
const NARROWEST = 320;
/** Ms for which fonts are waited for; what has not come by then is measured in the fonts that stand in for them. */
const FONTS = 2000;
/** Words are not broken and nothing is left out, so that what has no room stands out of its box. */
const EXTRA = ':root{overflow-wrap:normal!important}.section-box{content-visibility:visible!important}';
const EMPTY = '<!doctype html><html><head><title>Measured</title></head><body></body></html>';

/** The narrowest viewport of each width: where there is least room for words. */
export function tightestViewports(site: Site): Record<Width, number> {
  const { narrowTo, mediumTo } = settingsOf(site);
  return { wide: mediumTo + 1, medium: narrowTo + 1, narrow: Math.min(NARROWEST, narrowTo) };
}

const rest = () =>
  new Promise<void>(resolve => {
    if ('requestIdleCallback' in globalThis) requestIdleCallback(() => resolve(), { timeout: 500 });
    else setTimeout(resolve, 50);
  });

/** Lays out pages where nobody sees them, before and after a change, and tells which texts have no room any more. */
export class FitProbe {
  private constructor(
    private readonly frame: HTMLIFrameElement,
    private readonly view: View,
    private readonly siteId: string,
  ) {}

  static async open(siteId: string): Promise<FitProbe> {
    const frame = document.createElement('iframe');
    frame.setAttribute('sandbox', 'allow-same-origin');
    frame.title = 'Measured';
    frame.ariaHidden = 'true';
    frame.inert = true;
    frame.tabIndex = -1;
    frame.style.cssText =
      'position:fixed;top:0;left:-9999px;width:1280px;height:800px;border:0;visibility:hidden;pointer-events:none';
    const loaded = new Promise(resolve => frame.addEventListener('load', resolve, { once: true }));
    frame.srcdoc = EMPTY;
    document.body.append(frame);
    await loaded;
    if (!frame.contentWindow) throw new Error('A frame that has loaded has a window.');
    return new FitProbe(frame, frame.contentWindow as View, siteId);
  }

  close(): void {
    this.frame.remove();
  }

  /**
   * The texts of a page that fit in one site and not in the other. `touched` names the records in which they differ. A page
   * that is new in the second is measured in that alone.
   */
  async compare(before: Site, after: Site, page: Id, touched: ReadonlySet<Id>): Promise<UnfitText[]> {
    const { document } = this.view;
    const canvas = new PageCanvas(document, this.view, this.siteId, page, { extra: EXTRA });
    canvas.show(before, null);
    await this.settled();
    const then = this.measure(before);
    await rest();
    canvas.show(after, touched);
    await this.settled();
    const found = new Map<string, UnfitText>();
    for (const { width, viewport, texts } of this.measure(after)) {
      const fitted = then.find(it => it.width === width)?.texts ?? [];
      for (const { node, part } of texts) {
        const key = `${node} ${part}`;
        if (found.has(key) || fitted.some(it => it.node === node && it.part === part)) continue;
        found.set(key, { node, part, page, width, viewport });
      }
    }
    return [...found.values()];
  }

  private measure(site: Site): { width: Width; viewport: number; texts: TightText[] }[] {
    const viewports = tightestViewports(site);
    return WIDTHS.map(width => {
      const viewport = viewports[width];
      this.frame.style.width = `${viewport}px`;
      return { width, viewport, texts: tightTexts(this.view.document, this.view) };
    });
  }

  /** Waits for the fonts that the page asks for, once it has been laid out. */
  private async settled(): Promise<void> {
    const { document } = this.view;
    document.body.getBoundingClientRect();
    await Promise.race([document.fonts.ready, new Promise(resolve => setTimeout(resolve, FONTS))]);
  }
}
