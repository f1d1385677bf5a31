import { type RichText, richText } from '../site/index.ts';
import { corners, line } from '../widgets/kit/baseline.ts';
import type { SiteBuilder } from './build.ts';
import { DRAWING_HEIGHT, DRAWING_WIDTH, drawings } from './drawings.ts';
import { positionLooks } from './looks/position.ts';

const words = (...paragraphs: string[]): RichText => richText(...paragraphs);

/** Ids of the demo's pictures, in the order of the drawings. */
export const pictureId = (name: string): string => `pic-${name.toLowerCase().replace(/\s+/g, '-')}`;

function foundations(b: SiteBuilder): void {
  b.token('color', 'hull', 'Brand', 'Hull', '#2a3a5f');
  b.token('color', 'heather', 'Brand', 'Heather', '#61356c');
  b.token('color', 'lamp', 'Brand', 'Lamp', 'oklch(0.84 0.155 88)');
  b.token('color', 'rope', 'Brand', 'Rope', '#6f3b8c');
  b.token('color', 'foam', 'Neutral', 'Foam', '#f5fbff');
  b.token('color', 'fog', 'Neutral', 'Fog', '#d6e6f0');
  b.token('color', 'mist', 'Neutral', 'Mist', '#c9d5e3');
  b.token('color', 'night', 'Neutral', 'Night', '#141c30');
  b.token('color', 'slate', 'Neutral', 'Slate', 'mix({color.brand.hull}, {color.neutral.fog}, 25%)');
  b.token('color', 'hull-deep', 'Brand', 'Hull deep', 'shade({color.brand.hull}, 25%)');
  b.token('color', 'lamp-pale', 'Brand', 'Lamp pale', 'tint({color.brand.lamp}, 40%)');
  b.token('color', 'rope-deep', 'Brand', 'Rope deep', 'shade({color.brand.rope}, 25%)');
  b.token('color', 'heather-deep', 'Brand', 'Heather deep', 'shade({color.brand.heather}, 30%)');
  b.token('color', 'heather-pale', 'Brand', 'Heather pale', 'tint({color.brand.heather}, 82%)');
  b.token('color', 'calm', 'Status', 'Calm', '#2f7d46');
  b.token('color', 'squall', 'Status', 'Squall', '#946200');
  b.token('color', 'gale', 'Status', 'Gale', '#b02a37');
  b.token('color', 'tide', 'Status', 'Tide', '#2b62a8');
  for (const [id, name] of [
    ['calm', 'Calm'],
    ['squall', 'Squall'],
    ['gale', 'Gale'],
    ['tide', 'Tide'],
  ] as const) {
    b.token('color', `${id}-pale`, 'Status', `${name} pale`, `tint({color.status.${id}}, 88%)`);
    b.token('color', `${id}-deep`, 'Status', `${name} deep`, `shade({color.status.${id}}, 22%)`);
    b.token('color', `${id}-dark`, 'Status', `${name} dark`, `shade({color.status.${id}}, 62%)`);
    b.token('color', `${id}-light`, 'Status', `${name} light`, `tint({color.status.${id}}, 62%)`);
  }
  b.token('fontFamily', 'display', 'Voices', 'Heading', 'Bricolage Grotesque, sans-serif');
  b.token('fontFamily', 'body', 'Voices', 'Text', 'Literata, serif');
  b.token('fontFamily', 'code', 'Voices', 'Code', 'ui-monospace, monospace');
  b.token('dimension', 'base', 'Text', 'Base', '1rem .. 1.125rem');
  b.token('number', 'ratio', 'Text', 'Ratio', '1.25');
  for (const [id, name, step] of [
    ['small', 'Small', -1],
    ['large', 'Large', 1],
    ['step-2', 'Step 2', 2],
    ['step-3', 'Step 3', 3],
    ['step-4', 'Step 4', 4],
    ['step-5', 'Step 5', 5],
  ] as const)
    b.token('dimension', id, 'Text', name, `step({size.text.base}, {number.text.ratio}, ${step})`);
  b.token('dimension', 'space-1', 'Space', 'One', '0.5rem');
  for (const [id, name, factor] of [
    ['space-2', 'Two', 2],
    ['space-3', 'Three', 3],
    ['space-4', 'Four', 4],
    ['space-6', 'Six', 6],
  ] as const)
    b.token('dimension', id, 'Space', name, `times({size.space.one}, ${factor})`);
  b.token('dimension', 'pad-snug', 'Section padding', 'Snug', '1.5rem .. 2.5rem');
  b.token('dimension', 'pad-fair', 'Section padding', 'Fair', '2.5rem .. 4.5rem');
  b.token('dimension', 'pad-roomy', 'Section padding', 'Roomy', '3.5rem .. 7rem');
  b.token('dimension', 'page-width', 'Page', 'Width', '68rem');
  b.token('dimension', 'measure', 'Page', 'Text measure', '38rem');
  b.token('dimension', 'corner-small', 'Corners', 'Small', '6px');
  b.token('dimension', 'corner-card', 'Corners', 'Card', '10px');
  b.token('dimension', 'line-hair', 'Lines', 'Hair', '1px');
  b.token('dimension', 'line-rope', 'Lines', 'Rope', '2px');
  b.token('shadow', 'lift', 'Shadows', 'Lift', '0 6px 20px -6px {color.neutral.night}');
  b.token('duration', 'quick', 'Motion', 'Quick', '140ms');
  b.token('duration', 'calm-pace', 'Motion', 'Slow', '400ms');
  b.token('cubicBezier', 'ashore', 'Motion', 'Ashore', 'cubic-bezier(0.2, 0, 0, 1)');
}

