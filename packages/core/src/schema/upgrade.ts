/** A record or edit as JSON has it, of whichever schema. */
export type Raw = Readonly<Record<string, unknown>>;

/** An edit of a field of one record: `set` or `unset`, with its path. */
export interface RawFieldEdit extends Raw {
  readonly op: 'set' | 'unset';
  readonly id: string;
  readonly path: readonly string[];
}

/** Finds a record as it is now, of the latest schema. */
export type FindRecord = (id: string) => object | undefined;

/**
 * One step from a schema to the next. Its functions are pure, cost in proportion to what they are given, answer with the
 * very object where nothing is other, and never change once data has been upgraded by them.
 */
export interface Upgrade {
  readonly to: number;
  /** What is other than before, in words, for the log. */
  readonly about: string;
  /** What a slot of a record’s styles is called since; null where there is none any more. */
  readonly slot?: (slot: string, record: Raw) => string | null;
  /** What becomes of a record, once its slots are renamed: itself, and then those that are made of what it held. */
  readonly record?: (record: Raw) => readonly Raw[];
  /** What becomes of an edit of a field, given the record as it is now, if it is there. */
  readonly edit?: (edit: RawFieldEdit, record: Raw | undefined, find: FindRecord) => readonly Raw[];
}
