import { richText } from '../../content/index.ts';
import { ends, navigation, type SectionStarter, title } from './sketch.ts';

export const headerNotice: SectionStarter = {
  id: 'header-notice',
  label: 'With news above',
  purpose: 'header',
  tone: 'strong',
  holds: [
    {
      widget: 'notice',
      content: {
        stays: 'can dismiss it',
        word: '',
        text: richText('News that everybody should see, in one line.'),
      },
    },
    ends(title, navigation('Main', 'Menus', 'Bottom bar')),
  ],
};
