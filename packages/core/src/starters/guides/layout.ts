import type { SiteBuilder } from '../build.ts';
import { looksOf } from '../looks/index.ts';

/**
 * How things are laid out in every guide of ours, by the names that all of them have for sizes: sections and what pages share,
 * groups, long texts. `id` makes ids of the guide; `footer` is what else its footer sets.
 */
export function layout(
  b: SiteBuilder,
  id: (name: string) => string,
  footer: Readonly<Record<string, string | number>> = {},
): void {
  const padding = (name: string) => ({
    'box/paddingTop': `{size.section-padding.${name}}`,
    'box/paddingBottom': `{size.section-padding.${name}}`,
  });
  for (const element of ['section', 'header', 'sidebar', 'footer'] as const) {
    b.default(element, {
      'inner/maxWidth': '{size.page.width}',
      'inner/rowGap': '{size.space.three}',
      'box/paddingLeft': '{size.space.three}',
      'box/paddingRight': '{size.space.three}',
      ...padding(element === 'section' || element === 'sidebar' ? 'fair' : 'snug'),
      ...(element === 'footer' && footer),
    });
    b.variant(id(`${element}-snug`), element, 'padding', 'Snug', padding('snug'));
    b.variant(id(`${element}-roomy`), element, 'padding', 'Roomy', padding('roomy'));
    b.variant(id(`${element}-text`), element, 'width', 'Text width', {
      'inner/maxWidth': '{size.page.text-measure}',
    });
  }
  b.variant(id('header-stays'), 'header', 'scrolling', 'Stays in view', {
    'box/position': 'sticky',
    'box/top': '0px',
  });
  for (const look of looksOf('header').filter(it => it.axis === 'height'))
    b.readyLook(id(`header-${look.name.toLowerCase().replaceAll(' ', '-')}`), look);
  b.variant(id('sidebar-stays'), 'sidebar', 'scrolling', 'Stays in view', {
    'box/position': 'sticky',
    'box/top': '5rem',
  });
  for (const look of looksOf('navigation').filter(it => it.axis !== 'look'))
    b.readyLook(id(`navigation-${look.name.toLowerCase().replaceAll(' ', '-')}`), look);
  for (const [name, columns, label, medium] of [
    ['two', 2, 'Two across', null],
    ['three', 3, 'Three across', 2],
  ] as const)
    b.variant(id(`arrangement-${name}`), 'group', 'arrangement', label, {
      'box/display': 'grid',
      'box/gridColumns': columns,
      'box/columnGap': `{size.space.${columns === 2 ? 'four' : 'three'}}`,
      'box/rowGap': '{size.space.four}',
      'box/alignItems': columns === 2 ? 'center' : 'stretch',
      ...(medium !== null && { 'box@medium/gridColumns': medium }),
      'box@narrow/gridColumns': 1,
    });
  b.variant(id('arrangement-ends'), 'group', 'arrangement', 'To both ends', {
    'box/justifyContent': 'space-between',
    'box/alignItems': 'center',
    'box/width': '100%',
  });
  b.variant(id('arrangement-centred'), 'group', 'arrangement', 'Centred', {
    'box/justifyContent': 'center',
    'box/alignItems': 'center',
  });
  b.default('longText', {
    'box/maxWidth': '{size.page.text-measure}',
    'row/marginTop': '{size.space.three}',
  });
  // What floats is flowed around by lines, not by whole texts.
  b.default(
    'text',
    { 'box/display': 'block', 'paragraph/marginTop': '{size.space.two}' },
    { type: 'longForm' },
  );
  b.default('heading', { 'text/marginTop': '{size.space.four}' }, { type: 'longForm' });
  for (const element of ['picture', 'quote'])
    for (const [i, look] of looksOf(element)
      .filter(it => it.axis === 'position')
      .entries())
      b.readyLook(id(`${element}-position-${i + 1}`), look);
}
