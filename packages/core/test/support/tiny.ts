import { SiteBuilder } from '../../src/starters/index.ts';

/** The least site in which everything of the cascade can meet. */
export function tiny(fill: (b: SiteBuilder) => void = () => {}) {
  const b = new SiteBuilder();
  b.token('color', 'sea', 'Brand', 'Sea', '#204060');
  b.token('color', 'deep', 'Brand', 'Deep', 'shade({color.brand.sea}, 50%)');
  b.token('color', 'alias', 'Brand', 'Alias', '{color.brand.sea}');
  b.token('color', 'foam', 'Brand', 'Foam', '#f0f8ff');
  b.token('dimension', 'base', 'Text', 'Base', '1rem');
  b.token('number', 'ratio', 'Text', 'Ratio', '1.25');
  b.scheme('day', 'Day', 'light', { surface: 'foam', text: 'sea', accent: 'alias' });
  b.scheme('dark', 'Dark', 'dark', { surface: 'deep', text: 'foam', accent: 'foam' });
  b.settings({
    name: 'Tiny',
    language: 'en',
    home: 'home',
    defaultScheme: 'day',
    mediumTo: 900,
    narrowTo: 600,
    fluidFrom: 360,
    fluidTo: 1280,
    textBase: 'base',
    textRatio: 'ratio',
  });
  b.variant('outlined', 'button', 'kind', 'Outlined', {});
  b.variant('large', 'button', 'size', 'Large', {});
  b.page('home', '', 'Home', '');
  b.section('one', 'home', 'One');
  fill(b);
  return b.site();
}
