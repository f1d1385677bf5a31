/** How far the specimen is, and what it came to. */
export type FromSpecimen =
  | { type: 'progress'; done: number; of: number }
  | { type: 'done'; html: string; missing: readonly string[] }
  | { type: 'problem'; message: string };
