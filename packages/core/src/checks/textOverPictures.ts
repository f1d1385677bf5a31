import { printRatio } from '../color/index.ts';
import { SIGN_RATIO, TEXT_RATIO } from '../roles/index.ts';
import { nameOf } from '../site/index.ts';
import { defineCheck, type Measured } from './check.ts';

export const textOverPictures = defineCheck<Measured['overPictures'][number]>({
  id: 'text-over-pictures',
  title: 'Text over pictures',
  severity: 'fault',
  thresholds: { text: TEXT_RATIO, large: SIGN_RATIO },
  docs: 'Words over a picture are read against each patch of it, as it is cropped at each width (WCAG 2.2, 1.4.3). Lay a tint over the picture, take another one, or move the words.',
  dependsOn: ['page', 'section', 'widget', 'asset'],
  run: (site, { overPictures }) =>
    overPictures
      .filter(
        it => it.ratio < it.wanted && (site.kinds.section.has(it.node) || site.kinds.widget.has(it.node)),
      )
      .map(facts => ({ at: { record: facts.node, page: facts.page }, facts })),
  message: ({ node, width, ratio, wanted }, site) =>
    `The words of ${nameOf(site, node)} have a contrast of ${printRatio(ratio)} over the picture at ${width}; they need ${wanted}.`,
});
