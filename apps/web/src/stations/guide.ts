import type { Station } from './station.ts';

export const guide: Station<'guide'> = {
  name: 'guide',
  label: 'Guide',
  open: { label: 'Open the guide', words: 'station specimen' },
  paths: ['guide'],
  load: async () => (await import('../guide/GuideStation.tsx')).GuideStation,
};
