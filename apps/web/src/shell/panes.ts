const FOCUSABLE = 'a[href], button, input, select, textarea, summary, iframe, [tabindex]';

const canTake = (element: HTMLElement): boolean =>
  element.isConnected && element.tabIndex >= 0 && !element.matches(':disabled') && element.checkVisibility();

/** The panes of a station, and where the focus was last in each of them. */
export class Panes {
  private readonly left = new WeakMap<Element, HTMLElement>();

  /** Remembers the focus of each pane while it is within; answers what ends that. */
  remember(): () => void {
    const note = ({ target }: FocusEvent) => {
      if (!(target instanceof HTMLElement)) return;
      const pane = target.closest('[data-pane]');
      if (pane) this.left.set(pane, target);
    };
    document.addEventListener('focusin', note);
    return () => document.removeEventListener('focusin', note);
  }

  /** Brings the focus into the next pane, or the one before: to where it was there, else to what comes first. */
  focusNext(back: boolean): void {
    const panes = [...document.querySelectorAll<HTMLElement>('[data-pane]')];
    const at = panes.findIndex(pane => pane.contains(document.activeElement));
    const step = back ? -1 : 1;
    for (let i = 1; i <= panes.length; i++) {
      const index = at < 0 ? (back ? panes.length - i : i - 1) : at + step * i + panes.length;
      const pane = panes[index % panes.length];
      const known = pane && this.left.get(pane);
      const first =
        known && canTake(known)
          ? known
          : [...(pane?.querySelectorAll<HTMLElement>(FOCUSABLE) ?? [])].find(canTake);
      if (!first) continue;
      first.focus();
      return;
    }
  }
}
