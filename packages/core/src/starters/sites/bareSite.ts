import { driftwood } from '../guides/driftwood.ts';
import type { SiteStarter } from './siteStarter.ts';

export const bareSite: SiteStarter = {
  id: 'bare',
  label: 'A bare site',
  about: 'A guide, a header, a footer and one empty page.',
  guide: driftwood,
  face: 'light',
  pages: [{ id: 'empty', label: 'Empty page', title: 'Home', sections: [] }],
  closing: '',
};
