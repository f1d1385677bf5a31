import { richText } from '../../content/index.ts';
import type { SiteBuilder } from '../build.ts';

/** What all pages share. */
export function furniture(b: SiteBuilder): void {
  b.section('head', 'settings', 'Header', { area: 'header' });
  b.widget('head-row', 'head', 'group', {}, { variants: { arrangement: 'arrangement-ends' } });
  b.widget('head-title', 'head-row', 'siteTitle', {});
  b.widget(
    'head-nav',
    'head-row',
    'navigation',
    { label: 'Main', word: '', depth: 2 },
    { variants: { arrangement: 'navigation-menus', 'narrow arrangement': 'navigation-full-screen' } },
  );
  b.section('foot', 'settings', 'Footer', { area: 'footer', scheme: 'night-run' });
  b.widget('foot-row', 'foot', 'group', {}, { variants: { arrangement: 'arrangement-three' } });
  b.widget('foot-words', 'foot-row', 'text', {
    text: richText(
      'Tolvane Ferries sail between Hesk, Little Hesk, Carrow and Sant Bree, every day the sea allows.',
    ),
  });
  b.widget(
    'foot-nav',
    'foot-row',
    'navigation',
    { label: 'Footer' },
    { variants: { arrangement: 'navigation-upright' } },
  );
  b.widget('foot-office', 'foot-row', 'column', {});
  b.widget('foot-hours', 'foot-office', 'text', {
    text: [
      [{ text: 'Harbour office', strong: true }],
      [{ text: 'Foot of the harbour street, Hesk. Open from the first boat to the last.' }],
      [{ text: 'Write to us', link: { type: 'mail', address: 'harbour@tolvane.example' } }],
    ],
  });
}
