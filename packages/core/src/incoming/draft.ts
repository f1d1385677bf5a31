import type { LineColumn } from './locatedJson.ts';
import type { Node } from './tree.ts';

/** A file as it was opened or pasted. */
export interface SourceFile {
  /** With the folders above it, where there are any: `tokens/color.json`. Empty for what was pasted. */
  name: string;
  text: string;
}

/** Where something stands, for people. */
export interface SourcePlace extends LineColumn {
  file: string;
}

/** Something that was noticed while reading. */
export interface Noticed {
  /** Whether what it is about was read all the same. */
  kind: 'unread' | 'read';
  /** The token it is about, as its file names it; empty for a whole file. */
  name: string;
  message: string;
  /** What would do in its place. */
  fix?: string;
  place: SourcePlace | null;
}

/** A token as a dialect found it: nothing of its value is read yet. */
export interface Draft {
  group: readonly string[];
  key: string;
  /** Path as aliases write it. */
  name: string;
  /** In the words of the format: its own; null where it says none. */
  type: string | null;
  /** The type that its groups say. */
  inherited: string | null;
  /** In the shapes of the format. */
  value: unknown;
  /** Names that stand for others in its context: a dark block refers to its own properties. Null outside of one. */
  within: ReadonlyMap<string, string> | null;
  description: string;
  deprecated: string | true | null;
  extensions: Node;
  /** How often declarations have it, where it was found in those; whether that is too rare to be proposed. */
  uses?: { count: number; isRare: boolean };
  place(): SourcePlace | null;
}

/** What a source says of a group. */
export interface DraftGroup {
  path: readonly string[];
  description: string;
  /** Path of the group that it takes over, as aliases write it. */
  extends: string | null;
  extensions: Node;
}

/** A context in which some tokens have other values. */
export interface DraftScheme {
  name: string;
  /** By the name of each of these tokens, that of the one which holds there. */
  tokens: ReadonlyMap<string, string>;
  /** Roles that the source itself binds, by their names, to the names of tokens. */
  roles: ReadonlyMap<string, string>;
}

/** What a dialect makes of one source: the located tree, flat, in the order of the source. */
export interface Drafts {
  /** How its spelling is called, for people. */
  dialect: string;
  drafts: readonly Draft[];
  groups?: readonly DraftGroup[];
  schemes: readonly DraftScheme[];
  findings: readonly Noticed[];
  /** Whether it means to be in the format, so that what is written otherwise is told. */
  isFormat: boolean;
  /** What a JSON Pointer reaches; null where there are none. */
  root: Node | null;
  /** Whether values refer to parts of others by JSON Pointer at all. */
  hasPointers: boolean;
}
