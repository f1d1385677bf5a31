import type { Purpose } from '../roles/index.ts';
import type { PresetRecord, TextStyleRecord } from '../site/kinds/index.ts';
import type { Id, TokenRecord } from '../site/records.ts';
import type { Noticed, SourcePlace } from './draft.ts';

/** Something of the guide that a source says. */
export interface IncomingItem {
  record: TokenRecord | TextStyleRecord | PresetRecord;
  /** As its source names it. */
  name: string;
  place: SourcePlace | null;
  /** Whether its type was worked out from its value. */
  inferred: boolean;
  /** Whether its source puts it in no group. */
  ungrouped: boolean;
  /** How often declarations have it; null for what was not found in declarations. */
  uses: { count: number; isRare: boolean } | null;
}

/** A context of a source in which some tokens have other values, or roles take what it says. */
export interface IncomingScheme {
  id: Id;
  name: string;
  /** Colours, each with the one that stands for it there. */
  colors: readonly (readonly [usual: Id, there: Id])[];
  /** Roles that the source itself binds, by their names in files. */
  roles: readonly (readonly [role: string, color: Id])[];
}

/** What a source says of a group of tokens, by its name in the guide. */
export interface IncomingGroup {
  name: string;
  note?: string;
  purpose?: Purpose;
  extends?: string;
}

/** All that could be read of some sources, and all that could not. */
export interface Incoming {
  items: readonly IncomingItem[];
  groups: readonly IncomingGroup[];
  schemes: readonly IncomingScheme[];
  findings: readonly Noticed[];
  /** How each source spells its tokens. */
  sources: readonly { file: string; dialect: string }[];
}

/** The tokens of what was read, by their ids. */
export function incomingTokens({ items }: Pick<Incoming, 'items'>): ReadonlyMap<Id, TokenRecord> {
  const tokens = new Map<Id, TokenRecord>();
  for (const { record } of items) if (record.kind === 'token') tokens.set(record.id, record);
  return tokens;
}
