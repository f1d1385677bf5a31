import type { Site } from '../site/index.ts';
import { SiteBuilder } from './build.ts';

/**
 * A generated page of cards in the looks of the demo, for measuring: `cards` features in sections of ten, each a picture’s
 * ground, a title, words and a link.
 */
export function largePage(cards: number): Site {
  const b = new SiteBuilder();
  b.token('color', 'hull', 'Brand', 'Hull', '#2a3a5f');
  b.token('color', 'rope', 'Brand', 'Rope', '#6f3b8c');
  b.token('color', 'rope-deep', 'Brand', 'Rope deep', 'shade({color.brand.rope}, 25%)');
  b.token('color', 'foam', 'Neutral', 'Foam', '#f5fbff');
  b.token('color', 'fog', 'Neutral', 'Fog', '#d6e6f0');
  b.token('color', 'night', 'Neutral', 'Night', '#141c30');
  b.token('dimension', 'base', 'Text', 'Base', '1rem');
  b.token('number', 'ratio', 'Text', 'Ratio', '1.25');
  b.scheme('daymark', 'Daymark', 'light', {
    surface: 'foam',
    raised: 'fog',
    heading: 'hull',
    text: 'night',
    link: 'rope',
    linkHover: 'rope-deep',
    accent: 'rope',
  });
  b.settings({
    name: 'Tolvane Ferries',
    language: 'en',
    home: 'home',
    defaultScheme: 'daymark',
    mediumTo: 960,
    narrowTo: 600,
    fluidFrom: 360,
    fluidTo: 1280,
    textBase: 'base',
    textRatio: 'ratio',
  });
  b.variant('across', 'group', 'arrangement', 'Three across', {
    'box/display': 'grid',
    'box/gridColumns': 3,
  });
  b.variant('card', 'feature', 'look', 'Card', {
    'box/backgroundColor': 'role.raised',
    'box/paddingTop': '1rem',
    'box/paddingLeft': '1rem',
    'box/paddingRight': '1rem',
    'box/paddingBottom': '1rem',
  });
  b.page('home', '', 'Home', '');
  for (let i = 0; i < cards; i++) {
    const section = `section-${Math.floor(i / 10)}`;
    if (i % 10 === 0) {
      b.section(section, 'home', `Section ${i / 10 + 1}`);
      b.widget(`${section}-row`, section, 'group', {}, { variants: { arrangement: 'across' } });
    }
    b.widget(
      `card-${i}`,
      `${section}-row`,
      'feature',
      {
        title: `Crossing ${i + 1}`,
        level: 2,
        text: 'Thirty spaces. Be at the ramp twenty minutes early.',
        link: { type: 'page', page: 'home' },
        linkLabel: 'Fares',
        asset: null,
        alt: '',
      },
      {
        variants: { look: 'card' },
        ...(i % 7 === 0 && { styles: { 'box/backgroundColor': '{color.neutral.foam}' } }),
      },
    );
  }
  return b.site();
}
