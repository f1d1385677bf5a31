/** How far a finger moves across before it is a swipe, in px. */
const SWIPE = 48;

/**
 * The large view of a gallery: a picture that is clicked opens in a modal dialog (WAI-ARIA Authoring Practices, dialog pattern,
 * which `showModal` carries out). Arrows, Home and End, a swipe and its controls go on to the others. Answers with what stops it.
 */
export function start(root: Document | Element): () => void {
  const stop = new AbortController();
  const { signal } = stop;

  for (const dialog of root.querySelectorAll<HTMLDialogElement>('dialog.gallery-large')) {
    const gallery = dialog.closest('.gallery-gallery');
    const shown = dialog.querySelector<HTMLImageElement>('.gallery-largePicture');
    const told = dialog.querySelector('.gallery-largeCaption');
    const count = dialog.querySelector('.gallery-count');
    if (!gallery || !shown) continue;
    const controls = [...dialog.querySelectorAll<HTMLElement>('[data-does]')];
    /** Asked each time, since those that stand in it may change under a preview. */
    const links = () => [
      ...gallery.querySelectorAll<HTMLAnchorElement>(':scope > .gallery-pictures > * a[data-large]'),
    ];
    let at = 0;
    const show = (to: number) => {
      const all = links();
      const link = all[to];
      if (!link) return;
      at = to;
      const small = link.querySelector('img');
      shown.width = small?.width ?? 0;
      shown.height = small?.height ?? 0;
      for (const name of ['width', 'height']) shown.setAttribute(name, small?.getAttribute(name) ?? '');
      shown.alt = small?.alt ?? '';
      shown.src = link.href;
      const words = link.closest('figure')?.querySelector('figcaption')?.textContent ?? '';
      if (told) {
        told.textContent = words;
        told.toggleAttribute('hidden', words === '');
      }
      if (count) count.textContent = `${to + 1} / ${all.length}`;
      for (const it of controls)
        if (it instanceof HTMLButtonElement && it.dataset.does !== 'close') it.disabled = all.length < 2;
    };
    const step = (by: number) => {
      const { length } = links();
      show((at + by + length) % length);
    };
    const leftward = () => dialog.ownerDocument.defaultView?.getComputedStyle(dialog).direction === 'rtl';

    gallery.addEventListener(
      'click',
      event => {
        if (!(event instanceof MouseEvent) || event.ctrlKey || event.metaKey || event.shiftKey) return;
        const to = links().findIndex(it => event.composedPath().includes(it));
        if (to < 0) return;
        event.preventDefault();
        dialog.removeAttribute('open');
        show(to);
        dialog.showModal();
      },
      { signal },
    );
    dialog.addEventListener(
      'click',
      event => {
        const control = controls.find(it => event.composedPath().includes(it));
        if (control?.dataset.does === 'before') step(-1);
        else if (control?.dataset.does === 'after') step(1);
        else if (control || event.target === dialog) dialog.close();
      },
      { signal },
    );
    dialog.addEventListener(
      'keydown',
      event => {
        if (event.altKey || event.ctrlKey || event.metaKey) return;
        const forward = leftward() ? 'ArrowLeft' : 'ArrowRight';
        const back = leftward() ? 'ArrowRight' : 'ArrowLeft';
        if (event.key === forward) step(1);
        else if (event.key === back) step(-1);
        else if (event.key === 'Home') show(0);
        else if (event.key === 'End') show(links().length - 1);
        else return;
        event.preventDefault();
      },
      { signal },
    );
    let from: number | null = null;
    dialog.addEventListener(
      'touchstart',
      event => {
        from = event.touches.length === 1 ? (event.touches[0]?.clientX ?? null) : null;
      },
      { signal, passive: true },
    );
    dialog.addEventListener(
      'touchend',
      event => {
        const moved = from === null ? 0 : (event.changedTouches[0]?.clientX ?? from) - from;
        from = null;
        if (Math.abs(moved) >= SWIPE) step(moved < 0 === leftward() ? -1 : 1);
      },
      { signal, passive: true },
    );
    // The page is as it was: who looked at the fourth picture is at the fourth.
    dialog.addEventListener('close', () => links()[at]?.focus(), { signal });
    signal.addEventListener('abort', () => dialog.open && dialog.close());
  }
  return () => stop.abort();
}
