/** Under which it is remembered what a visitor dismissed. */
const KEY = 'dismissed-';

/**
 * Notices that can be dismissed stay so for whoever dismissed them, until they say something else. Where a browser keeps
 * nothing, they are gone for this page. Answers with what stops it.
 */
export function start(root: Document | Element): () => void {
  const stop = new AbortController();
  const view = (root.ownerDocument ?? root).defaultView;
  const kept = (key: string): string | null => {
    try {
      return view?.localStorage.getItem(key) ?? null;
    } catch {
      return null;
    }
  };
  for (const close of root.querySelectorAll<HTMLElement>('.notice-close')) {
    const notice = close.closest<HTMLElement>('.notice-box');
    if (!notice) continue;
    const said = (notice.textContent ?? '').slice(0, 2000);
    const hide = () => notice.style.setProperty('display', 'none', 'important');
    if (kept(KEY + notice.id) === said) hide();
    close.addEventListener(
      'click',
      () => {
        hide();
        try {
          view?.localStorage.setItem(KEY + notice.id, said);
        } catch {
          // It is dismissed for now all the same.
        }
      },
      { signal: stop.signal },
    );
  }
  return () => stop.abort();
}
