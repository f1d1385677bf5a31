import { actionTwo } from '../sections/actionTwo.ts';
import { contentTable } from '../sections/contentTable.ts';
import { featuresList } from '../sections/featuresList.ts';
import { openingNotice } from '../sections/openingNotice.ts';
import type { PageStarter } from './pageStarter.ts';

export const timetable: PageStarter = {
  id: 'timetable',
  label: 'Timetable',
  title: 'Timetable',
  sections: [openingNotice, contentTable, featuresList, actionTwo],
};
