import { LIMITS } from '../limits/index.ts';
import { isObject } from '../site/fields.ts';
import { RecordsSince } from './recordsSince.ts';
import type { FindRecord, Raw, RawFieldEdit, Upgrade } from './upgrade.ts';

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

function recordThrough({ slot, record: alter }: Upgrade, record: Raw): readonly Raw[] {
  let after = record;
  if (slot && isObject(record.styles)) {
    const styles = renamed(record.styles, it => slot(it, record));
    if (styles !== record.styles) after = { ...record, styles };
  }
  return alter ? alter(after) : [after];
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

/** A put of a record; what is made of it and is there already stays as it is there. */
function putThrough(upgrade: Upgrade, edit: Raw, record: Raw, find: FindRecord): readonly Raw[] {
  const [whole = record, ...made] = recordThrough(upgrade, record);
  return [
    whole === record ? edit : { ...edit, record: whole },
    ...made
      .filter(it => typeof it.id !== 'string' || find(it.id) === undefined)
      .map(it => ({ op: 'put', record: it })),
  ];
}

function editThrough(upgrade: Upgrade, edit: unknown, find: FindRecord): readonly unknown[] {
  if (!isFieldEdit(edit))
    return isObject(edit) && edit.op === 'put' && isObject(edit.record)
      ? putThrough(upgrade, edit, edit.record, find)
      : [edit];
  const found = find(edit.id);
  const record = isObject(found) ? found : undefined;
  const inSlot = slotsThrough(upgrade, edit, record);
  return inSlot === null ? [] : (upgrade.edit?.(inSlot, record, find) ?? [inSlot]);
}

/**
 * Brings what was stored or sent under an earlier schema to the one after the last of the given upgrades. What is no record
 * or edit at all is answered as it is, for its reader to refuse.
 */
export const upgradeWith = (upgrades: readonly Upgrade[]) => {
  const since = (from: number) => upgrades.filter(it => it.to > from);

  /** The record itself, and then those that are made of what it held. */
  const upgradeRecord = (record: unknown, from: number): readonly unknown[] =>
    isObject(record)
      ? since(from).reduce<readonly Raw[]>(
          (all, upgrade) => all.flatMap(it => recordThrough(upgrade, it)),
          [record],
        )
      : [record];

  /**
   * `find` answers records as they are now; what the edits themselves put or take away is known from these. Of more edits
   * than any change may have the last are left as they are.
   */
  const upgradeEdits = (edits: readonly unknown[], from: number, find: FindRecord): readonly unknown[] => {
    const path = since(from);
    if (path.length === 0) return edits;
    const records = new RecordsSince(find);
    const after: unknown[] = [];
    for (const edit of edits) {
      const some =
        after.length > LIMITS.computedChange.edits
          ? [edit]
          : path.reduce<readonly unknown[]>(
              (all, upgrade) => all.flatMap(it => editThrough(upgrade, it, records.find)),
              [edit],
            );
      records.note(some);
      after.push(...some);
    }
    return after;
  };

  /** What a slot of a record’s styles is called now; null where there is none any more. */
  const upgradeSlot = (slot: string, from: number, record: Raw): string | null =>
    since(from).reduce<string | null>(
      (it, upgrade) => (it === null || !upgrade.slot ? it : upgrade.slot(it, record)),
      slot,
    );

  return { schema: upgrades.at(-1)?.to ?? 1, upgradeRecord, upgradeEdits, upgradeSlot };
};
