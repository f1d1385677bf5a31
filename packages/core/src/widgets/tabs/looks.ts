import type { Looks } from '../kit/looks.ts';

export const tabsLooks: Looks = {
  look: {
    Beside: {
      'tabs/flexDirection': 'row',
      'tabs/columnGap': '2rem',
      'row/flexDirection': 'column',
      'row/borderBottomStyle': 'none',
      'tab/paddingLeft': '0rem',
      'tab/marginBottom': '0rem',
      'panel/paddingTop': '0rem',
      'tabs@narrow/flexDirection': 'column',
      'panel@narrow/paddingTop': '1rem',
    },
    Raised: {
      'row/borderBottomStyle': 'none',
      'row/columnGap': '0.25rem',
      'tab/marginBottom': '0rem',
      'tab/borderBottomStyle': 'none',
      'tab:selected/backgroundColor': 'role.raised',
      'panels/backgroundColor': 'role.raised',
      'panel/paddingTop': '1.25rem',
      'panel/paddingRight': '1.25rem',
      'panel/paddingBottom': '1.25rem',
      'panel/paddingLeft': '1.25rem',
    },
    'In the middle': { 'row/justifyContent': 'center' },
    'Side by side to the edges': { 'tab/flexGrow': 1, 'tab/justifyContent': 'center' },
  },
};
