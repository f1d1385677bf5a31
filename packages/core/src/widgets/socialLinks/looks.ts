import { around, type Looks, padded, round } from '../kit/looks.ts';

export const socialLinksLooks: Looks = {
  look: {
    'Signs alone': { 'name/display': 'none', ...padded('link', '0.5rem') },
    'Signs in rings': {
      'name/display': 'none',
      ...padded('link', '0.75rem'),
      ...around('link', 'role.line', '2px'),
      ...round('link'),
      'link:hover/borderTopColor': 'role.accent',
      'link:hover/borderRightColor': 'role.accent',
      'link:hover/borderBottomColor': 'role.accent',
      'link:hover/borderLeftColor': 'role.accent',
    },
    'Names alone': { 'sign/display': 'none', 'link/textDecorationLine': 'underline' },
    'Below each other': { 'links/flexDirection': 'column' },
    'Sign above the name': { 'link/flexDirection': 'column', 'link/rowGap': '0.25rem' },
  },
};
