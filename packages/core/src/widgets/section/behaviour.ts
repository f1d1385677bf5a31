/** Movements of less than this many px are a hand that trembles. */
const STILL = 4;

/**
 * A header that stays in view, comes back on scrolling up, or is coloured as what is beneath it. Links to places on the page
 * keep clear of it, by its true height. Answers with what stops it.
 */
export function start(root: Document | Element): () => void {
  const stop = new AbortController();
  const { signal } = stop;
  const document = root.ownerDocument ?? root;
  const view = document.defaultView;
  const area = root.querySelector<HTMLElement>('.page-sheet > header');
  if (!view || !area) return () => stop.abort();
  const page = document.documentElement;
  const headers = [...area.querySelectorAll<HTMLElement>(':scope > .header-box')];
  const asArea = area.hasAttribute('data-scrolls');
  const staying = asArea ? headers : headers.filter(it => view.getComputedStyle(it).position === 'sticky');
  const height = () => staying.reduce((sum, it) => sum + it.offsetHeight, 0);

  const keepClear = () => {
    if (staying.length === 0) return;
    page.style.scrollPaddingBlockStart = `${Math.ceil(height()) + 8}px`;
  };
  keepClear();
  // Who came by a link to a place on the page came before the height was known.
  const target = view.location.hash === '' ? null : document.querySelector(':target');
  const top = target?.getBoundingClientRect().top ?? -1;
  if (target && top >= 0 && top < height()) target.scrollIntoView();
  const sizes = new view.ResizeObserver(keepClear);
  for (const it of staying) sizes.observe(it);

  let last = view.scrollY;
  const isInUse = () => area.contains(document.activeElement) || area.querySelector(':popover-open') !== null;
  const comeAndGo = () => {
    if (area.dataset.scrolls !== 'returns') return;
    const by = view.scrollY - last;
    if (Math.abs(by) < STILL) return;
    last = view.scrollY;
    const away = by > 0 && last > height() && !isInUse();
    area.style.top = away ? `${-Math.ceil(height()) - 1}px` : '';
  };
  area.addEventListener('focusin', () => (area.style.top = ''), { signal });

  /** Classes that bind colours: schemes, and what a section binds otherwise. */
  const bindings = (it: Element) => [...it.classList].filter(name => /^[sb]-/.test(name));
  const own = headers.map(bindings);
  const sections = [...document.querySelectorAll<HTMLElement>('main .section-box')];
  let beneath: Element | null | undefined;
  const takeColors = () => {
    const follows = area.hasAttribute('data-follows');
    const over = area.hasAttribute('data-over') && asArea;
    if (!follows && !over) return;
    const line = height() / 2;
    const now = sections.find(it => {
      const { top, bottom } = it.getBoundingClientRect();
      return top <= line && bottom > line;
    });
    if (now === beneath) return;
    beneath = now;
    for (const [i, header] of headers.entries()) {
      if (over)
        header.style.backgroundColor = now === undefined || now === sections[0] ? '' : 'var(--r-surface)';
      else {
        header.classList.remove(...bindings(header));
        header.classList.add(...(now ? bindings(now) : (own[i] ?? [])));
      }
    }
  };
  takeColors();
  let asked = 0;
  view.addEventListener(
    'scroll',
    () => {
      asked ||= view.requestAnimationFrame(() => {
        asked = 0;
        comeAndGo();
        takeColors();
      });
    },
    { passive: true, signal },
  );
  return () => {
    stop.abort();
    sizes.disconnect();
    view.cancelAnimationFrame(asked);
  };
}
