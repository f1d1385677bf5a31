/**
 * What every list and panel has that opens in front of the page: it stays in the window, no higher than the room it opens in,
 * and above what opened it where there is no room below (CSS Anchor Positioning 1, section 4).
 */
export const OPENED = (part: string): string =>
  `:where(.${part}:popover-open){position:fixed;max-block-size:100%;max-inline-size:100%;overflow-y:auto;overscroll-behavior:contain;position-try-fallbacks:flip-block}`;
