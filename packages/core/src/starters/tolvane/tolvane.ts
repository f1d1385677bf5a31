import { type LinkTarget, type RichText, richText } from '../../content/index.ts';
import type { Site } from '../../site/index.ts';
import { SiteBuilder } from '../build.ts';
import { aboard } from './aboard.ts';
import { ashore } from './ashore.ts';
import { pictureId, tolvaneGuide } from './guide.ts';
import { office } from './office.ts';

const to = (page: string): LinkTarget => ({ type: 'page', page });
const words = (...paragraphs: string[]): RichText => richText(...paragraphs);

function home(b: SiteBuilder): void {
  b.page(
    'home',
    '',
    'Home',
    'Ferries between the four islands of the Tolvane sound: sailings, fares and the islands themselves.',
    { icon: 'house' },
  );
  b.section('welcome', 'home', 'Welcome', { scheme: 'night-run', variants: { padding: 'section-roomy' } });
  b.widget('welcome-pair', 'welcome', 'group', {}, { variants: { arrangement: 'arrangement-two' } });
  b.widget(
    'welcome-words',
    'welcome-pair',
    'group',
    {},
    { styles: { 'box/flexDirection': 'column', 'box/rowGap': '{size.space.three}' } },
  );
  b.widget(
    'welcome-title',
    'welcome-words',
    'heading',
    { text: 'The early boat is worth it', level: 1 },
    { variants: { look: 'look-h1' } },
  );
  b.widget(
    'welcome-lead',
    'welcome-words',
    'text',
    { text: words('Four islands, two ships, and a crossing short enough for one pot of tea.') },
    { variants: { look: 'look-lead' } },
  );
  b.widget('welcome-buttons', 'welcome-words', 'group', {});
  b.widget(
    'book',
    'welcome-buttons',
    'button',
    { label: 'Book a crossing', link: to('fares') },
    { variants: { size: 'size-large' } },
  );
  b.widget(
    'today',
    'welcome-buttons',
    'button',
    { label: 'Today’s sailings', link: to('sailings') },
    { variants: { kind: 'kind-outlined', size: 'size-large' } },
  );
  b.widget('welcome-picture', 'welcome-pair', 'picture', {
    asset: pictureId('Early boat'),
    alt: 'A ferry leaving the quay under a low sun',
    caption: '',
  });

  b.section('before', 'home', 'Before you sail');
  b.widget('before-title', 'before', 'heading', { text: 'Before you sail', level: 2 });
  b.widget('before-row', 'before', 'group', {}, { variants: { arrangement: 'arrangement-three' } });
  const feature = (id: string, title: string, text: string, linkLabel: string, page: string) => ({
    id,
    content: { title, level: 3, text, linkLabel, link: to(page), asset: null, alt: '' },
  });
  for (const { id, content } of [
    feature('cars', 'Cars', 'Thirty spaces. Be at the ramp twenty minutes early.', 'Car fares', 'fares'),
    feature('dogs', 'Dogs', 'Free on the open deck, all year, on a short lead.', 'Deck rules', 'fares'),
    feature(
      'bikes',
      'Bikes',
      'Roll on with the foot passengers, racks by the bow.',
      'Routes ashore',
      'islands',
    ),
  ])
    b.widget(`feature-${id}`, 'before-row', 'feature', content, {
      variants: { look: 'feature-card' },
      ...(id === 'dogs' && {
        wears: ['ticket'],
        styles: {
          'box/backgroundColor': '{color.neutral.mist}',
          'title:hover/color': 'role.link',
          'box@narrow/paddingTop': '14px',
        },
      }),
    });

  b.section('crossing', 'home', 'The crossing', { scheme: 'heather-moor' });
  b.widget('crossing-title', 'crossing', 'heading', { text: 'Forty minutes of open water', level: 2 });
  b.widget('crossing-text', 'crossing', 'text', {
    text: [
      [
        { text: 'The sound between Hesk and Carrow is at its calmest before eight. ' },
        { text: 'See the timetable', link: to('sailings') },
        { text: ' for winter days, when the ' },
        { text: 'second', emphasis: true },
        { text: ' ship stays in harbour.' },
      ],
      [{ text: 'Tea is poured from the moment the ramp is up.' }],
    ],
  });
  b.widget('crossing-line', 'crossing', 'divider', {});
  b.widget(
    'crossing-small',
    'crossing',
    'text',
    { text: words('Times are those of the outer harbour.') },
    { variants: { look: 'look-small' } },
  );
}

