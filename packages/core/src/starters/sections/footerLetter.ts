import {
  across,
  button,
  buttons,
  column,
  ends,
  field,
  heading,
  pagesListed,
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
      column(heading('News by email'), text('Say what it is about, and how often it comes.')),
      column(
        field('email', 'Email address', 'address', { placeholder: 'you@domain.example' }),
        buttons(button('Subscribe')),
      ),
    ),
    { widget: 'divider' },
    ends(small('© {name}'), pagesListed('Footer')),
  ],
};
