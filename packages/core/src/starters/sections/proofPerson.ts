import { PICTURE, quote, type SectionStarter } from './sketch.ts';

const room = { widget: 'space' };
const { content, ...words } = quote('What this person told you, in two or three sentences.', 'Name');

export const proofPerson: SectionStarter = {
  id: 'proof-person',
  label: 'One person, with room around',
  purpose: 'proof',
  tone: 'plain',
  look: { width: 'Text width' },
  holds: [
    room,
    {
      ...words,
      look: { look: 'Pull quote' },
      content: { ...content, role: 'Role or place', asset: PICTURE, alt: '' },
    },
    room,
  ],
};