/** Questions that come up at the ticket window; what holds for dogs depends on the deck, so one answer holds answers itself. */
function questions(b: SiteBuilder): void {
  b.section('questions', 'fares', 'Questions', { variants: { width: 'section-text' } });
  b.widget(
    'questions-title',
    'questions',
    'heading',
    { text: 'Asked at the window', level: 2 },
    { variants: { look: 'look-h2' } },
  );
  type Entry = readonly [id: string, title: string, text: string];
  const accordion = (id: string, parent: string, level: 3 | 4, look: string, entries: readonly Entry[]) => {
    const several = level === 3 ? 'one' : 'several';
    b.widget(id, parent, 'accordion', { open: 'none', several, level }, { variants: { look } });
    for (const [entry, title, text] of entries) {
      b.widget(entry, id, 'accordionEntry', { title, icon: null });
      b.widget(`${entry}-text`, entry, 'text', { text: words(text) });
    }
  };
  accordion('asked', 'questions', 3, 'accordion-boxed', [
    ['asked-dogs', 'May the dog come?', 'Always, and free of charge. Where it may stay depends on the deck.'],
    [
      'asked-fog',
      'What if there is fog?',
      'The boat waits until the other shore can be seen. Tickets hold for the next one.',
    ],
    [
      'asked-late',
      'What if I miss the last boat?',
      'The harbour office has four beds above the ticket window. Ring the bell.',
    ],
  ]);
  accordion('asked-decks', 'asked-dogs', 4, 'accordion-ruled', [
    ['asked-open', 'On the open deck', 'On a short lead, all year.'],
    ['asked-saloon', 'In the saloon', 'In a basket, or under the table if nobody minds.'],
  ]);
}

