import { below, readyLooks } from './look.ts';

export const siteTitleLooks = readyLooks('siteTitle', 'look', {
  Spaced: { 'link/textTransform': 'uppercase', 'link/letterSpacing': '0.08em' },
  Accent: { 'link/color': 'role.accent' },
  Ruled: { ...below('link', 'role.accent', '3px') },
});
