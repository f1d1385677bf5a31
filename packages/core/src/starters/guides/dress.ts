import { corners, line } from '../../widgets/kit/baseline.ts';
import type { SiteBuilder } from '../build.ts';
import { layout } from './layout.ts';
import type { GuideSpec } from './readyGuide.ts';

/**
 * Text styles, defaults and variants of a ready-made guide. They bear the same names in every guide, so that a page
 * dressed in one is dressed when another is taken.
 */
export function dress(b: SiteBuilder, spec: GuideSpec): void {
  const id = (name: string) => `${spec.id}-${name}`;
  const { heading, button } = spec;
  const display = { '/fontFamily': '{voice.voices.heading}' };
  const body = { '/fontFamily': '{voice.voices.text}' };
  const title = (size: string, line = heading.line) => ({
    ...display,
    '/fontSize': `{size.text.${size}}`,
    '/fontWeight': heading.weight,
    '/lineHeight': line,
    '/letterSpacing': heading.tracking,
    ...(heading.capitals && { '/textTransform': 'uppercase' }),
  });
  const label = {
    '/fontWeight': button.weight,
    '/lineHeight': 1.25,
    ...(button.tracking && { '/letterSpacing': button.tracking }),
    ...(button.capitals && { '/textTransform': 'uppercase' }),
  };
  b.textStyle(id('h1'), 'Heading 1', { ...title('step-5'), '@narrow/fontSize': '{size.text.step-4}' });
  b.textStyle(id('h2'), 'Heading 2', title('step-3', heading.line + 0.05));
  b.textStyle(id('h3'), 'Heading 3', title('large', heading.line + 0.12));
  b.textStyle(id('h4'), 'Heading 4', title('base', 1.3));
  b.textStyle(id('h5'), 'Heading 5', title('base', 1.3));
  b.textStyle(id('h6'), 'Heading 6', title('small', 1.3));
  b.textStyle(id('text'), 'Text', { ...body, '/fontSize': '{size.text.base}', '/lineHeight': 1.6 });
  b.textStyle(id('lead'), 'Lead', { ...body, '/fontSize': '{size.text.large}', '/lineHeight': 1.5 });
  b.textStyle(id('small'), 'Small', { ...body, '/fontSize': '{size.text.small}', '/lineHeight': 1.5 });
  b.textStyle(id('caption'), 'Caption', { ...body, '/fontSize': '{size.text.small}', '/lineHeight': 1.4 });
  b.textStyle(id('label'), 'Label', { ...display, '/fontSize': '{size.text.base}', ...label });
  b.textStyle(id('quote'), 'Quote', { ...body, '/fontSize': '{size.text.large}', '/lineHeight': 1.45 });
  b.textStyle(id('pull'), 'Pull quote', { ...title('step-2', 1.2), '/textWrap': 'balance' });
  b.textStyle(id('code'), 'Code', { '/fontFamily': '{voice.voices.code}', '/fontSize': '0.92em' });
  b.textStyle(id('plan'), 'Preformatted', {
    '/fontFamily': '{voice.voices.code}',
    '/fontSize': '{size.text.small}',
    '/lineHeight': 1.5,
  });
  b.textStyle(id('link'), 'Link', { '/textDecorationLine': 'underline', '/textDecorationThickness': '1px' });
  b.textStyle(id('marked'), 'Marked words', { '/fontWeight': 600 });
  b.textStyle(id('drop'), 'Drop cap', { ...display, '/fontWeight': heading.weight, '/initialLetter': 3 });
  b.textStyle(id('title'), 'Site title', title('large', 1.2));
  b.textStyle(id('tagline'), 'Tagline', { ...body, '/fontSize': '{size.text.small}', '/lineHeight': 1.4 });
  b.textStyle(id('nav'), 'Navigation', { ...display, '/fontSize': '{size.text.base}', ...label });
  b.textStyle(id('article'), 'Article title', {
    ...title('step-4'),
    '@narrow/fontSize': '{size.text.step-3}',
  });
  b.textStyle(id('byline'), 'Byline', { ...body, '/fontSize': '{size.text.small}', '/lineHeight': 1.5 });
  b.textStyle(id('table'), 'Table heading', { ...display, '/fontSize': '{size.text.small}', ...label });

  const around = (part: string, one: string, two = one) => ({
    [`${part}/paddingTop`]: `{size.space.${one}}`,
    [`${part}/paddingBottom`]: `{size.space.${one}}`,
    [`${part}/paddingLeft`]: `{size.space.${two}}`,
    [`${part}/paddingRight`]: `{size.space.${two}}`,
  });

  b.default('page', { 'box/textStyle': id('text') });
  layout(b, id);
  b.default('heading', { 'text/textStyle': id('h2') });
  for (const level of [1, 2, 3, 4] as const)
    b.variant(id(`look-h${level}`), 'heading', 'look', `Heading ${level}`, {
      'text/textStyle': id(`h${level}`),
    });
  b.default('text', {
    'paragraph/maxWidth': '{size.page.text-measure}',
    'box/rowGap': '{size.space.two}',
    'code/textStyle': id('code'),
    'link/textStyle': id('link'),
    'marked/textStyle': id('marked'),
  });
  b.variant(id('look-lead'), 'text', 'look', 'Lead', { 'paragraph/textStyle': id('lead') });
  b.variant(id('look-small'), 'text', 'look', 'Small', {
    'paragraph/textStyle': id('small'),
    'paragraph/color': 'role.muted',
  });
  b.variant(id('look-opening'), 'text', 'look', 'Opening', { 'dropCap/textStyle': id('drop') });
  b.default('list', { 'box/maxWidth': '{size.page.text-measure}' });
  b.default('quote', {
    'paragraph/textStyle': id('quote'),
    'source/textStyle': id('small'),
    'box/paddingLeft': '{size.space.three}',
    'box/borderLeftWidth': '{size.lines.rope}',
  });
  b.variant(id('quote-pull'), 'quote', 'look', 'Pull quote', {
    'paragraph/textStyle': id('pull'),
    'paragraph/color': 'role.heading',
    'box/borderLeftStyle': 'none',
    'box/paddingLeft': '0',
  });
  b.default('callout', { 'title/textStyle': id('h4'), ...corners('box', '{size.corners.card}') });
  b.default('preformatted', {
    'box/textStyle': id('plan'),
    'text/textStyle': id('plan'),
    ...corners('box', '{size.corners.small}'),
  });
  b.default('table', {
    'head/textStyle': id('table'),
    'figureHead/textStyle': id('table'),
    'caption/textStyle': id('caption'),
  });
  b.default('button', {
    'box/textStyle': id('label'),
    ...corners('box', '{size.corners.small}'),
    'box/transitionDuration': '{duration.motion.quick}',
  });
  b.variant(id('kind-outlined'), 'button', 'kind', 'Outlined', {
    'box/backgroundColor': 'role.secondFill',
    'box/color': 'role.secondLabel',
    ...line('box', { color: 'role.secondLine' }),
    'box:hover/backgroundColor': 'role.secondFillHover',
    'box:hover/color': 'role.secondLabelHover',
    'box:pressed/backgroundColor': 'role.secondFillPressed',
    'box:pressed/color': 'role.secondLabelPressed',
  });
  b.variant(id('kind-quiet'), 'button', 'kind', 'Quiet', {
    'box/backgroundColor': 'role.quietFill',
    'box/color': 'role.quietLabel',
    ...line('box', { color: 'role.quietFill' }),
    'box:hover/backgroundColor': 'role.quietFillHover',
    'box:hover/color': 'role.quietLabelHover',
    'box:pressed/backgroundColor': 'role.quietFillPressed',
    'box:pressed/color': 'role.quietLabelPressed',
  });
  for (const [name, label, size, y, x] of [
    ['small', 'Small', 'small', '0.4em', '0.8em'],
    ['large', 'Large', 'large', '0.7em', '1.4em'],
  ] as const)
    b.variant(id(`size-${name}`), 'button', 'size', label, {
      'box/fontSize': `{size.text.${size}}`,
      'box/paddingTop': y,
      'box/paddingBottom': y,
      'box/paddingLeft': x,
      'box/paddingRight': x,
    });
  b.default('notice', { 'word/textStyle': id('label'), ...corners('box', '{size.corners.small}') });
  for (const status of ['success', 'warning', 'danger'] as const)
    b.variant(id(`notice-${status}`), 'notice', 'status', status.charAt(0).toUpperCase() + status.slice(1), {
      'box/backgroundColor': `role.${status}Ground`,
      'box/color': `role.${status}Text`,
      ...line('box', { color: `role.${status}Line` }),
    });
  b.default('field', {
    'label/textStyle': id('label'),
    'help/textStyle': id('small'),
    'message/textStyle': id('small'),
    ...corners('control', '{size.corners.small}'),
  });
  b.default('picture', { ...corners('picture', '{size.corners.card}'), 'caption/textStyle': id('caption') });
  b.default('feature', {
    'title/textStyle': id('h3'),
    'box/rowGap': '{size.space.two}',
    ...corners('picture', '{size.corners.small}'),
    'link/textStyle': id('label'),
  });
  b.variant(id('feature-card'), 'feature', 'look', 'Card', {
    'box/backgroundColor': 'role.raised',
    ...corners('box', '{size.corners.card}'),
    ...around('box', 'three'),
  });
  b.default('card', {
    'title/textStyle': id('h3'),
    'box/rowGap': '{size.space.two}',
    ...corners('picture', '{size.corners.small}'),
    'link/textStyle': id('label'),
  });
  b.default('galleryPicture', {
    'caption/textStyle': id('caption'),
    ...corners('picture', '{size.corners.small}'),
  });
  b.default('slide', {
    'title/textStyle': id('h3'),
    'link/textStyle': id('label'),
    ...corners('picture', '{size.corners.card}'),
  });
  b.default('pictureText', corners('picture', '{size.corners.card}'));
  b.default('help', {
    'word/textStyle': id('label'),
    'title/textStyle': id('h4'),
    ...corners('panel', '{size.corners.card}'),
    ...corners('search', '{size.corners.small}'),
  });
  b.default('step', { 'title/textStyle': id('h4') });
  b.default('figure', { 'value/textStyle': id('h2') });
  b.default('siteTitle', { 'link/textStyle': id('title') });
  b.default('navigation', {
    'link/textStyle': id('nav'),
    'link:selected/textDecorationLine': 'underline',
    'list/columnGap': '{size.space.three}',
  });
  b.preset(id('lifted'), 'Lifted', { 'box/boxShadow': '{shadow.shadows.lift}' });
  b.preset(id('lined'), 'Lined', {
    'box/borderTopWidth': '{size.lines.rope}',
    'box/borderTopStyle': 'solid',
    'box/borderTopColor': 'role.accent',
    'box/paddingTop': '{size.space.two}',
  });
}
