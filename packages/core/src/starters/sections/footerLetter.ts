import {
  across,
  button,
  buttons,
  column,
  ends,
  field,
  heading,
  navigation,
  type SectionStarter,
  small,
  text,
} from './sketch.ts';

export const footerLetter: SectionStarter = {
  id: 'footer-letter',
  label: 'A letter to subscribe to',
  purpose: 'footer',
  tone: 'strong',
  holds: [
    across(
      'Two',
      column(
        heading('A letter before each season'),
        text('New sailings and days of repair. Four letters a year, no more.'),
      ),
      column(
        field('email', 'Where to write to', 'address', { placeholder: 'you@tolvane.example' }),
        buttons(button('Send me the letter')),
      ),
    ),
    { widget: 'divider' },
    ends(small('All times are local. In fog we wait.'), navigation('Footer')),
  ],
};
