import { button, buttons, field, form, heading, type SectionStarter, text } from './sketch.ts';

export const contactForm: SectionStarter = {
  id: 'contact-form',
  label: 'A form',
  purpose: 'contact',
  tone: 'plain',
  look: { width: 'Text width' },
  holds: [
    heading('Write to us'),
    text('Tell us what it is about. We answer within two working days.'),
    form(
      'Write to us',
      field('email', 'Email address', 'address', { placeholder: 'you@domain.example' }),
      field('text', 'Subject', 'what'),
      field('long', 'Message', 'where', { required: 'no' }),
      buttons(button('Send')),
    ),
  ],
};
