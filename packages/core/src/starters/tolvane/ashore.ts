import { type LinkTarget, richText } from '../../content/index.ts';
import type { SiteBuilder } from '../build.ts';
import { pictureId } from './guide.ts';

const to = (page: string): LinkTarget => ({ type: 'page', page });

/** One of the four islands, as its page tells of it. */
interface Island {
  id: string;
  title: string;
  description: string;
  lead: string;
  picture: string;
  alt: string;
  scheme: string;
  icon: string;
  /** What is worth the way: a title, a sentence and an icon each. */
  see: readonly (readonly [id: string, title: string, text: string, icon: string])[];
  pictures: readonly (readonly [picture: string, caption: string])[];
  /** How long it takes, from where, and how often. */
  boats: readonly (readonly [from: string, minutes: string, leaves: string])[];
}

const ISLANDS: readonly Island[] = [
  {
    id: 'hesk',
    title: 'Hesk',
    description: 'The long island: a ridge walk, four coloured boathouses and the harbour office.',
    lead: 'The long one. Its ridge takes a morning, and its harbour the rest of the day.',
    picture: 'Hesk harbour',
    alt: 'Coloured boathouses on the quay of Hesk',
    scheme: 'fog-bank',
    icon: 'house',
    see: [
      ['ridge', 'The ridge', 'A mile of short grass, a bench half way, and all four islands below.', 'place'],
      [
        'houses',
        'The boathouses',
        'Red, white, blue and yellow, so that each crew finds its own in fog.',
        'house',
      ],
      [
        'window',
        'The ticket window',
        'Open before the first boat. The bell is real, and may be rung.',
        'ticket',
      ],
    ],
    pictures: [
      ['Hesk harbour', 'The quay before the early boat'],
      ['Hesk', 'The ridge from the sea'],
      ['Early boat', 'First light over the harbour'],
      ['On deck', 'Noon, half way out'],
    ],
    boats: [
      ['Carrow', '40 minutes', '08:05, 11:00, 15:10 and 18:30'],
      ['Little Hesk', '10 minutes', 'Every hour, tide allowing'],
    ],
  },
  {
    id: 'little-hesk',
    title: 'Little Hesk',
    description: 'The round island that is reached on foot at low tide, and by boat at any other.',
    lead: 'Twice a day the sea steps aside. Whoever knows the hours walks over.',
    picture: 'Tide path',
    alt: 'Stepping stones over wet sand towards Little Hesk',
    scheme: 'heather-moor',
    icon: 'waves',
    see: [
      [
        'stones',
        'The tide path',
        'Forty stones and firm sand. The last hour before the turn is for locals.',
        'waves',
      ],
      ['hill', 'The round hill', 'Ten minutes up, five down, and a wind that has come a long way.', 'place'],
      [
        'birds',
        'The terns',
        'They nest on the far side until July, and are looked at from the path.',
        'wind',
      ],
    ],
    pictures: [
      ['Tide path', 'The path, an hour after high water'],
      ['Little Hesk', 'The hill from the ferry'],
      ['Early boat', 'The boat that waits for no tide'],
    ],
    boats: [['Hesk', '10 minutes', 'On the hour, tide allowing']],
  },
  {
    id: 'carrow',
    title: 'Carrow',
    description: 'Cliffs, heather and the best bakery of the sound.',
    lead: 'Cliffs to the west, heather on top, and bread before anybody asks.',
    picture: 'Carrow bakery',
    alt: 'The bakery of Carrow above the cliffs, smoke from its chimney',
    scheme: 'fog-bank',
    icon: 'sun',
    see: [
      ['bakery', 'The bakery', 'Opens when the first walker knocks. Seed loaves are gone by ten.', 'cup'],
      [
        'cliffs',
        'The west cliffs',
        'A fence keeps sheep back, and a rail those who photograph them.',
        'place',
      ],
      ['heather', 'The heather walk', 'Two hours in a circle, purple from August on.', 'sun'],
    ],
    pictures: [
      ['Carrow bakery', 'First batch'],
      ['Carrow', 'The cliffs from the boat'],
      ['On deck', 'Crossing from Hesk'],
    ],
    boats: [
      ['Hesk', '40 minutes', '07:10, 09:40, 13:05 and 17:30'],
      ['Sant Bree', '25 minutes', '08:30, 11:00 and 15:00'],
    ],
  },
  {
    id: 'sant-bree',
    title: 'Sant Bree',
    description: 'The island of the lamp, which was relit and is shown on Fridays.',
    lead: 'The lamp was relit. It is shown on Fridays, and seen on every other night.',
    picture: 'Lamp lit',
    alt: 'The lamp of Sant Bree with its beam over the sea at dusk',
    scheme: 'night-run',
    icon: 'star',
    see: [
      ['lamp', 'The lamp', 'Ninety steps and a keeper who tells the whole story if asked.', 'star'],
      [
        'chapel',
        'The chapel',
        'Built from the wreck of a grain ship. Its bell is still the ship’s.',
        'clock',
      ],
      ['dark', 'The dark', 'No street lights: the last boat in autumn sails under all the stars.', 'waves'],
    ],
    pictures: [
      ['Lamp lit', 'Dusk, from the landing'],
      ['Sant Bree', 'The lamp from the late boat'],
      ['Little Hesk', 'Little Hesk, seen from the gallery'],
    ],
    boats: [['Carrow', '25 minutes', '07:55, 10:25 and 14:15']],
  },
];

