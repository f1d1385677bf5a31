import { replaceTokens } from '../commands/index.ts';
import { nearSwatches as measured, type NearPair } from '../measure/index.ts';
import { nameOf } from '../site/index.ts';
import { defineCheck } from './check.ts';

/** CIEDE2000 below which two swatches can hardly be told apart (common practice, no source). */
const LEAST = 2;

export const nearSwatches = defineCheck<NearPair>({
  id: 'near-swatches',
  title: 'Swatches that can hardly be told apart',
  severity: 'note',
  thresholds: { difference: LEAST },
  docs: 'Two swatches less than 2 apart by CIEDE2000 look the same side by side, and drift apart unseen when one is edited. Let one take the place of the other.',
  dependsOn: ['token', 'scheme'],
  run: site => measured(site, LEAST).map(facts => ({ at: { record: facts.a, path: 'value' }, facts })),
  message: ({ a, b, distance }, site) =>
    `${nameOf(site, a)} and ${nameOf(site, b)} differ by ${distance.toFixed(1)} only.`,
  fixes({ facts: { a, b } }, site) {
    return [
      [b, a],
      [a, b],
    ].flatMap(([gone = '', by = '']) => {
      const edits = replaceTokens(site, [gone], by);
      return edits.ok ? [{ label: `Use ${nameOf(site, by)} for both`, edits: edits.value }] : [];
    });
  },
});
