import { isObject } from '../site/fields.ts';
import type { Raw, RawFieldEdit, Upgrade } from './upgrade.ts';

/** Finds a record as it is now, of the latest schema. */
export type FindRecord = (id: string) => object | undefined;

const isFieldEdit = (it: unknown): it is RawFieldEdit =>
  isObject(it) &&
  (it.op === 'set' || it.op === 'unset') &&
  typeof it.id === 'string' &&
  Array.isArray(it.path) &&
  it.path.every(step => typeof step === 'string');

/** A map of styles under the names its slots have since; the very same where they are what they were. */
function renamed(styles: Raw, rename: (slot: string) => string | null): Raw {
  const entries = Object.entries(styles);
  const after = entries.flatMap(([slot, value]): [string, unknown][] => {
    const name = rename(slot);
    return name === null ? [] : [[name, value]];
  });
  const isSame = after.length === entries.length && after.every(([slot], i) => slot === entries[i]?.[0]);
  return isSame ? styles : Object.fromEntries(after);
}

function recordThrough(upgrade: Upgrade, record: Raw): Raw {
  const { slot, record: alter } = upgrade;
  let after = record;
  if (slot && isObject(record.styles)) {
    const styles = renamed(record.styles, it => slot(it, record));
    if (styles !== record.styles) after = { ...record, styles };
  }
  return alter ? alter(after) : after;
}

function slotsThrough({ slot }: Upgrade, edit: RawFieldEdit, record: Raw | undefined): RawFieldEdit | null {
  const [field, key] = edit.path;
  if (!slot || !record || field !== 'styles') return edit;
  if (key === undefined) {
    if (!isObject(edit.value)) return edit;
    const value = renamed(edit.value, it => slot(it, record));
    return value === edit.value ? edit : { ...edit, value };
  }
  const name = slot(key, record);
  if (name === null) return null;
  return name === key ? edit : { ...edit, path: [field, name] };
}

/**
 * Brings what was stored or sent under an earlier schema to the one after the last of the given upgrades. What is no record
 * or edit at all is answered as it is, for its reader to refuse.
 */
export const upgradeWith = (upgrades: readonly Upgrade[]) => {
  const since = (from: number) => upgrades.filter(it => it.to > from);

  const upgradeRecord = (record: unknown, from: number): unknown =>
    isObject(record) ? since(from).reduce<Raw>((it, upgrade) => recordThrough(upgrade, it), record) : record;

  /** `find` answers records as they are now; those that the edits themselves put are known from these. */
  const upgradeEdits = (edits: readonly unknown[], from: number, find: FindRecord): readonly unknown[] => {
    const path = since(from);
    if (path.length === 0) return edits;
    const put = new Map<string, Raw>();
    return edits.flatMap((edit): unknown[] => {
      if (!isFieldEdit(edit)) {
        if (!isObject(edit) || edit.op !== 'put') return [edit];
        const record = upgradeRecord(edit.record, from);
        if (isObject(record) && typeof record.id === 'string') put.set(record.id, record);
        return [record === edit.record ? edit : { ...edit, record }];
      }
      const found = put.get(edit.id) ?? find(edit.id);
      const record = isObject(found) ? found : undefined;
      return path.reduce<RawFieldEdit[]>(
        (all, upgrade) =>
          all.flatMap((it): readonly RawFieldEdit[] => {
            const inSlot = slotsThrough(upgrade, it, record);
            return inSlot === null ? [] : (upgrade.edit?.(inSlot, record) ?? [inSlot]);
          }),
        [edit],
      );
    });
  };

  /** What a slot of a record’s styles is called now; null where there is none any more. */
  const upgradeSlot = (slot: string, from: number, record: Raw): string | null =>
    since(from).reduce<string | null>(
      (it, upgrade) => (it === null || !upgrade.slot ? it : upgrade.slot(it, record)),
      slot,
    );

  return { schema: upgrades.at(-1)?.to ?? 1, upgradeRecord, upgradeEdits, upgradeSlot };
};