function others(b: SiteBuilder): void {
  b.page(
    'sailings',
    'sailings',
    'Sailings',
    'When the boats leave Hesk, Little Hesk, Carrow and Sant Bree.',
    {
      icon: 'ship',
    },
  );
  b.section('sailings-top', 'sailings', 'Opening', {
    scheme: 'fog-bank',
    variants: { padding: 'section-snug' },
  });
  b.widget(
    'sailings-title',
    'sailings-top',
    'heading',
    { text: 'Sailings this week', level: 1 },
    { variants: { look: 'look-h1' } },
  );
  b.widget(
    'sailings-lead',
    'sailings-top',
    'text',
    { text: words('Both ships run until the clocks change.') },
    { variants: { look: 'look-lead' } },
  );
  b.section('sailings-list', 'sailings', 'Departures');
  b.widget(
    'sailings-notice',
    'sailings-list',
    'notice',
    {
      stays: 'can dismiss it',
      word: 'Weather',
      text: words('Swell from the west on Thursday. The 17:30 may turn back at Carrow.'),
    },
    { variants: { status: 'notice-warning' } },
  );
  for (const [id, title, text] of [
    ['hesk', 'Hesk to Carrow', 'Leaves 07:10, 09:40, 13:05 and 17:30. Forty minutes.'],
    ['carrow', 'Carrow to Sant Bree', 'Leaves 07:55, 10:25 and 14:15. Twenty-five minutes.'],
    ['little', 'Hesk to Little Hesk', 'Leaves on the hour, tide allowing. Ten minutes.'],
  ] as const) {
    b.widget(
      `sailing-${id}`,
      'sailings-list',
      'feature',
      { title, level: 2, text, link: null, linkLabel: '', asset: null, alt: '' },
      { wears: ['ticket'] },
    );
  }
  b.widget(
    'sailings-table',
    'sailings-list',
    'table',
    {
      columns: {
        columns: [
          { heading: words('From'), kind: 'words' },
          { heading: words('To'), kind: 'words' },
          { heading: words('Leaves'), kind: 'figures' },
          { heading: words('Arrives'), kind: 'figures' },
        ],
      },
      head: 'row and column',
      caption: 'First boats, Monday to Friday',
    },
    { variants: { arrangement: 'table-cards' } },
  );
  for (const [id, ...cells] of [
    ['carrow', 'Hesk', 'Carrow', '07:10', '07:50'],
    ['bree', 'Carrow', 'Sant Bree', '07:55', '08:20'],
    ['little', 'Hesk', 'Little Hesk', '08:00', '08:10'],
  ] as const)
    b.widget(`first-${id}`, 'sailings-table', 'tableRow', { cells: { cells: cells.map(it => words(it)) } });
  b.widget('sailings-line', 'sailings-list', 'divider', {});
  b.widget('sailings-book', 'sailings-list', 'button', { label: 'See the fares', link: to('fares') });

  b.section('sailings-days', 'sailings', 'By day', { variants: { width: 'section-text' } });
  b.widget(
    'days-title',
    'sailings-days',
    'heading',
    { text: 'From Hesk, by day', level: 2 },
    { variants: { look: 'look-h2' } },
  );
  b.widget('days', 'sailings-days', 'tabs', { label: 'Days of the week' });
  for (const [id, title, text] of [
    [
      'weekdays',
      'Weekdays',
      'To Carrow at 07:10, 09:40, 13:05 and 17:30, and on to Sant Bree with the first two.',
    ],
    ['saturday', 'Saturday', 'To Carrow at 08:10 and 13:05. The second ship carries bikes only.'],
    ['sunday', 'Sunday', 'To Carrow at 09:40. There is no boat to Sant Bree between October and March.'],
  ] as const) {
    b.widget(`days-${id}`, 'days', 'tab', { title, icon: null });
    b.widget(`days-${id}-text`, `days-${id}`, 'text', { text: words(text) });
  }

  b.section('sailings-more', 'sailings', 'Read on', { scheme: 'fog-bank' });
  b.widget(
    'more-title',
    'sailings-more',
    'heading',
    { text: 'Before you go', level: 2 },
    { variants: { look: 'look-h2' } },
  );
  b.widget('more-pages', 'sailings-more', 'pageList', {
    of: 'beside this page',
    pictures: 'no',
    icons: 'no',
    descriptions: 'yes',
    level: 3,
    empty: '',
  });

  b.page('fares', 'fares', 'Fares', 'What a crossing costs for people, cars, bikes and dogs.', {
    icon: 'money',
  });
  b.section('fares-top', 'fares', 'Opening', { scheme: 'fog-bank', variants: { padding: 'section-snug' } });
  b.widget(
    'fares-title',
    'fares-top',
    'heading',
    { text: 'Fares', level: 1 },
    { variants: { look: 'look-h1' } },
  );
  b.section('fares-list', 'fares', 'Prices', { variants: { width: 'section-text' } });
  for (const [id, title, text] of [
    ['foot', 'On foot', 'Six shells a crossing, four for islanders, nothing for those under seven.'],
    ['car', 'With a car', 'Thirty shells with two people, five more for each further one.'],
    ['bike', 'With a bike', 'Two shells on top of the fare on foot.'],
  ] as const) {
    b.widget(
      `fare-${id}-title`,
      'fares-list',
      'heading',
      { text: title, level: 2 },
      { variants: { look: 'look-h3' } },
    );
    b.widget(`fare-${id}`, 'fares-list', 'text', { text: words(text) });
  }
  b.widget('fares-with', 'fares-list', 'list', { order: 'free' });
  for (const [id, text] of [
    ['prams', 'Prams and wheelchairs'],
    ['bag', 'One bag that you can lift'],
    ['tea', 'Tea from the ramp up'],
  ] as const)
    b.widget(`fares-with-${id}`, 'fares-with', 'listItem', { text: words(text) });
  b.widget('fares-with-milk', 'fares-with-tea', 'listItem', { text: words('Milk while it lasts') });
  b.widget('fares-with-mugs', 'fares-with-tea', 'listItem', { text: words('Mugs come back to the bar') });
  b.widget('fares-callout', 'fares-list', 'callout', {
    title: 'Before you drive up',
    level: 2,
    text: words('Lights off on the ramp, handbrake on, and leave it in gear.'),
  });
  b.widget('fares-ask', 'fares-list', 'text', {
    text: [
      [
        { text: 'Questions? ' },
        { text: 'Write to the harbour office', link: { type: 'mail', address: 'harbour@tolvane.example' } },
        { text: '.' },
      ],
    ],
  });

  questions(b);
  b.widget('foot-asked', 'foot-nav', 'navigationEntry', {
    label: 'Asked at the window',
    link: { type: 'section', page: 'fares', section: 'questions' },
    place: 'behind them',
  });

  b.page(
    'islands',
    'islands',
    'Islands',
    'Hesk, Little Hesk, Carrow and Sant Bree: what to see when you step ashore.',
    { icon: 'place', rebind: { 'corner-card': { type: 'dimension', value: { value: 2, unit: 'px' } } } },
  );
  b.section('islands-top', 'islands', 'Opening', {
    scheme: 'heather-moor',
    variants: { padding: 'section-snug' },
  });
  b.widget(
    'islands-title',
    'islands-top',
    'heading',
    { text: 'Four islands', level: 1 },
    { variants: { look: 'look-h1' } },
  );
  b.section('islands-list', 'islands', 'The islands');
  b.widget('islands-row', 'islands-list', 'group', {}, { variants: { arrangement: 'arrangement-two' } });
  for (const [name, text] of [
    ['Hesk', 'The long one. Its ridge walk takes a morning.'],
    ['Little Hesk', 'Reached on foot at low tide, by boat at any other.'],
    ['Carrow', 'Cliffs, heather and the best bakery of the sound.'],
    ['Sant Bree', 'The lamp was relit here, and is shown on Fridays.'],
  ] as const)
    b.widget(
      `island-${name.toLowerCase().replace(' ', '-')}`,
      'islands-row',
      'feature',
      {
        title: name,
        level: 2,
        text,
        link: to(`${name.toLowerCase().replace(' ', '-')}-page`),
        linkLabel: `More of ${name}`,
        asset: pictureId(name),
        alt: '',
      },
      { variants: { look: 'feature-card' } },
    );
  b.section('morning', 'islands', 'A morning on Hesk');
  b.widget('morning-text', 'morning', 'longText', {});
  b.widget(
    'morning-title',
    'morning-text',
    'heading',
    { text: 'A morning on Hesk', level: 2 },
    { variants: { look: 'look-h2' } },
  );
  b.widget(
    'morning-first',
    'morning-text',
    'text',
    {
      text: words(
        'Walk off the boat with the cars still warming up behind you, and turn left where everybody else turns right. The path begins between two boathouses and climbs before it tells you that it will.',
      ),
    },
    { variants: { look: 'look-opening' } },
  );
  b.widget(
    'morning-beside',
    'morning-text',
    'picture',
    { asset: pictureId('Hesk'), alt: '', caption: 'The ridge, from the second cairn' },
    { variants: { position: 'picture-position-2' } },
  );
  b.widget('morning-second', 'morning-text', 'text', {
    text: words(
      'The ridge is a mile of short grass and long views. On a clear day all four islands lie below, and the ferry draws a straight line between them that is gone before the next one leaves.',
      'Sheep have the right of way. So has the wind: it comes over the western side without warning, and hats are found in Carrow.',
      'Half way there is a bench with its back to the mainland. Sit down, whatever the time.',
    ),
  });
  b.widget(
    'morning-wide',
    'morning-text',
    'picture',
    { asset: pictureId('Carrow'), alt: '', caption: 'Carrow across the sound, an hour after the early boat' },
    { variants: { position: 'picture-position-1' } },
  );
  b.widget('morning-last', 'morning-text', 'text', {
    text: words(
      'The bakery at the far end opens when the first walker knocks. The boat back leaves at noon.',
    ),
  });

  b.section('guided', 'islands', 'Guided walk', { variants: { width: 'section-text' } });
  b.widget(
    'guided-title',
    'guided',
    'heading',
    { text: 'Come along with a guide', level: 2 },
    { variants: { look: 'look-h2' } },
  );
  b.widget('guided-form', 'guided', 'form', { label: 'Come along with a guide', needed: 'shown' });
  const field = (id: string, kind: string, label: string, more: Readonly<Record<string, string>> = {}) =>
    b.widget(id, 'guided-form', 'field', { kind, label, name: id, required: 'yes', ...more });
  field('guided-mail', 'email', 'Where to write to', {
    placeholder: 'you@tolvane.example',
    message: 'Write a mail address, such as you@tolvane.example.',
  });
  field('guided-boat', 'choice', 'The boat you come with', { help: 'We meet at the top of the ramp.' });
  for (const [id, label] of [
    ['early', '07:10 from Carrow'],
    ['middle', '09:40 from Carrow'],
    ['tide', 'On foot, at low tide'],
  ] as const)
    b.widget(`guided-${id}`, 'guided-boat', 'fieldChoice', { label });
  field('guided-words', 'long', 'Anything we should know', { required: 'no' });
  b.widget('guided-send', 'guided-form', 'button', {
    label: 'Write to the guides',
    link: { type: 'mail', address: 'walks@tolvane.example' },
  });
}

/** Tolvane Ferries, an invented line between four invented islands. `file` names the stored file of each drawing. */
export function tolvane(file: (name: string) => string): Site {
  const b = new SiteBuilder();
  tolvaneGuide(b, 'Tolvane Ferries', file);
  home(b);
  others(b);
  aboard(b);
  ashore(b);
  office(b);
  return b.site();
}
