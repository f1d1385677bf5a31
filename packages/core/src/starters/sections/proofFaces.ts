import { heading, type SectionStarter, testimonial, testimonials } from './sketch.ts';

export const proofFaces: SectionStarter = {
  id: 'proof-faces',
  label: 'Voices with names',
  purpose: 'proof',
  tone: 'tinted',
  holds: [
    heading('In their own words'),
    testimonials(
      testimonial('What changed for them, in their own words.', 'Name', 'Role or place'),
      testimonial('What they did not expect.', 'Name', 'Role or place'),
      testimonial('Why they would come again.', 'Name', 'Role or place'),
    ),
  ],
};
