import { corners, line } from '../../widgets/kit/baseline.ts';
import type { SiteBuilder } from '../build.ts';
import { positionLooks } from '../looks/position.ts';

/** How every kind of thing looks, and the variants it has. */
export function elements(b: SiteBuilder): void {
  b.default('page', { 'box/textStyle': 'style-text' });
  const padding = (id: string) => ({
    'box/paddingTop': `{size.section-padding.${id}}`,
    'box/paddingBottom': `{size.section-padding.${id}}`,
  });
  for (const element of ['section', 'header', 'sidebar', 'footer'] as const) {
    b.default(element, {
      'inner/maxWidth': '{size.page.width}',
      'inner/rowGap': '{size.space.three}',
      'box/paddingLeft': '{size.space.three}',
      'box/paddingRight': '{size.space.three}',
      ...padding(element === 'section' || element === 'sidebar' ? 'fair' : 'snug'),
      ...(element === 'footer' && {
        'box/backgroundImage': 'pattern(swell, role.line)',
        'box/backgroundRepeat': 'repeat-x',
        'box/backgroundPositionY': 'bottom',
      }),
    });
    b.variant(`${element}-snug`, element, 'padding', 'Snug', padding('snug'));
    b.variant(`${element}-roomy`, element, 'padding', 'Roomy', padding('roomy'));
    b.variant(`${element}-text`, element, 'width', 'Text width', {
      'inner/maxWidth': '{size.page.text-measure}',
    });
  }
  b.variant('header-stays', 'header', 'scrolling', 'Stays in view', {
    'box/position': 'sticky',
    'box/top': '0px',
  });
  b.default('heading', { 'text/textStyle': 'style-h2' });
  b.variant('look-h1', 'heading', 'look', 'Heading 1', { 'text/textStyle': 'style-h1' });
  b.variant('look-h2', 'heading', 'look', 'Heading 2', { 'text/textStyle': 'style-h2' });
  b.variant('look-h3', 'heading', 'look', 'Heading 3', { 'text/textStyle': 'style-h3' });
  b.default('text', {
    'paragraph/maxWidth': '{size.page.text-measure}',
    'box/rowGap': '{size.space.two}',
    'code/textStyle': 'style-code',
    'link/textStyle': 'style-link',
    'marked/textStyle': 'style-marked',
  });
  b.default('longText', {
    'box/maxWidth': '{size.page.text-measure}',
    'row/marginTop': '{size.space.three}',
  });
  b.default(
    'text',
    { 'box/display': 'block', 'paragraph/marginTop': '{size.space.two}' },
    { type: 'longForm' },
  );
  b.default('heading', { 'text/marginTop': '{size.space.four}' }, { type: 'longForm' });
  for (const element of ['picture', 'quote'])
    for (const [i, look] of positionLooks(element).entries())
      b.readyLook(`${element}-position-${i + 1}`, look);
  b.variant('look-lead', 'text', 'look', 'Lead', { 'paragraph/textStyle': 'style-lead' });
  b.variant('look-opening', 'text', 'look', 'Opening', {
    'dropCap/textStyle': 'style-drop',
    'dropCap/color': 'role.heading',
  });
  b.variant('look-small', 'text', 'look', 'Small', {
    'paragraph/textStyle': 'style-small',
    'paragraph/color': 'role.muted',
  });

  b.default('button', {
    'box/textStyle': 'style-label',
    ...corners('box', '{size.corners.small}'),
    'box/transitionDuration': '{duration.motion.quick}',
  });
  b.variant('kind-outlined', 'button', 'kind', 'Outlined', {
    'box/backgroundColor': 'role.secondFill',
    'box/color': 'role.secondLabel',
    ...line('box', { color: 'role.secondLine' }),
    'box:hover/backgroundColor': 'role.secondFillHover',
    'box:hover/color': 'role.secondLabelHover',
    'box:pressed/backgroundColor': 'role.secondFillPressed',
    'box:pressed/color': 'role.secondLabelPressed',
  });
  b.variant('size-small', 'button', 'size', 'Small', {
    'box/fontSize': '{size.text.small}',
    'box/paddingTop': '0.4em',
    'box/paddingBottom': '0.4em',
    'box/paddingLeft': '0.8em',
    'box/paddingRight': '0.8em',
  });
  b.variant('size-large', 'button', 'size', 'Large', {
    'box/fontSize': '{size.text.large}',
    'box/paddingTop': '0.7em',
    'box/paddingBottom': '0.7em',
    'box/paddingLeft': '1.4em',
    'box/paddingRight': '1.4em',
  });

  b.default('picture', {
    ...corners('picture', '{size.corners.card}'),
    'caption/textStyle': 'style-caption',
  });
  b.default('feature', {
    'title/textStyle': 'style-h3',
    'box/rowGap': '{size.space.two}',
    ...corners('picture', '{size.corners.small}'),
    'link/textStyle': 'style-label',
  });
  b.variant('feature-card', 'feature', 'look', 'Card', {
    'box/backgroundColor': 'role.raised',
    ...corners('box', '{size.corners.card}'),
    'box/paddingTop': '{size.space.three}',
    'box/paddingBottom': '{size.space.three}',
    'box/paddingLeft': '{size.space.three}',
    'box/paddingRight': '{size.space.three}',
  });
  b.default('list', { 'box/maxWidth': '{size.page.text-measure}' });
  b.default('quote', {
    'paragraph/textStyle': 'style-quote',
    'source/textStyle': 'style-small',
    'box/paddingLeft': '{size.space.three}',
    'box/borderLeftWidth': '{size.lines.rope}',
  });
  b.variant('quote-pull', 'quote', 'look', 'Pull quote', {
    'paragraph/textStyle': 'style-pull',
    'box/borderLeftStyle': 'none',
    'box/paddingLeft': '0',
    'paragraph/color': 'role.heading',
  });
  b.default('callout', { 'title/textStyle': 'style-h4', ...corners('box', '{size.corners.card}') });
  b.default('preformatted', {
    'box/textStyle': 'style-plan',
    'text/textStyle': 'style-plan',
    ...corners('box', '{size.corners.small}'),
  });
  b.default('table', {
    'head/textStyle': 'style-table',
    'figureHead/textStyle': 'style-table',
    'caption/textStyle': 'style-caption',
  });
  b.default('notice', { 'word/textStyle': 'style-label', ...corners('box', '{size.corners.small}') });
  for (const status of ['success', 'warning', 'danger'] as const)
    b.variant(`notice-${status}`, 'notice', 'status', status.charAt(0).toUpperCase() + status.slice(1), {
      'box/backgroundColor': `role.${status}Ground`,
      'box/color': `role.${status}Text`,
      ...line('box', { color: `role.${status}Line` }),
    });
  b.default('field', {
    'label/textStyle': 'style-label',
    'help/textStyle': 'style-small',
    'message/textStyle': 'style-small',
    ...corners('control', '{size.corners.small}'),
  });
  b.default('siteTitle', { 'link/textStyle': 'style-title' });
  b.default('navigation', {
    'link/textStyle': 'style-nav',
    'link:selected/textDecorationLine': 'underline',
    'list/columnGap': '{size.space.three}',
  });
  b.default('heading', { 'text/color': 'role.text' }, { type: 'area', area: 'footer' });
  b.variant('arrangement-three', 'group', 'arrangement', 'Three across', {
    'box/display': 'grid',
    'box/gridColumns': 3,
    'box/columnGap': '{size.space.three}',
    'box/rowGap': '{size.space.four}',
    'box/alignItems': 'stretch',
    'box@medium/gridColumns': 2,
    'box@narrow/gridColumns': 1,
  });
  b.variant('arrangement-two', 'group', 'arrangement', 'Two across', {
    'box/display': 'grid',
    'box/gridColumns': 2,
    'box/columnGap': '{size.space.four}',
    'box/rowGap': '{size.space.four}',
    'box/alignItems': 'center',
    'box@narrow/gridColumns': 1,
  });
  b.variant('arrangement-ends', 'group', 'arrangement', 'To both ends', {
    'box/justifyContent': 'space-between',
    'box/alignItems': 'center',
    'box/width': '100%',
  });
  b.variant('arrangement-centred', 'group', 'arrangement', 'Centred', {
    'box/justifyContent': 'center',
    'box/alignItems': 'center',
  });
}
