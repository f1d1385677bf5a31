import { bareLink, flatFigure, flatParagraph, linkStates } from '../kit/baseline.ts';
import { element, plain, programStyles } from '../kit/element.ts';
import { linkOf } from '../kit/link.ts';
import { h, linkAttrs } from '../kit/markup.ts';
import { drawMap, MAP_HEIGHT, MAP_WIDTH } from './drawMap.ts';
import { mapLooks } from './looks.ts';

/** Where a place is: a drawn map in the colours of the guide, its address and the way there. Nothing of it is loaded from others. */
export const map = element({
  name: 'map',
  label: 'Map',
  family: 'pointing',
  about: 'Where a place is',
  words: 'location address directions place route find us venue',
  parts: {
    box: { label: 'Frame', kind: 'box' },
    map: { label: 'Map', kind: 'box', inside: 'box' },
    land: { label: 'Land', kind: 'icon', inside: 'map' },
    paths: { label: 'Paths', kind: 'icon', inside: 'map' },
    roads: { label: 'Roads', kind: 'icon', inside: 'map' },
    pin: { label: 'Pin', kind: 'icon', inside: 'map' },
    words: { label: 'Words', kind: 'box', inside: 'box' },
    title: { label: 'Place', kind: 'heading', inside: 'words', shows: 'title' },
    address: { label: 'Address', kind: 'text', inside: 'words', shows: 'address' },
    link: {
      label: 'Link',
      kind: 'label',
      inside: 'words',
      shows: 'linkLabel',
      host: 'link',
      states: ['hover', 'focus', 'pressed', 'selected'],
    },
  },
  axes: ['look'],
  looks: mapLooks,
  holds: null,
  program: programStyles({
    ...flatFigure('box'),
    'map/display': 'block',
    'map/width': '100%',
    'map/height': 'auto',
    'map/aspectRatio': 1.7778,
    'map/overflowX': 'clip',
    // The sea is what lies below the land.
    'map/backgroundColor': 'role.line',
    'land/color': 'role.raised',
    'paths/color': 'role.line',
    'paths/strokeWidth': 3,
    'roads/color': 'role.muted',
    'roads/strokeWidth': 7,
    'pin/color': 'role.accent',
    'words/display': 'flex',
    'words/flexDirection': 'column',
    'words/alignItems': 'start',
    'words/rowGap': '0.25rem',
    'words/marginTop': '0.75rem',
    'title/display': 'block',
    'title/color': 'role.heading',
    'title/fontWeight': 700,
    ...flatParagraph('address'),
    ...bareLink('link'),
    ...linkStates('link'),
  }),
  content: {
    title: { type: 'plain', label: 'Place' },
    address: { type: 'plain', label: 'Address', long: true },
    link: { type: 'link', label: 'Link' },
    linkLabel: { type: 'plain', label: 'Link text' },
  },
  sample: {
    title: 'Where it is',
    address: 'The street and the town',
    link: { type: 'url', href: 'https://domain.example/' },
    linkLabel: 'The way there',
  },
  begins: { title: 'Name of the place', address: 'Street and town', linkLabel: '' },
  markup: (content, context) => {
    const title = plain(content, 'title');
    const address = plain(content, 'address');
    const link = linkOf(content, 'link');
    const attrs = link ? linkAttrs(link, context) : null;
    const leads = attrs?.href != null && plain(content, 'linkLabel') !== '';
    const drawn = drawMap(`${title} ${address}`);
    return h(
      'figure',
      { part: 'box' },
      h(
        'svg',
        {
          part: 'map',
          viewBox: `0 0 ${MAP_WIDTH} ${MAP_HEIGHT}`,
          preserveAspectRatio: 'xMidYMid slice',
          // The words below say all that it says.
          'aria-hidden': 'true',
          focusable: 'false',
        },
        h('path', { part: 'land', d: drawn.land, fill: 'currentcolor' }),
        h('path', { part: 'paths', d: drawn.paths, fill: 'none', stroke: 'currentcolor' }),
        h('path', { part: 'roads', d: drawn.roads, fill: 'none', stroke: 'currentcolor' }),
        h('path', { part: 'pin', d: drawn.pin, fill: 'currentcolor' }),
      ),
      h(
        'figcaption',
        { part: 'words' },
        title !== '' && h('strong', { part: 'title' }, title),
        address !== '' && h('p', { part: 'address' }, address),
        leads && h('a', { part: 'link', ...attrs }, plain(content, 'linkLabel')),
      ),
    );
  },
  summary: content => plain(content, 'title') || plain(content, 'address'),
});
