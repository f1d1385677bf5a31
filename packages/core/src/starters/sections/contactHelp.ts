import { answer, heading, help, type SectionStarter, socialLink, socialLinks } from './sketch.ts';

export const contactHelp: SectionStarter = {
  id: 'contact-help',
  label: 'Where to find and ask us',
  purpose: 'contact',
  tone: 'plain',
  holds: [
    heading('Find us elsewhere'),
    socialLinks(
      'Find us elsewhere',
      socialLink('Pictures', 'camera'),
      socialLink('Letters', 'mail'),
      socialLink('News', 'people'),
    ),
    help(
      'Questions?',
      'What people ask',
      answer('A question that people ask', 'Answer it in a sentence or two.'),
      answer('And another one', 'Say what to do, and how long it takes.'),
      answer('Something about the cost', 'Say it plainly, with a number.'),
    ),
  ],
};
