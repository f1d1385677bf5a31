/** How far a mouse moves before it drags rather than clicks, in px. */
const DRAG = 6;

/**
 * Slides after the carousel pattern of the WAI-ARIA Authoring Practices: controls go back and on, dots lead to a slide, a mouse
 * drags the row as a finger does. What moves on by itself stops under a pointer, with the focus in it, once it was stopped by
 * hand, and never begins where less motion is asked for. Answers with what stops it.
 */
export function start(root: Document | Element): () => void {
  const stop = new AbortController();
  const { signal } = stop;
  const view = (root.ownerDocument ?? root).defaultView;

  for (const slides of root.querySelectorAll<HTMLElement>('.slides-slides')) {
    const row = slides.querySelector<HTMLElement>(':scope > .slides-row');
    const bar = slides.querySelector<HTMLElement>(':scope > .slides-bar');
    if (!row || !view) continue;
    const all = () => [...row.children].filter(it => it instanceof HTMLElement);
    const dots = [...(bar?.querySelectorAll<HTMLElement>('.slide-dot') ?? [])];
    const controls = [...(bar?.querySelectorAll<HTMLButtonElement>(':scope > [data-does]') ?? [])];
    const control = (does: string) => controls.find(it => it.dataset.does === does);
    const leftward = view.getComputedStyle(row).direction === 'rtl';
    const sign = leftward ? -1 : 1;
    /** How far a slide’s beginning lies from that of the row, in the direction of reading. */
    const away = (slide: Element) => {
      const a = slide.getBoundingClientRect();
      const b = row.getBoundingClientRect();
      return leftward ? b.right - a.right : a.left - b.left;
    };
    const atEnd = () => Math.abs(row.scrollLeft) + row.clientWidth >= row.scrollWidth - 2;
    const current = () => {
      const items = all();
      let nearest = 0;
      for (const [i, it] of items.entries())
        if (Math.abs(away(it)) < Math.abs(away(items[nearest] ?? it))) nearest = i;
      return nearest;
    };
    const go = (to: number) => {
      const slide = all()[to];
      if (slide) row.scrollBy({ left: sign * away(slide) });
    };
    /** The last ones share the view, so at the end one goes on with the first. */
    const step = (by: number) => {
      const items = all();
      if (by > 0 && atEnd()) return go(0);
      if (by < 0 && Math.abs(row.scrollLeft) < 2) return go(items.length - 1);
      go(Math.min(Math.max(current() + by, 0), items.length - 1));
    };

    let told = -1;
    const tell = () => {
      const at = current();
      const fits = row.scrollWidth <= row.clientWidth + 1;
      for (const it of controls) if (it.dataset.does !== 'pause') it.disabled = fits;
      if (at === told) return;
      told = at;
      for (const [i, dot] of dots.entries())
        if (i === at) dot.setAttribute('aria-current', 'true');
        else dot.removeAttribute('aria-current');
    };
    let asked = false;
    row.addEventListener(
      'scroll',
      () => {
        if (asked) return;
        asked = true;
        view.requestAnimationFrame(() => {
          asked = false;
          tell();
        });
      },
      { signal, passive: true },
    );
    const sized = new ResizeObserver(tell);
    sized.observe(row);

    bar?.addEventListener(
      'click',
      event => {
        const path = event.composedPath();
        const dot = dots.findIndex(it => path.includes(it));
        const used = controls.find(it => path.includes(it));
        if (dot >= 0) {
          event.preventDefault();
          go(dot);
        } else if (used?.dataset.does === 'before') step(-1);
        else if (used?.dataset.does === 'after') step(1);
        else if (used?.dataset.does === 'pause') halt(!halted);
      },
      { signal },
    );

    // A mouse takes the row along, as a finger does by itself.
    let held: { x: number; from: number; moved: boolean } | null = null;
    let dragged = false;
    row.addEventListener(
      'pointerdown',
      event => {
        dragged = false;
        if (event.pointerType === 'mouse' && event.button === 0)
          held = { x: event.clientX, from: row.scrollLeft, moved: false };
      },
      { signal },
    );
    view.addEventListener(
      'pointermove',
      event => {
        if (!held || event.pointerType !== 'mouse') return;
        if (!held.moved && Math.abs(event.clientX - held.x) < DRAG) return;
        if (!held.moved) row.setAttribute('data-dragged', '');
        held.moved = true;
        dragged = true;
        row.scrollLeft = held.from - (event.clientX - held.x);
      },
      { signal, passive: true },
    );
    const release = () => {
      if (!held) return;
      const { moved, from } = held;
      held = null;
      if (!moved) return;
      // In the direction that it was taken, to the slide that comes next there.
      const forward = sign * (row.scrollLeft - from) > 0;
      const next = all().findIndex(it => away(it) > -4);
      const to = forward ? (next < 0 ? all().length - 1 : next) : Math.max(0, next - 1);
      row.removeAttribute('data-dragged');
      go(to);
    };
    view.addEventListener('pointerup', release, { signal });
    view.addEventListener('pointercancel', release, { signal });
    // What was dragged was not clicked.
    row.addEventListener('click', event => dragged && event.preventDefault(), { signal, capture: true });
    row.addEventListener('dragstart', event => held && event.preventDefault(), { signal });

    // Moving on by itself.
    const seconds = Number(slides.dataset.seconds ?? 0);
    const pause = control('pause');
    let halted = seconds === 0 || view.matchMedia('(prefers-reduced-motion: reduce)').matches;
    const halt = (now: boolean) => {
      halted = now;
      if (!pause || pause.hasAttribute('data-halted') === now) return;
      pause.toggleAttribute('data-halted', now);
      const name = pause.getAttribute('aria-label') ?? '';
      pause.setAttribute('aria-label', pause.dataset.other ?? '');
      pause.dataset.other = name;
    };
    if (halted) halt(true);
    const timer =
      seconds > 0
        ? view.setInterval(() => {
            const busy = slides.matches(':hover') || slides.contains(slides.ownerDocument.activeElement);
            if (!halted && !busy && !held && !slides.ownerDocument.hidden) step(1);
          }, seconds * 1000)
        : 0;
    signal.addEventListener('abort', () => {
      sized.disconnect();
      view.clearInterval(timer);
    });
  }
  return () => stop.abort();
}
