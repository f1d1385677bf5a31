/**
 * Tabs by pointer and keys, after the pattern of the WAI-ARIA Authoring Practices: one tab is in the order of the Tab key,
 * arrows go from tab to tab, Home and End to the first and last, and the panel follows. A link to something inside a panel,
 * and a search in the page, show that panel. Answers with what stops it.
 */
export function start(root: Document | Element): () => void {
  const stop = new AbortController();
  const { signal } = stop;
  const document = root.ownerDocument ?? root;
  const view = document.defaultView;
  const choosers: ((target: Element) => void)[] = [];

  for (const list of root.querySelectorAll<HTMLElement>('[role=tablist]')) {
    const tabs = [...list.querySelectorAll<HTMLElement>(':scope > [role=tab]')];
    const panelOf = (tab: Element) => document.getElementById(tab.getAttribute('aria-controls') ?? '');
    const select = (chosen: HTMLElement) => {
      for (const tab of tabs) {
        tab.setAttribute('aria-selected', String(tab === chosen));
        tab.tabIndex = tab === chosen ? 0 : -1;
        const panel = panelOf(tab);
        if (tab === chosen) {
          panel?.removeAttribute('hidden');
          panel?.setAttribute('tabindex', '0');
        } else {
          // A panel that waits to be found has a box all the same, at which the Tab key would stop.
          panel?.setAttribute('hidden', 'until-found');
          panel?.removeAttribute('tabindex');
        }
      }
    };
    /** Arrows follow the way the tabs are laid out, which the guide decides. */
    const step = (key: string): number => {
      const style = view?.getComputedStyle(list);
      const upright = style?.flexDirection.startsWith('column');
      list.setAttribute('aria-orientation', upright ? 'vertical' : 'horizontal');
      if (upright) return key === 'ArrowDown' ? 1 : key === 'ArrowUp' ? -1 : 0;
      const forward = style?.direction === 'rtl' ? 'ArrowLeft' : 'ArrowRight';
      const back = style?.direction === 'rtl' ? 'ArrowRight' : 'ArrowLeft';
      return key === forward ? 1 : key === back ? -1 : 0;
    };
    list.addEventListener(
      'click',
      event => {
        const tab = tabs.find(it => event.composedPath().includes(it));
        if (!tab || event.ctrlKey || event.metaKey || event.shiftKey) return;
        event.preventDefault();
        select(tab);
        tab.focus();
      },
      { signal },
    );
    list.addEventListener(
      'keydown',
      event => {
        const at = tabs.findIndex(it => event.composedPath().includes(it));
        if (at < 0 || event.altKey || event.ctrlKey || event.metaKey || event.shiftKey) return;
        const next =
          event.key === 'Home'
            ? tabs[0]
            : event.key === 'End'
              ? tabs.at(-1)
              : event.key === ' '
                ? tabs[at]
                : tabs[(at + step(event.key) + tabs.length) % tabs.length];
        if (!next || (next === tabs[at] && event.key !== ' ')) return;
        event.preventDefault();
        select(next);
        next.focus();
      },
      { signal },
    );
    for (const tab of tabs) {
      panelOf(tab)?.addEventListener('beforematch', () => select(tab), { signal });
      tab.tabIndex = tab.getAttribute('aria-selected') === 'true' ? 0 : -1;
    }
    step('');
    choosers.push(target => {
      const tab = tabs.find(it => panelOf(it)?.contains(target));
      if (tab) select(tab);
    });
  }

  const follow = () => {
    // Ids of a page are plain letters and digits, so there is nothing to decode.
    const id = view?.location.hash.slice(1) ?? '';
    const target = id === '' ? null : document.getElementById(id);
    if (!target) return;
    for (const choose of choosers) choose(target);
    target.scrollIntoView();
  };
  view?.addEventListener('hashchange', follow, { signal });
  follow();
  return () => stop.abort();
}
