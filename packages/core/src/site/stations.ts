/** The stations of the program, in the order in which a site is made at them. */
export const STATIONS = ['guide', 'pages', 'release'] as const;
export type StationName = (typeof STATIONS)[number];
