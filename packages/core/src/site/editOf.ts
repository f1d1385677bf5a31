import type { Styles } from '../slots/index.ts';
import type { Edit } from './change.ts';
import type { Id, Kind, NodeRecord, RecordMap } from './records.ts';

/** Fields of records of a kind that an edit can set; of several kinds, those that all have. */
type Field<R> = Exclude<keyof R, 'id' | 'kind'> & string;
/** Fields that can be left out, and so taken away. */
type OptionalField<R> = { [F in Field<R>]: undefined extends R[F] ? F : never }[Field<R>];
type Present<T> = Exclude<T, undefined>;
/** Fields that hold a map, of which one entry can be set alone. */
type MapField<R> = {
  [F in Field<R>]: Present<R[F]> extends Readonly<Record<string, unknown>> ? F : never;
}[Field<R>];
type Entry<T> = Present<T> extends Readonly<Record<string, infer V>> ? V : never;

/** Kinds of records that have a field, with what it holds. */
type KindWith<F extends string, T> = {
  [K in Kind]: RecordMap[K] extends Readonly<Record<F, T>> ? K : never;
}[Kind];
/** Kinds of records that stand in an order of their own. */
export type OrderedKind = KindWith<'order', string>;
/** Kinds of records that set values. */
export type StyledKind = KindWith<'styles', Styles>;
export type NodeKind = NodeRecord['kind'];

/**
 * Edits of the record of an id, which is of kind K: a field that its kind has not, or a value that the field does not hold, does not compile. What the
 * types cannot tell, such as the length of a text, is read where the change is worked out.
 */
export const editAt = <K extends Kind>(id: Id) => ({
  set: <F extends Field<RecordMap[K]>>(field: F, value: Present<RecordMap[K][F]>): Edit => ({
    op: 'set',
    id,
    path: [field],
    value,
  }),
  /** Takes a field away; it can be left out. */
  unset: (field: OptionalField<RecordMap[K]>): Edit => ({ op: 'unset', id, path: [field] }),
  /** Sets a field that can be left out, or takes it away for null. */
  put: <F extends OptionalField<RecordMap[K]>>(field: F, value: Present<RecordMap[K][F]> | null): Edit =>
    value === null ? { op: 'unset', id, path: [field] } : { op: 'set', id, path: [field], value },
  setIn: <F extends MapField<RecordMap[K]>>(field: F, key: string, value: Entry<RecordMap[K][F]>): Edit => ({
    op: 'set',
    id,
    path: [field, key],
    value,
  }),
  unsetIn: (field: MapField<RecordMap[K]>, key: string): Edit => ({ op: 'unset', id, path: [field, key] }),
});

/** The same for a record that is at hand. */
export const editOf = <K extends Kind>({ id }: { readonly kind: K; readonly id: Id }) => editAt<K>(id);

export const putRecord = (record: RecordMap[Kind]): Edit => ({ op: 'put', record });
/** Takes a record away with all that stands in it. */
export const removeRecord = (id: Id): Edit => ({ op: 'remove', id });
