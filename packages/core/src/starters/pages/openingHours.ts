import { actionTwo } from '../sections/actionTwo.ts';
import { contentTable } from '../sections/contentTable.ts';
import { featuresList } from '../sections/featuresList.ts';
import { openingNotice } from '../sections/openingNotice.ts';
import type { PageStarter } from './pageStarter.ts';

export const openingHours: PageStarter = {
  id: 'opening-hours',
  label: 'Opening hours',
  title: 'Opening hours',
  sections: [openingNotice, contentTable, featuresList, actionTwo],
};
