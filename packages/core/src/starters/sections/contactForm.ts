import { button, buttons, field, form, heading, type SectionStarter, text } from './sketch.ts';

export const contactForm: SectionStarter = {
  id: 'contact-form',
  label: 'A form',
  purpose: 'contact',
  tone: 'plain',
  look: { width: 'Text width' },
  holds: [
    heading('Lost on board'),
    text('Most of what is lost is found under the third bench. Tell us what to look for.'),
    form(
      'Lost on board',
      field('email', 'Where to write to', 'address', { placeholder: 'you@tolvane.example' }),
      field('text', 'What it looks like', 'what'),
      field('long', 'Where you sat', 'where', { required: 'no' }),
      buttons(button('Send')),
    ),
  ],
};
