/** Height in px that a page of others is given at least. */
const LEAST = 320;

/**
 * Pages of others are asked for by whoever wants to see them, and by nobody else: until then nothing of theirs is loaded.
 * They run apart, and cannot take the visitor elsewhere. Answers with what stops it.
 */
export function start(root: Document | Element): () => void {
  const stop = new AbortController();
  const document = root.ownerDocument ?? (root as Document);
  for (const button of root.querySelectorAll<HTMLAnchorElement>('a.embed-button[href^="https://"]')) {
    const place = button.closest<HTMLElement>('.embed-place');
    if (!place) continue;
    // It does something here, and leads nowhere.
    button.setAttribute('role', 'button');
    const show = (event: Event) => {
      event.preventDefault();
      const frame = document.createElement('iframe');
      const apart = new URL(button.href).origin !== document.location.origin;
      frame.title = place.querySelector('.embed-title')?.textContent ?? new URL(button.href).host;
      frame.setAttribute(
        'sandbox',
        `allow-scripts allow-forms allow-popups allow-presentation${apart ? ' allow-same-origin' : ''}`,
      );
      frame.referrerPolicy = 'strict-origin-when-cross-origin';
      frame.allowFullscreen = true;
      frame.src = button.href;
      place.style.minHeight = `${Math.max(LEAST, place.offsetHeight)}px`;
      place.replaceChildren(frame);
      frame.focus();
    };
    button.addEventListener('click', show, { signal: stop.signal });
    button.addEventListener('keydown', event => event.key === ' ' && show(event), { signal: stop.signal });
  }
  return () => stop.abort();
}
