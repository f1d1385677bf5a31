import type { Station } from './station.ts';

export const pages: Station<'pages'> = {
  name: 'pages',
  label: 'Pages',
  open: { label: 'Open the pages', words: 'station outline' },
  paths: ['pages', 'pages/:page'],
  load: async () => (await import('../pages/PagesStation.tsx')).PagesStation,
};
