/** A word that is ours, or has one meaning here. */
export interface Term {
  word: string;
  meaning: string;
}

/** The program’s own words, in the order of the alphabet; terms that the whole trade uses are not explained. */
export const GLOSSARY: readonly Term[] = [
  {
    word: 'Bench',
    meaning:
      'The panel at the right, where the styles of what is selected are set: what is set here, what its presets say, what the guide says.',
  },
  {
    word: 'Carry',
    meaning:
      'Take the look of one item to another: all of it, or only its type, colour, space or another group.',
  },
  { word: 'Derived', meaning: 'Of a token: calculated from another token, which it follows.' },
  {
    word: 'Element',
    meaning: 'Anything the guide has a default for: kinds of text, widgets, sections, header and footer.',
  },
  { word: 'Ground', meaning: 'What lies behind a section or a page, in layers.' },
  { word: 'Impact', meaning: 'What a change would alter, shown before it is made.' },
  {
    word: 'Knot',
    meaning:
      'A value that was set by hand at one place and overrides the guide there. It can be reset, or promoted to a rule.',
  },
  { word: 'Let go', meaning: 'Stop following a preset, and keep its values as the item’s own.' },
  {
    word: 'Loose',
    meaning: 'Of a value: typed in place, so it follows no token. One click ties it to the nearest.',
  },
  { word: 'Mark', meaning: 'A drawing of the brand’s own, stored once and used anywhere.' },
  {
    word: 'Part',
    meaning: 'A piece of an element that takes styles by itself, such as a tab, its icon or its panel.',
  },
  {
    word: 'Place',
    meaning:
      'Where a rule holds: a page and those below it, a section, a scheme, the header, long-form text.',
  },
  {
    word: 'Promote',
    meaning: 'Turn a value set by hand into a rule: a default, a variant, a preset or a token.',
  },
  { word: 'Reach', meaning: 'Where a token, default, variant or preset is used.' },
  {
    word: 'Role',
    meaning:
      'What a colour is for in a scheme: surface, heading, text, link, line or fill. Pages name roles, schemes fill them.',
  },
  {
    word: 'Scheme',
    meaning: 'Roles with the swatches that fill them. A section, the header or the footer wears one.',
  },
  {
    word: 'Specimen',
    meaning: 'The sheet in the middle of the guide: one of every element, in every scheme, width or state.',
  },
  { word: 'Station', meaning: 'One of the workspaces in the bar on top: Guide, Pages, Release.' },
  { word: 'Swatch', meaning: 'A colour token.' },
  {
    word: 'Thread',
    meaning: 'The way of a value from where it shows back to the token it ends in, with all it overrides.',
  },
  { word: 'Tint', meaning: 'A colour laid over a picture so that text on it can be read.' },
  { word: 'Token', meaning: 'A named value of the guide. Whatever uses it follows when it changes.' },
  {
    word: 'Tray',
    meaning: 'The foundations of the guide at the left: colours, text, space, shape, motion, presets.',
  },
  { word: 'Voice', meaning: 'A font family token, such as Heading or Text.' },
];