/** A page for each island: what it is, what to see, pictures, the boats there, and the way on to the others. */
export function ashore(b: SiteBuilder): void {
  for (const island of ISLANDS) page(b, island);
  atHome(b);
}

/** The way to each of them from the home page. */
function atHome(b: SiteBuilder): void {
  b.section('home-ashore', 'home', 'Ashore', { scheme: 'fog-bank' });
  b.widget(
    'home-ashore-title',
    'home-ashore',
    'heading',
    { text: 'Four islands, four mornings', level: 2 },
    { variants: { look: 'look-h2' } },
  );
  b.widget('home-ashore-cards', 'home-ashore', 'cards', {}, { variants: { look: 'cards-four' } });
  for (const { id, title, lead, picture, alt } of ISLANDS)
    b.widget(`home-ashore-${id}`, 'home-ashore-cards', 'card', {
      title,
      level: 3,
      text: lead,
      link: to(`${id}-page`),
      linkLabel: `Go to ${title}`,
      clicked: 'the whole card',
      asset: pictureId(picture),
      alt,
      icon: null,
    });
}

function page(b: SiteBuilder, island: Island): void {
  const { id, title, description, lead, picture, alt, scheme, icon, see, pictures, boats } = island;
  const at = (name: string) => `${id}-${name}`;
  const titled = (section: string, text: string) =>
    b.widget(
      at(`${section}-title`),
      at(section),
      'heading',
      { text, level: 2 },
      { variants: { look: 'look-h2' } },
    );
  b.page(at('page'), id, title, description, {
    parent: 'islands',
    icon,
    sharePicture: pictureId(picture),
    // Its opening is the night, which the header lets through.
    ...(scheme === 'night-run' && { headerColors: 'firstSection' as const }),
  });

  b.section(at('top'), at('page'), 'Opening', {
    scheme,
    variants: { padding: 'section-roomy' },
    // Below the header that lies over it.
    ...(scheme === 'night-run' && { styles: { 'box@narrow/paddingTop': '7rem' } }),
  });
  b.widget(at('pair'), at('top'), 'group', {}, { variants: { arrangement: 'arrangement-two' } });
  b.widget(at('words'), at('pair'), 'column', {});
  b.widget(at('title'), at('words'), 'heading', { text: title, level: 1 }, { variants: { look: 'look-h1' } });
  b.widget(at('lead'), at('words'), 'text', { text: richText(lead) }, { variants: { look: 'look-lead' } });
  b.widget(at('book'), at('words'), 'button', { label: `Boats to ${title}`, link: to('sailings') });
  b.widget(
    at('picture'),
    at('pair'),
    'picture',
    { asset: pictureId(picture), alt, caption: '' },
    { wears: ['rope-corner'] },
  );

  b.section(at('see'), at('page'), 'What to see');
  titled('see', 'Worth the way');
  b.widget(at('cards'), at('see'), 'cards', {});
  for (const [name, heading, text, sign] of see)
    b.widget(at(name), at('cards'), 'card', {
      title: heading,
      level: 3,
      text,
      link: null,
      linkLabel: '',
      asset: null,
      alt: '',
      icon: sign,
    });

  b.section(at('views'), at('page'), 'Pictures', {
    scheme: scheme === 'fog-bank' ? 'heather-moor' : 'fog-bank',
  });
  titled('views', `${title} in pictures`);
  b.widget(at('gallery'), at('views'), 'gallery', { large: 'yes', before: null, after: null, close: null });
  for (const [i, [name, caption]] of pictures.entries())
    b.widget(at(`view-${i + 1}`), at('gallery'), 'galleryPicture', {
      asset: pictureId(name),
      alt: '',
      caption,
    });

  b.section(at('boats'), at('page'), 'Boats', { variants: { width: 'section-text' } });
  titled('boats', 'Boats there');
  b.widget(
    at('table'),
    at('boats'),
    'table',
    {
      columns: {
        columns: ['From', 'Crossing', 'Leaves'].map(heading => ({
          heading: richText(heading),
          kind: 'words',
        })),
      },
      head: 'row and column',
      caption: `Boats to ${title}`,
    },
    { variants: { arrangement: 'table-cards' } },
  );
  for (const [i, cells] of boats.entries())
    b.widget(at(`boat-${i + 1}`), at('table'), 'tableRow', {
      cells: { cells: cells.map(it => richText(it)) },
    });

  b.section(at('on'), at('page'), 'The other islands', { scheme: 'fog-bank' });
  titled('on', 'The other islands');
  b.widget(at('others'), at('on'), 'pageList', {
    of: 'beside this page',
    pictures: 'yes',
    icons: 'no',
    descriptions: 'yes',
    level: 3,
    empty: '',
  });
}
