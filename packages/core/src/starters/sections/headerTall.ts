import {
  button,
  buttons,
  centred,
  ends,
  lead,
  navigation,
  type SectionStarter,
  space,
  title,
} from './sketch.ts';

export const headerTall: SectionStarter = {
  id: 'header-tall',
  label: 'Tall, with a first word',
  purpose: 'header',
  tone: 'strong',
  look: { height: 'Half the window' },
  holds: [
    ends(title, navigation('Main', 'Behind a button', 'Full screen')),
    space,
    centred(lead('Say in one sentence what {name} is there for.')),
    centred(buttons(button('Get started'), button('How it works', 'Outlined'))),
  ],
};
