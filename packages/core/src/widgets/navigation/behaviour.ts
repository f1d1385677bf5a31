/**
 * Navigation: opening and closing, Escape and the way back of the focus are the browser’s own (HTML, popover). Here is what it
 * leaves out: what is open is said to styles, closes when a link within the page is followed, when the focus has gone on, and
 * when the window gets another width; a word without a link opens what is below it; arrows lead through a list. What is to
 * stand at the foot of the window is opened there. Answers with what stops it.
 */
export function start(root: Document | Element): () => void {
  const stop = new AbortController();
  const { signal } = stop;
  const document = root.ownerDocument ?? root;
  const view = document.defaultView;
  const shown = (it: Element) => it.getClientRects().length > 0;

  for (const box of root.querySelectorAll<HTMLElement>('.navigation-box')) {
    const panel = box.querySelector<HTMLElement>(':scope > .navigation-panel');
    if (!panel) continue;
    const opening = [panel, ...panel.querySelectorAll<HTMLElement>('[popover]')];
    const openerOf = (it: Element) =>
      box.querySelector<HTMLElement>(`[popovertarget="${it.id}"]:not([popovertargetaction])`);
    const close = () => {
      for (const it of [...opening].reverse())
        if (it.popover === 'auto' && it.matches(':popover-open')) it.hidePopover();
    };
    const opener = openerOf(panel);
    /** A panel that is to stand at the foot of the window opens by itself, and the end of the page keeps clear of it. */
    const standAtFoot = () => {
      // Where no other way of opening has a middle.
      const isBar =
        view?.getComputedStyle(panel).getPropertyValue('position-area').includes('center') === true;
      if (isBar === (panel.popover === 'manual')) return;
      close();
      panel.popover = isBar ? 'manual' : 'auto';
      opener?.style.setProperty('visibility', isBar ? 'hidden' : '');
      if (isBar) panel.showPopover();
      const room = isBar ? `${panel.offsetHeight}px` : '';
      document.body.style.paddingBlockEnd = room;
      document.documentElement.style.scrollPaddingBlockEnd = room;
    };

    for (const it of opening)
      it.addEventListener(
        'toggle',
        event => {
          if (event.target !== it || !(event instanceof ToggleEvent)) return;
          openerOf(it)?.setAttribute('aria-expanded', String(event.newState === 'open'));
        },
        { signal },
      );
    box.addEventListener(
      'click',
      event => {
        const link = event.target instanceof Element ? event.target.closest('a') : null;
        if (!link) return;
        if (link.hasAttribute('href')) {
          if (link.hash !== '' && link.pathname === view?.location.pathname) close();
          return;
        }
        const more = link.parentElement?.querySelector<HTMLElement>(':scope > [popovertarget]');
        if (more && shown(more)) more.click();
      },
      { signal },
    );
    box.addEventListener(
      'focusout',
      ({ relatedTarget }) => {
        if (relatedTarget instanceof Node && !box.contains(relatedTarget)) close();
      },
      { signal },
    );
    box.addEventListener(
      'keydown',
      event => {
        const { key } = event;
        const by =
          key === 'ArrowDown' || key === 'ArrowRight' ? 1 : key === 'ArrowUp' || key === 'ArrowLeft' ? -1 : 0;
        if ((by === 0 && key !== 'Home' && key !== 'End') || event.altKey || event.ctrlKey || event.metaKey)
          return;
        const isTurned =
          view?.getComputedStyle(box).direction === 'rtl' && (key === 'ArrowLeft' || key === 'ArrowRight');
        const from = document.activeElement;
        const list = from?.closest('ul');
        if (!list || !box.contains(list)) return;
        if (key === 'ArrowDown' && from?.hasAttribute('popovertarget') && shown(from)) {
          const below = document.getElementById(from.getAttribute('popovertarget') ?? '');
          const opener = below && openerOf(below);
          if (below && !below.matches(':popover-open')) below.showPopover(opener ? { source: opener } : {});
          below?.querySelector<HTMLElement>('a[href],button')?.focus();
          event.preventDefault();
          return;
        }
        const stops = [
          ...list.querySelectorAll<HTMLElement>(':scope > li > a[href],:scope > li > button'),
        ].filter(shown);
        const at = stops.findIndex(it => it.matches(':focus'));
        if (at < 0) return;
        const next = key === 'Home' ? 0 : key === 'End' ? stops.length - 1 : at + (isTurned ? -by : by);
        stops[Math.max(0, Math.min(stops.length - 1, next))]?.focus();
        event.preventDefault();
      },
      { signal },
    );
    let width = view?.innerWidth;
    view?.addEventListener(
      'resize',
      () => {
        if (view.innerWidth !== width) close();
        width = view.innerWidth;
        standAtFoot();
      },
      { signal },
    );
    standAtFoot();
  }
  return () => stop.abort();
}
