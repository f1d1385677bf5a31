import type { Station } from './station.ts';

export const release: Station<'release'> = {
  name: 'release',
  label: 'Release',
  open: { label: 'Open the releases', words: 'station publish' },
  paths: ['release'],
  load: async () => (await import('../release/ReleaseStation.tsx')).ReleaseStation,
};
