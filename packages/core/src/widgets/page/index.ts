import { element, programStyles } from '../kit/element.ts';

/** The page itself: what everything on it inherits from. */
export const page = element({
  name: 'page',
  label: 'Page',
  family: 'structure',
  parts: { box: { label: 'Page', kind: 'box' } },
  axes: [],
  holds: null,
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
  }),
  content: {},
  sample: {},
});
