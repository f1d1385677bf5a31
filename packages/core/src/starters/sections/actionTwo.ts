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
        content: { title: 'On foot', level: 3, text: richText('Walk on until five minutes before.') },
      },
      {
        widget: 'callout',
        content: { title: 'With a car', level: 3, text: richText('Book a space the day before.') },
      },
    ),
    buttons(button('See the fares'), button('Write to the harbour', 'Quiet')),
  ],
};
