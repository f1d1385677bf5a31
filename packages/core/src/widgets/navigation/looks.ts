import { sides } from '../kit/baseline.ts';
import { above, around, bare, below, type Looks, padded } from '../kit/looks.ts';

type Slots = Readonly<Record<string, string | number>>;

/** The same slots at one width, whatever their states. */
const at = (width: 'narrow', slots: Slots): Slots =>
  Object.fromEntries(Object.entries(slots).map(([slot, value]) => [slot.replace('/', `@${width}/`), value]));

/** What opens in front of the page has a ground and a line of its own, whatever lies behind it. */
const inFront = (part: string, [vertical, horizontal]: readonly [string, string]): Slots => ({
  [`${part}:selected/color`]: 'role.text',
  [`${part}:selected/backgroundColor`]: 'role.surface',
  ...around(`${part}:selected`, 'role.line'),
  ...sides(`${part}:selected`, 'padding', [vertical, horizontal, vertical, horizontal]),
});

/** Lists of pages below others open in front of the page, next to what opened them. */
const MENUS: Slots = {
  'item/display': 'flex',
  'item/alignItems': 'center',
  'more/display': 'inline-flex',
  'below/display': 'none',
  'below/opens': 'beneath',
  'below/marginTop': '0rem',
  'below:selected/display': 'flex',
  ...inFront('below', ['0.75rem', '1rem']),
  'below:selected/rowGap': '0.75rem',
};

/** All the pages stand below each other, each with those that are below it. */
const UPRIGHT: Slots = {
  'item/display': 'block',
  'more/display': 'none',
  'below/display': 'flex',
  'below/opens': 'none',
  'below/marginTop': '0.25rem',
  'list/flexDirection': 'column',
  'list/alignItems': 'start',
  'list/rowGap': '0.5rem',
};

/** The whole waits behind a button. */
const BEHIND_A_BUTTON: Slots = {
  ...UPRIGHT,
  'opener/display': 'inline-flex',
  'panel/display': 'none',
  'panel:selected/display': 'block',
  ...inFront('panel', ['1rem', '1.5rem']),
  'panel/overflowX': 'auto',
};

/** From one edge of the window to the others, with a way back. */
const WHOLE_WINDOW: Slots = {
  ...BEHIND_A_BUTTON,
  'panel/opens': 'none',
  'panel/top': '0px',
  'panel/right': '0px',
  'panel/bottom': '0px',
  'panel/left': '0px',
  'close/display': 'flex',
  'list/alignItems': 'stretch',
  'list/rowGap': '1rem',
};

/** The one markup arranged for wide windows, and another way for narrow ones. */
export const navigationLooks: Looks = {
  arrangement: {
    Menus: MENUS,
    'Wide menus': {
      ...MENUS,
      'below:selected/width': '100%',
      'below:selected/flexDirection': 'row',
      'below:selected/flexWrap': 'wrap',
      'below:selected/justifyContent': 'center',
      'below:selected/columnGap': '2.5rem',
      ...padded('below:selected', '1.5rem'),
    },
    Upright: UPRIGHT,
    'Behind a button': {
      ...BEHIND_A_BUTTON,
      'panel/opens': 'beneath',
      'panel:selected/paddingRight': '3rem',
    },
  },
  'narrow arrangement': {
    'Full screen': at('narrow', {
      ...WHOLE_WINDOW,
      'link/fontSize': '1.5em',
      ...padded('panel:selected', '1.5rem'),
    }),
    'From the side': at('narrow', {
      ...WHOLE_WINDOW,
      'panel/left': 'auto',
      'panel/width': '85%',
    }),
    'Drops down': at('narrow', {
      ...BEHIND_A_BUTTON,
      'panel/opens': 'beneath',
      'panel/width': '100%',
      'list/alignItems': 'stretch',
    }),
    Tiles: at('narrow', {
      ...WHOLE_WINDOW,
      // Whatever stands below a page is a tile like any other.
      'item/display': 'contents',
      'below/display': 'contents',
      'list/display': 'grid',
      'list/gridColumns': '2',
      'list/columnGap': '1rem',
      'link/display': 'flex',
      'link/flexDirection': 'column',
      'link/justifyContent': 'center',
      'link/rowGap': '0.5rem',
      'link/minHeight': '6rem',
      'link/backgroundColor': 'role.raised',
      'sign/display': 'block',
      'sign/width': '2em',
      'sign/height': '2em',
    }),
    'Bottom bar': at('narrow', {
      ...BEHIND_A_BUTTON,
      ...MENUS,
      'panel/opens': 'foot',
      'panel/right': '0px',
      'panel/bottom': '0px',
      'panel/left': '0px',
      ...padded('panel:selected', '0rem'),
      ...bare('panel:selected'),
      ...above('panel:selected', 'role.line'),
      'list/flexDirection': 'row',
      'list/flexWrap': 'nowrap',
      'list/columnGap': '0rem',
      'list/justifyContent': 'space-between',
      'item/flexGrow': 1,
      'item/justifyContent': 'center',
      'link/flexDirection': 'column',
      'link/rowGap': '0.25rem',
      'link/fontSize': '0.8125em',
      ...padded('link', '0.5rem'),
      'sign/display': 'block',
    }),
  },
  look: {
    Stacked: { 'list/flexDirection': 'column', 'list/alignItems': 'start' },
    Spread: { 'list/justifyContent': 'space-between' },
    Underlined: { 'link/textDecorationLine': 'underline' },
    Lined: {
      ...above('box', 'role.line'),
      ...below('box', 'role.line'),
      'box/paddingTop': '0.5rem',
      'box/paddingBottom': '0.5rem',
    },
  },
};
