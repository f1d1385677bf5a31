import { type LinkTarget, richText } from '../../content/index.ts';
import type { SiteBuilder } from '../build.ts';
import { BELL, pictureId } from './guide.ts';

const to = (page: string): LinkTarget => ({ type: 'page', page });

/** What a crossing is like: the page where things are pointed out, shown one after the other, and asked. */
export function aboard(b: SiteBuilder): void {
  b.page(
    'aboard',
    'on-board',
    'On board',
    'Three decks, tea from the ramp up, and a window seat for whoever comes early.',
    { icon: 'cup' },
  );
  const titled = (section: string, text: string) =>
    b.widget(`${section}-title`, section, 'heading', { text, level: 2 }, { variants: { look: 'look-h2' } });

  b.section('aboard-top', 'aboard', 'Opening', { scheme: 'fog-bank', variants: { padding: 'section-snug' } });
  b.widget(
    'aboard-heading',
    'aboard-top',
    'heading',
    { text: 'On board', level: 1 },
    { variants: { look: 'look-h1' } },
  );
  b.widget(
    'aboard-lead',
    'aboard-top',
    'text',
    { text: richText('Forty minutes are long enough for a pot of tea and short enough to forget the time.') },
    { variants: { look: 'look-lead' } },
  );

  b.section('aboard-views', 'aboard', 'From the deck');
  titled('aboard-views', 'Seen from the deck');
  b.widget('views', 'aboard-views', 'slides', {
    label: 'Seen from the deck',
    level: 3,
    dots: 'dots',
    advance: 'never',
    before: null,
    after: null,
  });
  for (const [id, picture, title, caption] of [
    ['early', 'Early boat', 'The first light', 'The early boat meets the sun half way to Carrow.'],
    ['hesk', 'Hesk', 'Hesk falls behind', 'Its ridge stays in sight until the cups are empty.'],
    ['carrow', 'Carrow', 'Carrow ahead', 'The cliffs turn red for ten minutes, then grey again.'],
    ['bree', 'Sant Bree', 'The lamp of Sant Bree', 'Seen from every seat at the bow.'],
  ] as const)
    b.widget(`view-${id}`, 'views', 'slide', {
      asset: pictureId(picture),
      alt: '',
      title,
      caption,
      linkLabel: '',
    });

  b.section('aboard-decks', 'aboard', 'Decks', { scheme: 'fog-bank' });
  titled('aboard-decks', 'Three decks');
  b.widget('decks', 'aboard-decks', 'cards', {});
  for (const [id, title, text, icon] of [
    ['car', 'Car deck', 'Thirty spaces. Stay in your seat until the crew waves.', 'car'],
    ['saloon', 'Saloon', 'Tables at every window, and the tea urn in the middle.', 'cup'],
    ['open', 'Open deck', 'Benches along the rail. Dogs sail here, and free of charge.', 'wind'],
  ] as const)
    b.widget(`deck-${id}`, 'decks', 'card', {
      title,
      level: 3,
      text,
      link: to('fares'),
      linkLabel: 'What it costs',
      clicked: 'the whole card',
      asset: null,
      alt: '',
      icon,
    });

  b.section('aboard-way', 'aboard', 'Boarding', { variants: { width: 'section-text' } });
  titled('aboard-way', 'How boarding goes');
  b.widget('boarding', 'aboard-way', 'steps', { level: 3 });
  for (const [id, title, text] of [
    ['ramp', 'Be at the ramp', 'Twenty minutes before with a car, ten on foot.'],
    ['code', 'Show your code', 'On paper or on a screen; the crew can read both in the rain.'],
    ['seat', 'Find a seat', 'The bow sees most. The stern is out of the wind.'],
  ] as const) {
    b.widget(`boarding-${id}`, 'boarding', 'step', { title, icon: null });
    b.widget(`boarding-${id}-text`, `boarding-${id}`, 'text', { text: richText(text) });
  }

  b.widget('ramp', 'aboard-way', 'map', {
    title: 'The ramp at Hesk',
    address: 'Foot of the harbour street, left of the lamp',
    link: { type: 'page', page: 'sailings' },
    linkLabel: 'When it is open',
  });

  b.section('aboard-tea', 'aboard', 'Tea', { scheme: 'heather-moor', wears: ['open-water'] });
  b.widget(
    'tea',
    'aboard-tea',
    'pictureText',
    {
      asset: pictureId('Early boat'),
      alt: 'A ferry under a low sun, seen from the quay',
    },
    { wears: ['print'] },
  );
  b.widget(
    'tea-title',
    'tea',
    'heading',
    { text: 'Tea is poured from the ramp up', level: 2 },
    { variants: { look: 'look-h2' } },
  );
  b.widget('tea-text', 'tea', 'text', {
    text: richText(
      'The urn was made for a larger ship and has never run dry. Mugs are on the rail, milk is by the window, and the bell means that the swell has noticed.',
    ),
  });

  b.section('aboard-said', 'aboard', 'What people say', { wears: ['fair-weather'] });
  b.widget('counted', 'aboard-said', 'figures', {});
  for (const [id, value, words] of [
    ['islands', '4', 'islands'],
    ['ships', '2', 'ships'],
    ['minutes', '40', 'minutes to Carrow'],
  ] as const)
    b.widget(`counted-${id}`, 'counted', 'figure', { value, words, icon: null });
  b.widget('said', 'aboard-said', 'testimonials', {});
  for (const [id, words, name, role] of [
    [
      'baker',
      'I set my oven by the early boat. It has not been late since the urn came.',
      'The baker',
      'Carrow',
    ],
    ['keeper', 'They waited for my mother, and she does not hurry.', 'The lamp keeper', 'Sant Bree'],
  ] as const)
    b.widget(`said-${id}`, 'said', 'testimonial', {
      words: richText(words),
      name,
      role,
      asset: null,
      alt: '',
      icon: null,
    });

  b.widget('listen', 'aboard-said', 'audio', {
    file: { type: 'file', asset: BELL },
    title: 'The bell on the bow',
    note: 'Struck once when the ramp is up',
    asset: pictureId('Sant Bree'),
  });

  b.section('aboard-pictures', 'aboard', 'Pictures', { scheme: 'fog-bank' });
  titled('aboard-pictures', 'Along the way');
  b.widget(
    'pictures',
    'aboard-pictures',
    'gallery',
    { large: 'yes', before: null, after: null, close: null },
    { wears: ['rope-corner'] },
  );
  for (const [id, picture, caption] of [
    ['hesk', 'Hesk', 'Hesk at noon'],
    ['little', 'Little Hesk', 'Little Hesk, at low tide'],
    ['carrow', 'Carrow', 'Carrow in heather'],
    ['bree', 'Sant Bree', 'Sant Bree and its lamp'],
    ['early', 'Early boat', 'The early boat'],
    ['again', 'Hesk', 'And home again'],
  ] as const)
    b.widget(`picture-${id}`, 'pictures', 'galleryPicture', { asset: pictureId(picture), alt: '', caption });
  b.widget('elsewhere', 'aboard-pictures', 'socialLinks', { label: 'More pictures' });
  for (const [id, name, icon, path] of [
    ['photos', 'Photos by passengers', 'camera', 'photos'],
    ['letters', 'Letters from the bridge', 'mail', 'letters'],
  ] as const)
    b.widget(`elsewhere-${id}`, 'elsewhere', 'socialLink', {
      name,
      icon,
      link: { type: 'url', href: `https://${path}.tolvane.example/` },
    });

  b.widget('help', 'aboard-pictures', 'help', {
    label: 'Questions?',
    icon: 'info',
    title: 'Asked on board',
    further: 'Is it something else?',
    way: { type: 'mail', address: 'harbour@tolvane.example' },
    wayLabel: 'Write to the harbour office',
  });
  for (const [id, question, answer] of [
    ['dog', 'Where may the dog stay?', 'On the open deck, on a short lead, and in a basket in the saloon.'],
    [
      'sick',
      'What helps in a swell?',
      'The middle of the saloon, eyes on the horizon, and dry biscuits from the bar.',
    ],
    ['lost', 'I left something on board', 'It waits at the ticket window in Hesk for four weeks.'],
    ['late', 'What if I miss the last boat?', 'The harbour office has four beds. Ring the bell.'],
  ] as const)
    b.widget(`help-${id}`, 'help', 'helpEntry', { question, answer: richText(answer) });
  b.widget('camera', 'aboard-pictures', 'embed', {
    link: { type: 'url', href: 'https://camera.tolvane.example/' },
    title: 'The harbour camera at Hesk',
    asset: null,
    caption: 'A new picture every minute, while the lamp is lit.',
  });
}