const STATUS = { success: 'calm', warning: 'squall', danger: 'gale', info: 'tide' } as const;
/** Roles of the four statuses: deep signs on pale grounds, or light signs on dark ones. */
const statuses = (face: 'light' | 'dark'): Record<string, string> =>
  Object.fromEntries(
    Object.entries(STATUS).flatMap(([status, id]) =>
      face === 'light'
        ? [
            [`${status}Ground`, `${id}-pale`],
            [`${status}Text`, `${id}-deep`],
            [`${status}Line`, id],
          ]
        : [
            [`${status}Ground`, `${id}-dark`],
            [`${status}Text`, `${id}-light`],
            [`${status}Line`, `${id}-light`],
          ],
    ),
  );

function schemes(b: SiteBuilder): void {
  b.scheme('daymark', 'Daymark', 'light', {
    surface: 'foam',
    raised: 'fog',
    heading: 'hull',
    text: 'night',
    muted: 'slate',
    link: 'rope',
    linkHover: 'rope-deep',
    currentLink: 'rope',
    line: 'mist',
    accent: 'rope',
    mainFill: 'rope',
    mainLabel: 'foam',
    mainFillHover: 'rope-deep',
    mainFillPressed: 'hull-deep',
    secondLabel: 'hull',
    secondLine: 'hull',
    secondFillHover: 'fog',
    secondFillPressed: 'mist',
    quietLabel: 'rope',
    focus: 'rope',
    selection: 'fog',
    fieldLine: 'slate',
    ...statuses('light'),
  });
  b.scheme('fog-bank', 'Fog bank', 'light', {
    surface: 'fog',
    raised: 'foam',
    heading: 'night',
    text: 'night',
    muted: 'hull',
    link: 'rope-deep',
    linkHover: 'hull',
    currentLink: 'rope-deep',
    line: 'slate',
    accent: 'hull',
    mainFill: 'hull',
    mainLabel: 'foam',
    mainFillHover: 'hull-deep',
    mainFillPressed: 'night',
    secondLabel: 'hull',
    secondLine: 'hull',
    secondFillHover: 'foam',
    secondFillPressed: 'mist',
    quietLabel: 'rope-deep',
    focus: 'hull',
    selection: 'foam',
    fieldSurface: 'foam',
    fieldLine: 'slate',
    ...statuses('light'),
  });
  b.scheme('heather-moor', 'Heather', 'dark', {
    surface: 'heather',
    raised: 'heather-deep',
    heading: 'foam',
    text: 'foam',
    muted: 'heather-pale',
    link: 'lamp-pale',
    linkHover: 'foam',
    currentLink: 'lamp',
    line: 'rope',
    accent: 'lamp',
    mainFill: 'lamp',
    mainLabel: 'night',
    mainFillHover: 'lamp-pale',
    mainFillPressed: 'foam',
    secondLabel: 'foam',
    secondLine: 'foam',
    secondFillHover: 'heather-deep',
    secondFillPressed: 'night',
    quietLabel: 'lamp-pale',
    focus: 'lamp',
    selection: 'heather-deep',
    fieldLine: 'heather-pale',
    ...statuses('dark'),
  });
  b.scheme('night-run', 'Night run', 'dark', {
    surface: 'night',
    raised: 'hull-deep',
    heading: 'foam',
    text: 'mist',
    muted: 'mist',
    link: 'lamp',
    linkHover: 'lamp-pale',
    currentLink: 'lamp',
    line: 'slate',
    accent: 'lamp',
    mainFill: 'lamp',
    mainLabel: 'night',
    mainFillHover: 'lamp-pale',
    mainFillPressed: 'foam',
    secondLabel: 'foam',
    secondLine: 'mist',
    secondFillHover: 'hull',
    secondFillPressed: 'hull-deep',
    quietLabel: 'lamp',
    focus: 'lamp',
    selection: 'hull',
    fieldLine: 'mist',
    ...statuses('dark'),
  });
}

