/** Letters as they are compared: without marks and case, so that “Uber” finds “Über”. */
const plain = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/**
 * The help panel: typing leaves only the questions and answers that hold all the words, and says so where none does. Opening
 * and closing are the browser’s own (HTML, popover), told here to those who do not see it. Answers with what stops it.
 */
export function start(root: Document | Element): () => void {
  const stop = new AbortController();
  const { signal } = stop;
  for (const panel of root.querySelectorAll<HTMLElement>('.help-panel')) {
    const opener = panel.parentElement?.querySelector(':scope > .help-opener');
    const search = panel.querySelector<HTMLInputElement>(':scope > .help-search');
    const nothing = panel.querySelector<HTMLElement>(':scope > .help-nothing');
    const entries = () => [...panel.querySelectorAll<HTMLElement>(':scope > .help-entries > *')];
    const find = () => {
      const words = plain(search?.value ?? '')
        .split(/\s+/)
        .filter(Boolean);
      let found = 0;
      for (const entry of entries()) {
        const text = plain(entry.textContent ?? '');
        const fits = words.every(it => text.includes(it));
        entry.hidden = !fits;
        if (fits) found++;
      }
      if (nothing) nothing.hidden = found > 0;
    };
    search?.addEventListener('input', find, { signal });
    panel.addEventListener(
      'toggle',
      event => {
        const open = event instanceof ToggleEvent && event.newState === 'open';
        opener?.setAttribute('aria-expanded', String(open));
        if (open) search?.focus();
        else if (search) {
          search.value = '';
          find();
        }
      },
      { signal },
    );
  }
  return () => stop.abort();
}
