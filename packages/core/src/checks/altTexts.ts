import { usersOf } from '../reach/mentions.ts';
import { type Id, nameOf, picturesOf, type Site } from '../site/index.ts';
import { defineCheck } from './check.ts';

/** Whether a widget leaves it to the picture to say what it shows. */
const isSilent = (site: Site, id: Id): boolean => {
  const { alt = '' } = site.kinds.widget.get(id)?.content ?? { alt: null };
  return typeof alt === 'string' && alt.trim() === '';
};

export const altTexts = defineCheck<{ asset: Id; shownBy: number }>({
  id: 'alt-texts',
  title: 'Pictures without words',
  severity: 'fault',
  thresholds: {},
  docs: 'Who cannot see a picture is told what it shows by its alternative text (WCAG 2.2, 1.1.1). Say in a sentence what matters of it where it is shown.',
  dependsOn: ['asset', 'widget'],
  run: site =>
    picturesOf(site).flatMap(asset => {
      const shownBy = usersOf(site, asset.id).filter(id => isSilent(site, id)).length;
      return asset.alt.trim() === '' && shownBy > 0
        ? [{ at: { record: asset.id, path: 'alt' }, facts: { asset: asset.id, shownBy } }]
        : [];
    }),
  message: ({ asset, shownBy }, site) =>
    `${nameOf(site, asset)} is shown ${shownBy === 1 ? 'once' : `${shownBy} times`} and has no alternative text.`,
});
