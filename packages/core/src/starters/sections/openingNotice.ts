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
      content: { word: 'News', text: richText('Something that has changed, and until when.') },
    },
    heading('What is new', 1),
    lead('Say where the news comes from, and how fresh it is.'),
  ],
};
