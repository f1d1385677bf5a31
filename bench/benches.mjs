/** What is measured, in this order. */
export const BENCHES = [
  'guide',
  'picker',
  'canvas',
  'render',
  'records',
  'accept',
  'publish',
  'pages',
  'items',
  'opening',
  'crowd',
  'attack',
];
