/** What is measured, in this order. */
export const BENCHES = [
  'guide',
  'picker',
  'brand',
  'foreign',
  'guard',
  'canvas',
  'render',
  'records',
  'accept',
  'publish',
  'pages',
  'items',
  'opening',
  'visit',
  'crowd',
  'attack',
];