/** The line's own drawings. */
function marks(b: SiteBuilder): void {
  b.drawing('swell', 'mark', 'Swell', [48, 20], [['M0 10q12 -9 24 0t24 0', null, 'currentcolor', 1.5]]);
  b.drawing(
    'beacon',
    'mark',
    'Beacon',
    [24, 24],
    [
      ['M9 21l1.5 -12h3l1.5 12z', '{color.brand.hull}'],
      ['M10 4h4v3h-4z', '{color.brand.lamp}'],
      ['M7 5.5h-4M17 5.5h4M7.5 2.5l-2 -1.5M16.5 2.5l2 -1.5', null, '{color.brand.lamp}', 1.5],
    ],
  );
}

function styles(b: SiteBuilder): void {
  const display = { '/fontFamily': '{voice.voices.heading}' };
  b.textStyle('style-h1', 'Heading 1', {
    ...display,
    '/fontSize': '{size.text.step-5}',
    '/fontWeight': 800,
    '/lineHeight': 1.05,
    '/letterSpacing': '-0.02em',
    '@narrow/fontSize': '{size.text.step-4}',
  });
  b.textStyle('style-h2', 'Heading 2', {
    ...display,
    '/fontSize': '{size.text.step-3}',
    '/fontWeight': 700,
    '/lineHeight': 1.12,
    '/letterSpacing': '-0.01em',
  });
  b.textStyle('style-h3', 'Heading 3', {
    ...display,
    '/fontSize': '{size.text.large}',
    '/fontWeight': 700,
    '/lineHeight': 1.2,
  });
  for (const [level, size] of [
    [4, 'base'],
    [5, 'base'],
    [6, 'small'],
  ] as const)
    b.textStyle(`style-h${level}`, `Heading ${level}`, {
      ...display,
      '/fontSize': `{size.text.${size}}`,
      '/fontWeight': level === 5 ? 600 : 700,
      '/lineHeight': 1.25,
      ...(level === 6 && { '/letterSpacing': '0.04em', '/textTransform': 'uppercase' }),
    });
  b.textStyle('style-text', 'Text', {
    '/fontFamily': '{voice.voices.text}',
    '/fontSize': '{size.text.base}',
    '/lineHeight': 1.6,
  });
  b.textStyle('style-lead', 'Lead', {
    '/fontFamily': '{voice.voices.text}',
    '/fontSize': '{size.text.large}',
    '/lineHeight': 1.5,
  });
  b.textStyle('style-small', 'Small', {
    '/fontFamily': '{voice.voices.text}',
    '/fontSize': '{size.text.small}',
    '/lineHeight': 1.5,
  });
  b.textStyle('style-label', 'Label', {
    ...display,
    '/fontSize': '{size.text.base}',
    '/fontWeight': 600,
    '/lineHeight': 1.25,
  });

  const body = { '/fontFamily': '{voice.voices.text}' };
  b.textStyle('style-caption', 'Caption', {
    ...body,
    '/fontSize': '{size.text.small}',
    '/fontStyle': 'italic',
    '/lineHeight': 1.4,
  });
  b.textStyle('style-quote', 'Quote', {
    ...body,
    '/fontSize': '{size.text.large}',
    '/fontStyle': 'italic',
    '/lineHeight': 1.45,
  });
  b.textStyle('style-pull', 'Pull quote', {
    ...display,
    '/fontSize': '{size.text.step-2}',
    '/fontWeight': 600,
    '/lineHeight': 1.2,
    '/textWrap': 'balance',
  });
  b.textStyle('style-code', 'Code', { '/fontFamily': '{voice.voices.code}', '/fontSize': '0.92em' });
  b.textStyle('style-plan', 'Preformatted', {
    '/fontFamily': '{voice.voices.code}',
    '/fontSize': '{size.text.small}',
    '/lineHeight': 1.5,
  });
  b.textStyle('style-link', 'Link', {
    '/textDecorationLine': 'underline',
    '/textDecorationThickness': '1px',
  });
  b.textStyle('style-marked', 'Marked words', { '/fontWeight': 600 });
  b.textStyle('style-drop', 'Drop cap', { ...display, '/fontWeight': 700, '/initialLetter': 3 });
  b.textStyle('style-title', 'Site title', {
    ...display,
    '/fontSize': '{size.text.large}',
    '/fontWeight': 700,
    '/lineHeight': 1.2,
  });
  b.textStyle('style-tagline', 'Tagline', { ...body, '/fontSize': '{size.text.small}', '/lineHeight': 1.4 });
  b.textStyle('style-nav', 'Navigation', {
    ...display,
    '/fontSize': '{size.text.base}',
    '/fontWeight': 600,
    '/lineHeight': 1.25,
  });
  b.textStyle('style-article', 'Article title', {
    ...display,
    '/fontSize': '{size.text.step-4}',
    '/fontWeight': 700,
    '/lineHeight': 1.08,
    '@narrow/fontSize': '{size.text.step-3}',
  });
  b.textStyle('style-byline', 'Byline', { ...body, '/fontSize': '{size.text.small}', '/lineHeight': 1.5 });
  b.textStyle('style-table', 'Table heading', {
    ...display,
    '/fontSize': '{size.text.small}',
    '/fontWeight': 700,
    '/lineHeight': 1.3,
  });

  marks(b);
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

  b.preset('ticket', 'Ticket', {
    'box/borderTopWidth': '2px',
    'box/borderTopStyle': 'dashed',
    'box/borderTopColor': 'role.accent',
    'box/paddingTop': '{size.space.two}',
  });
  b.preset('low-tide', 'Low tide', {
    'box/opacity': 0.92,
    'heading/fontWeight': 500,
    'label:hover/letterSpacing': '0.01em',
  });
}

