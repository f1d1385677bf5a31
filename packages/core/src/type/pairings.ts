/** Families that go well together: for headings, for running text, and for what is counted or said aside. */
export interface Pairing {
  name: string;
  /** What it sounds like, in a few words. */
  sound: string;
  heading: string;
  text: string;
  accent: string | null;
}

/** Of our own choosing. */
export const PAIRINGS: readonly Pairing[] = [
  {
    name: 'Slipway',
    sound: 'sturdy, a little odd',
    heading: 'Bricolage Grotesque',
    text: 'Literata',
    accent: null,
  },
  {
    name: 'Harbour wall',
    sound: 'plain and broad',
    heading: 'Work Sans',
    text: 'Source Serif 4',
    accent: null,
  },
  {
    name: 'Warp and weft',
    sound: 'even, for long reading',
    heading: 'Source Sans 3',
    text: 'Source Serif 4',
    accent: 'Fira Code',
  },
  {
    name: 'Selvedge',
    sound: 'crisp, with an edge',
    heading: 'Space Grotesk',
    text: 'Work Sans',
    accent: 'JetBrains Mono',
  },
  { name: 'Heddle', sound: 'exact, for tools', heading: 'Inter', text: 'Inter', accent: 'Geist Mono' },
  { name: 'Driftwood', sound: 'warm and worn', heading: 'Fraunces', text: 'Figtree', accent: null },
  {
    name: 'Chandlery',
    sound: 'solid, of old signs',
    heading: 'Roboto Slab',
    text: 'Source Sans 3',
    accent: null,
  },
  { name: 'Lamp room', sound: 'bookish and bright', heading: 'Playfair Display', text: 'Lora', accent: null },
  {
    name: 'Log book',
    sound: 'quiet, of the press',
    heading: 'Newsreader',
    text: 'Newsreader',
    accent: 'Sometype Mono',
  },
  { name: 'Spinnaker', sound: 'round and light', heading: 'Outfit', text: 'DM Sans', accent: null },
  { name: 'Breakwater', sound: 'tall and loud', heading: 'Oswald', text: 'Manrope', accent: null },
  { name: 'Tide line', sound: 'by hand, beside the sea', heading: 'Caveat', text: 'Bitter', accent: null },
  { name: 'Regatta', sound: 'wide and modern', heading: 'Syne', text: 'Plus Jakarta Sans', accent: null },
  { name: 'Vellum', sound: 'old and calm', heading: 'EB Garamond', text: 'EB Garamond', accent: null },
];
