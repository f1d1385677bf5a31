import { fontBill, MOST_FAMILIES } from '../measure/index.ts';
import { SETTINGS } from '../site/index.ts';
import { defineCheck } from './check.ts';

export const families = defineCheck<{ count: number; bytes: number }>({
  id: 'families',
  title: 'Number of font families',
  severity: 'warning',
  thresholds: { families: MOST_FAMILIES },
  docs: 'Many fonts make a design restless and a page slow; three families do for most (common practice, no source). Let a voice or text style take a family that is in use.',
  dependsOn: ['token', 'textStyle', 'font'],
  run(site) {
    const { families: all, bytes, tooMany } = fontBill(site);
    return tooMany ? [{ at: { record: SETTINGS }, facts: { count: all.length, bytes } }] : [];
  },
  message: ({ count, bytes }) =>
    `${count} families, ${Math.round(bytes / 1024)} KB: many fonts make a design restless and a page slow. Three do for most.`,
});
