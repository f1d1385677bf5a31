import { corners, line } from '../../widgets/kit/baseline.ts';
import { TABLE_CARDS } from '../../widgets/table/looks.ts';
import type { SiteBuilder } from '../build.ts';
import { layout } from '../guides/layout.ts';

/** How every kind of thing looks, and the variants it has. */
export function elements(b: SiteBuilder): void {
  b.default('page', { 'box/textStyle': 'style-text' });
  layout(b, id => id, {
    'box/backgroundImage': 'pattern(swell, role.line)',
    'box/backgroundRepeat': 'repeat-x',
    'box/backgroundPositionY': 'bottom',
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
  b.variant('table-cards', 'table', 'arrangement', 'Rows as cards', TABLE_CARDS);
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
  b.default('card', {
    'title/textStyle': 'style-h3',
    'box/rowGap': '{size.space.two}',
    ...corners('picture', '{size.corners.small}'),
    'link/textStyle': 'style-label',
  });
  b.variant('cards-four', 'cards', 'look', 'Four in a line', { 'cards/gridColumns': 4 });
  b.default('galleryPicture', {
    'caption/textStyle': 'style-caption',
    ...corners('picture', '{size.corners.small}'),
  });
  b.default('slide', {
    'title/textStyle': 'style-h3',
    'link/textStyle': 'style-label',
    ...corners('picture', '{size.corners.card}'),
  });
  b.default('pictureText', corners('picture', '{size.corners.card}'));
  b.default('help', {
    'word/textStyle': 'style-label',
    'title/textStyle': 'style-h4',
    ...corners('panel', '{size.corners.card}'),
    ...corners('search', '{size.corners.small}'),
  });
  b.default('step', { 'title/textStyle': 'style-h4' });
  b.default('figure', { 'value/textStyle': 'style-h2' });
  b.default('siteTitle', { 'link/textStyle': 'style-title' });
  b.default('navigation', {
    'link/textStyle': 'style-nav',
    'link:selected/textDecorationLine': 'underline',
    'list/columnGap': '{size.space.three}',
  });
  b.default('heading', { 'text/color': 'role.text' }, { type: 'area', area: 'footer' });
  b.default('pageList', { 'title/textStyle': 'style-h3' });
  b.variant('accordion-boxed', 'accordion', 'look', 'Boxed', {
    'accordion/rowGap': '{size.space.two}',
    ...line('entry', { width: '1px', style: 'solid', color: 'role.line' }),
    ...corners('entry', '{size.corners.small}'),
    'bar/paddingLeft': '{size.space.three}',
    'bar/paddingRight': '{size.space.three}',
    'bar:selected/backgroundColor': 'role.raised',
    'panel/paddingTop': '{size.space.two}',
    'panel/paddingLeft': '{size.space.three}',
    'panel/paddingRight': '{size.space.three}',
  });
  b.variant('accordion-ruled', 'accordion', 'look', 'Ruled', {
    'entry/borderBottomColor': 'role.accent',
    'arrow/order': -1,
  });
}
