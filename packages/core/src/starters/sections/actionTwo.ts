import { richText } from '../../content/index.ts';
import { across, button, buttons, type SectionStarter } from './sketch.ts';

export const actionTwo: SectionStarter = {
  id: 'action-two',
  label: 'Two ways on',
  purpose: 'action',
  tone: 'tinted',
  holds: [
    across(
      'Two',
      {
        widget: 'callout',
        content: { title: 'The short way', level: 3, text: richText('For people who know what they want.') },
      },
      {
        widget: 'callout',
        content: {
          title: 'The long way',
          level: 3,
          text: richText('For people who would like to talk first.'),
        },
      },
    ),
    buttons(button('See the prices'), button('Write to us', 'Quiet')),
  ],
};
