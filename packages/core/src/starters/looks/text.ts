import { around, left, padded, readyLooks } from './look.ts';

export const textLooks = readyLooks('text', 'look', {
  Framed: { ...around('box', 'role.line'), ...padded('box', '1rem') },
  Barred: { ...left('box', 'role.accent', '3px'), 'box/paddingLeft': '1rem' },
  Quiet: { 'paragraph/color': 'role.muted' },
  Centred: {
    'paragraph/textAlign': 'center',
    'paragraph/marginLeft': 'auto',
    'paragraph/marginRight': 'auto',
  },
});
