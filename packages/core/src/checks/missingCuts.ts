import { type MissingCut, missingCuts as measured } from '../measure/index.ts';
import { nameOf } from '../site/index.ts';
import { defineCheck } from './check.ts';

export const missingCuts = defineCheck<MissingCut>({
  id: 'missing-cuts',
  title: 'Weights and italics that a family has not',
  severity: 'warning',
  thresholds: {},
  docs: 'A browser fakes a weight or slant that a family does not have, by smearing or slanting its letters (CSS Fonts Level 4, sections 2.2 and 2.4). Ask for one that it has, or take another family.',
  dependsOn: ['token', 'textStyle', 'font'],
  run: site =>
    measured(site).map(facts => ({
      at: {
        record: facts.style,
        path: facts.missing === 'weight' ? 'styles./fontWeight' : 'styles./fontStyle',
      },
      facts,
    })),
  message: ({ style, family, found, has }, site) =>
    `${nameOf(site, style)} asks for ${found}; ${family} has ${has}.`,
});
