import { richText } from '../../content/index.ts';
import { heading, lead, type SectionStarter } from './sketch.ts';

export const openingNotice: SectionStarter = {
  id: 'opening-notice',
  label: 'A notice, then the title',
  purpose: 'opening',
  tone: 'plain',
  holds: [
    {
      widget: 'notice',
      look: { status: 'Warning' },
      content: { word: 'Weather', text: richText('Fog on the sound: the seven o’clock waits until eight.') },
    },
    heading('Today on the water', 1),
    lead('The board is looked after from the harbour office and is never older than ten minutes.'),
  ],
};
