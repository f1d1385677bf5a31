import { above, around, type Looks, padded, round } from '../kit/looks.ts';

/** Words in a column of their own, which a sign or picture stands beside, behind or over. */
const ownColumn = {
  'words/display': 'flex',
  'words/flexDirection': 'column',
  'words/alignItems': 'start',
  'words/rowGap': '0.5rem',
} as const;

/** Sign and words in one cell, so that one stands over the other. */
const stacked = {
  ...ownColumn,
  'box/display': 'grid',
  ...Object.fromEntries(
    ['picture', 'icon', 'words'].flatMap(part => [
      [`${part}/columnStart`, 1],
      [`${part}/rowStart`, 1],
    ]),
  ),
};

/** How the sign or picture of what is pointed out stands to its words. */
export const SIDES = {
  'Sign beside': {
    ...ownColumn,
    'box/flexDirection': 'row',
    'box/columnGap': '1rem',
    'words/flexGrow': 1,
    'words/flexBasis': '0px',
    'picture/width': '40%',
  },
  'Sign on the other side': {
    ...ownColumn,
    'box/flexDirection': 'row-reverse',
    'box/columnGap': '1rem',
    'words/flexGrow': 1,
    'words/flexBasis': '0px',
    'picture/width': '40%',
  },
  'Sign behind': {
    ...stacked,
    'icon/justifySelf': 'end',
    'icon/width': '6em',
    'icon/height': '6em',
    'icon/opacity': 0.2,
    'words/inFront': 1,
    'words/alignSelf': 'end',
    ...padded('box', '1rem'),
  },
  'Sign over the edge': {
    ...around('box', 'role.line'),
    ...padded('box', '1.5rem'),
    'box/alignItems': 'center',
    'box/marginTop': '2em',
    'icon/width': '4em',
    'icon/height': '4em',
    'icon/marginTop': '-3.5em',
    'icon/backgroundColor': 'role.surface',
    ...padded('icon', '0.75rem'),
    ...round('icon'),
    'title/textAlign': 'center',
    'text/textAlign': 'center',
  },
} as const;

export const featureLooks: Looks = {
  look: {
    Outlined: { ...around('box', 'role.line'), ...padded('box', '1.5rem') },
    'Lined above': { ...above('box', 'role.accent', '3px'), 'box/paddingTop': '1rem' },
    Centred: { 'box/alignItems': 'center', 'title/textAlign': 'center', 'text/textAlign': 'center' },
    ...SIDES,
  },
};
