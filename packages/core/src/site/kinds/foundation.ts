/** What a guide is made of, in the order in which it is set up; each can be taken over alone. */
export const FOUNDATIONS = [
  'Colours',
  'Text',
  'Space and shape',
  'Motion',
  'Icons, marks and notes',
  'Schemes',
  'Elements',
  'Presets',
] as const;
export type Foundation = (typeof FOUNDATIONS)[number];
