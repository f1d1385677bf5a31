/**
 * Every budget of the program, in one place. A cost is bounded by counting (characters, entries, edits, steps), never by
 * a clock, and counted before the work that it bounds. docs/security.md says for each kind of input what exceeding it
 * answers. All lengths of text are UTF-16 code units; all sizes of bodies and files are bytes.
 */
export const LIMITS = {
  /** One record of a site, whatever its kind. */
  record: {
    /** Characters of all its text and keys together. */
    characters: 400_000,
    /** Entries of one map: styles, wears, roles. */
    entries: 2000,
  },
  /** A change that a member sends. */
  change: {
    edits: 20_000,
    bytes: 20_000_000,
    /** Records that it touches, with all that goes where something is removed; undoing it has to fit as well. */
    records: 20_000,
  },
  /** A change that the server works out: a restored snapshot, a new site. */
  computedChange: { edits: 200_000, bytes: 200_000_000, records: 200_000 },
  /** Records of one site. */
  siteRecords: 100_000,
  /** JSON that is sent or pasted. */
  json: {
    /** Levels of lists and objects. */
    depth: 32,
    /** Entries of all lists and objects together. */
    values: 1_000_000,
  },
  /** A whole site as JSON. */
  wholeSite: {
    characters: 40_000_000,
    json: { depth: 32, values: 4_000_000 },
    /** Bytes of its archive as it is sent, and of all that is in it once it is unpacked. */
    bytes: 128 * 1024 * 1024,
    unpackedBytes: 256 * 1024 * 1024,
    /** What lies in the archive, whether or not it is part of the site. */
    entries: 20_000,
  },
  /** Sections and widgets, one within another; pages, one below another. */
  nesting: 32,
  /** Tokens, one following another, and roles, one falling back on another. */
  following: 32,
  /** Presets, one including another. */
  including: 16,
  /** Text that a person types or pastes into the program. */
  typed: {
    /** A value, a link, an address. */
    value: 2000,
    /** A few lines of CSS for one element. */
    declarations: 20_000,
    /** A list of colours, or the custom properties of a style sheet. */
    swatches: 200_000,
    /** A token file. */
    tokens: 10_000_000,
    /** An SVG file, and the shapes in it that are looked at. */
    drawing: 500_000,
    shapes: 2000,
    /** What the clipboard holds of a site. */
    clip: 20_000_000,
    /** Cells off the clipboard, or a file of values. */
    cells: 2_000_000,
    /** Brackets, one within another. */
    brackets: 32,
  },
  /** Bytes of what a request carries, by who may send it; a route that takes more says so itself. */
  body: {
    anonymous: 4_000,
    signedIn: 64_000,
    /** Bytes of a body that was refused and is read off the line unseen, so that its sender hears the answer. */
    unread: 25_000_000,
    /** Bytes of all bodies that are held at once; whoever comes then is asked to come again. */
    held: 48_000_000,
  },
  /** Bytes of a change that is read and worked out where requests are answered; a larger one has a thread of its own. */
  inPassing: 64_000,
  /** Passwords that are hashed at once, and that wait for it: hashing one takes a processor for a while. */
  passwords: { atOnce: 1, waiting: 40 },
  /** Files that are uploaded. They are read in a process of their own, one at a time. */
  upload: {
    fontBytes: 4 * 1024 * 1024,
    pictureBytes: 11 * 1024 * 1024,
    fileBytes: 11 * 1024 * 1024,
    /** Bytes of a font once its tables are unpacked. */
    unpackedFontBytes: 32 * 1024 * 1024,
    pixels: 60_000_000,
    /** Uploads that wait for the one before them. */
    waiting: 24,
    /** Seconds for which one file may be read, and bytes of memory that reading it may take; past either it is ended. */
    seconds: 20,
    memoryBytes: 700 * 1024 * 1024,
  },
  /** Work on whole sites, in threads of its own. */
  work: {
    /** Jobs that wait for a thread. */
    waiting: 200,
    /** Seconds of one job. */
    seconds: 60,
    /** Megabytes of memory of one thread. */
    memoryMegabytes: 512,
  },
  /** An order key. Placing never makes one longer than `rekeyed`: the siblings are given new keys instead. */
  orderKey: { characters: 200, rekeyed: 100 },
} as const;

/** What a change may cost. */
export interface ChangeBudget {
  edits: number;
  bytes: number;
  records: number;
}
