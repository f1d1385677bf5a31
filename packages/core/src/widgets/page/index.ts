import { element, programStyles } from '../kit/element.ts';

/** The page itself: what everything on it inherits from. */
export const page = element({
  name: 'page',
  label: 'Page',
  family: 'structure',
  parts: {
    box: { label: 'Ground', kind: 'box' },
    sheet: { label: 'Sheet on the ground', kind: 'box', inside: 'box' },
  },
  axes: [],
  holds: 'sheet',
  program: programStyles({
    'box/color': 'role.text',
    'box/backgroundColor': 'role.surface',
    'box/fontFamily': 'system-ui',
    'box/fontSize': '1rem',
    'box/lineHeight': 1.5,
    'box/marginTop': 0,
    'box/marginRight': 0,
    'box/marginBottom': 0,
    'box/marginLeft': 0,
    'box/display': 'block',
    'sheet/display': 'block',
    'sheet/marginLeft': 'auto',
    'sheet/marginRight': 'auto',
  }),
  content: {},
  sample: {},
});