function furniture(b: SiteBuilder): void {
  b.section('head', 'settings', 'Header', { area: 'header' });
  b.widget('head-row', 'head', 'group', {}, { variants: { arrangement: 'arrangement-ends' } });
  b.widget('head-title', 'head-row', 'siteTitle', {});
  b.widget('head-nav', 'head-row', 'navigation', { label: 'Main' });
  b.section('foot', 'settings', 'Footer', { area: 'footer', scheme: 'night-run' });
  b.widget('foot-row', 'foot', 'group', {}, { variants: { arrangement: 'arrangement-two' } });
  b.widget('foot-words', 'foot-row', 'text', {
    text: words(
      'Tolvane Ferries sail between Hesk, Little Hesk, Carrow and Sant Bree, every day the sea allows.',
    ),
  });
  b.widget('foot-nav', 'foot-row', 'navigation', { label: 'Footer' });
}

/** The guide of the invented ferry line, its pictures, header and footer; its pages are not in it. */
export function tolvaneGuide(b: SiteBuilder, name: string, file: (name: string) => string): void {
  foundations(b);
  schemes(b);
  styles(b);
  b.settings({
    name,
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
  for (const drawing of drawings())
    b.asset({
      id: pictureId(drawing.name),
      name: drawing.name,
      alt: drawing.alt,
      file: file(drawing.name),
      mime: 'image/webp',
      width: DRAWING_WIDTH,
      height: DRAWING_HEIGHT,
    });
  furniture(b);
}
