/**
 * The kinds of header that a site or page has, said on its area, which is no part of anything. One that lies over the first
 * section takes no room. Where no script can tell what is beneath it, such a header goes with the page. Anchors keep clear of
 * what stays in view: by a measure that fits most, until the behaviour has taken the true one.
 */
export const SCROLLING: readonly string[] = [
  ':where(.page-sheet>header:not([data-scrolls],[data-over])){display:contents}',
  ':where(.page-sheet>header:is([data-scrolls],[data-over])){display:block;position:relative;z-index:2}',
  ':where(.page-sheet>header[data-scrolls]){position:sticky;top:0}',
  ':where(.page-sheet>header[data-over]){block-size:0}',
  ':where(.page-sheet>header[data-scrolls=returns]){transition:top .25s ease-out}',
  ':where(:root:has(.page-sheet>header[data-scrolls])){scroll-padding-block-start:9rem}',
  '@media (scripting:none){:where(.page-sheet>header[data-over]){position:relative}}',
  '@media print{:where(.page-sheet>header){position:relative!important}}',
];
