import { type LinkTarget, richText } from '../../content/index.ts';
import type { SiteBuilder } from '../build.ts';
import { pictureId } from './guide.ts';

const to = (page: string): LinkTarget => ({ type: 'page', page });

/** What the harbour office answers: questions, what was lost, bookings, and who sails. */
export function office(b: SiteBuilder): void {
  const opening = (id: string, title: string, lead: string) => {
    b.section(`${id}-top`, id, 'Opening', { scheme: 'fog-bank', variants: { padding: 'section-snug' } });
    b.widget(
      `${id}-heading`,
      `${id}-top`,
      'heading',
      { text: title, level: 1 },
      { variants: { look: 'look-h1' } },
    );
    b.widget(
      `${id}-lead`,
      `${id}-top`,
      'text',
      { text: richText(lead) },
      { variants: { look: 'look-lead' } },
    );
  };
  const titled = (id: string, section: string, text: string) =>
    b.widget(id, section, 'heading', { text, level: 2 }, { variants: { look: 'look-h2' } });

  b.page('answers', 'questions', 'Questions', 'What is asked at the ticket window, and what it answers.', {
    icon: 'info',
  });
  opening('answers', 'Questions', 'Most of them are asked before breakfast. The answers hold all day.');
  b.section('answers-list', 'answers', 'Answers', { variants: { width: 'section-text' } });
  for (const [group, title, entries] of [
    [
      'before',
      'Before you come',
      [
        ['seat', 'Do I have to book?', 'On foot never. With a car, in July and August, and on Fridays.'],
        [
          'pay',
          'How can I pay?',
          'With shells, with a card, or with a promise if you are known at the window.',
        ],
        [
          'chair',
          'Can a wheelchair come aboard?',
          'Over the car ramp, at any tide. The crew clears the way.',
        ],
      ],
    ],
    [
      'weather',
      'When the weather turns',
      [
        [
          'wind',
          'When does a boat stay in?',
          'Above seven, or when the master says so. It is on the page of sailings.',
        ],
        ['back', 'What about my ticket?', 'It holds for any other boat of the year. Nobody has to explain.'],
      ],
    ],
  ] as const) {
    titled(`answers-${group}-title`, 'answers-list', title);
    b.widget(
      `answers-${group}`,
      'answers-list',
      'accordion',
      { open: 'none', several: 'one', level: 3 },
      { variants: { look: 'accordion-boxed' } },
    );
    for (const [id, question, answer] of entries) {
      b.widget(`answers-${id}`, `answers-${group}`, 'accordionEntry', { title: question, icon: null });
      b.widget(`answers-${id}-text`, `answers-${id}`, 'text', { text: richText(answer) });
    }
  }

  b.page('lost', 'lost-property', 'Lost property', 'What was left on board, and how it comes back.', {
    parent: 'answers',
    icon: 'search',
  });
  opening('lost', 'Lost property', 'Umbrellas, one boot, and once a cello. All of it waits at the window.');
  b.section('lost-ask', 'lost', 'Ask', { variants: { width: 'section-text' } });
  titled('lost-title', 'lost-ask', 'Tell us what it is');
  b.widget('lost-form', 'lost-ask', 'form', { label: 'Tell us what it is', needed: 'shown' });
  const field = (id: string, form: string, kind: string, label: string, more: Record<string, string> = {}) =>
    b.widget(id, form, 'field', { kind, label, name: id, required: 'yes', ...more });
  field('lost-what', 'lost-form', 'text', 'What it is', {
    help: 'Colour, size, and what is in its pockets.',
  });
  field('lost-mail', 'lost-form', 'email', 'Where to write to', {
    placeholder: 'you@tolvane.example',
    message: 'Write a mail address, such as you@tolvane.example.',
  });
  b.widget('lost-send', 'lost-form', 'button', {
    label: 'Write to the window',
    link: { type: 'mail', address: 'lost@tolvane.example' },
  });
  b.widget('lost-callout', 'lost-ask', 'callout', {
    title: 'Four weeks',
    level: 2,
    text: richText('After that it goes to the sale in the boathouse, first Sunday of the month.'),
  });

  b.page('booking', 'booking', 'Booking', 'A place for a car, a group, or a piano.', {
    parent: 'fares',
    icon: 'ticket',
  });
  opening('booking', 'Book a crossing', 'A place is kept until ten minutes before the ramp goes up.');
  b.section('booking-ask', 'booking', 'Ask for a place', { variants: { width: 'section-text' } });
  titled('booking-title', 'booking-ask', 'Ask for a place');
  b.widget('booking-form', 'booking-ask', 'form', { label: 'Ask for a place', needed: 'shown' });
  field('booking-day', 'booking-form', 'date', 'Day');
  field('booking-way', 'booking-form', 'choice', 'Crossing');
  for (const [id, label] of [
    ['carrow', 'Hesk to Carrow'],
    ['bree', 'Carrow to Sant Bree'],
    ['little', 'Hesk to Little Hesk'],
  ] as const)
    b.widget(`booking-${id}`, 'booking-way', 'fieldChoice', { label });
  field('booking-mail', 'booking-form', 'email', 'Your address', {
    placeholder: 'you@tolvane.example',
    message: 'Write a mail address, such as you@tolvane.example.',
  });
  b.widget('booking-send', 'booking-form', 'button', {
    label: 'Write to the office',
    link: { type: 'mail', address: 'booking@tolvane.example' },
  });

  b.page('about', 'about', 'About', 'Two ships, eleven people, and a sound that decides.', {
    icon: 'anchor',
  });
  opening('about', 'About the line', 'Two ships, eleven people, and a sound that has the last word.');
  b.section('about-story', 'about', 'Story');
  b.widget('about-pair', 'about-story', 'group', {}, { variants: { arrangement: 'arrangement-two' } });
  b.widget(
    'about-picture',
    'about-pair',
    'picture',
    { asset: pictureId('On deck'), alt: 'The ferry between two islands at noon', caption: '' },
    { wears: ['print'] },
  );
  b.widget('about-words', 'about-pair', 'column', {});
  titled('about-title', 'about-words', 'Older than the quay');
  b.widget('about-text', 'about-words', 'text', {
    text: richText(
      'The first boat of the line carried peat one way and lamp oil the other. The quay came later, the tea urn later still.',
      'Both ships are looked after by those who sail them, in the yard behind the boathouses, from January to March.',
    ),
  });
  b.section('about-said', 'about', 'Said', { scheme: 'heather-moor' });
  b.widget('about-quote', 'about-said', 'quote', {
    words: richText('A timetable is a promise. The sea is told about it, and mostly agrees.'),
    source: 'The master of the second ship',
    role: '',
    asset: null,
    alt: '',
  });
  b.widget('about-go', 'about-said', 'button', { label: 'When we sail', link: to('sailings') });
}
