import type { Upgrade } from '../upgrade.ts';

/** Nothing of schema 4 reads otherwise since; a program of schema 4 cannot read what bears these. */
export const purposes: Upgrade = {
  to: 5,
  about: 'Swatches and groups have purposes, and schemes know how they were worked out.',
};
