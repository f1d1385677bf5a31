import { type Looks, squared } from '../kit/looks.ts';

export const helpLooks: Looks = {
  look: {
    'In the other corner': {
      'opener/right': 'auto',
      'opener/left': '1em',
      'panel/right': 'auto',
      'panel/left': '1em',
      'panel@narrow/left': '0rem',
    },
    'Sign alone': {
      'word/display': 'none',
      'opener/paddingLeft': '0.75rem',
      'opener/paddingRight': '0.75rem',
    },
    'Along the side': {
      'panel/bottom': '0rem',
      'panel/right': '0rem',
      'panel/minHeight': '100%',
      ...squared('panel'),
    },
    'A bar at the foot': {
      'opener/left': '0rem',
      'opener/right': '0rem',
      'opener/bottom': '0rem',
      'opener/display': 'flex',
      'opener/justifyContent': 'center',
      ...squared('opener'),
    },
  },
};
