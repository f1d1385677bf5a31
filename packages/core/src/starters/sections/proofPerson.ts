import { PICTURE, quote, type SectionStarter, space } from './sketch.ts';

const { content, ...words } = quote('What this person told you, in two or three sentences.', 'Name');

export const proofPerson: SectionStarter = {
  id: 'proof-person',
  label: 'One person, with room around',
  purpose: 'proof',
  tone: 'plain',
  look: { width: 'Text width' },
  holds: [
    space,
    {
      ...words,
      look: { look: 'Pull quote' },
      content: { ...content, role: 'Role or place', asset: PICTURE, alt: '' },
    },
    space,
  ],
};
