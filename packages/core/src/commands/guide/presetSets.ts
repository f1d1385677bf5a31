import { namesTaken, uniqueName } from '../../lists/index.ts';
import { type PartKind, type PropertyName, propertyOf, tokenTypesOf } from '../../properties/index.ts';
import { fail, ok, type Result } from '../../result/index.ts';
import {
  type Edit,
  type Id,
  keysBetween,
  newId,
  type PresetRecord,
  putRecord,
  type Site,
} from '../../site/index.ts';
import { printSlot } from '../../slots/index.ts';
import { lastKey } from '../order/order.ts';

/** A set of presets to be: one for each token, which sets some properties of a kind of part to it. */
export interface PresetSetWish {
  /** What the set is called, and its presets before the names of their tokens. */
  name: string;
  kind: PartKind;
  properties: readonly PropertyName[];
  tokens: readonly Id[];
}

/** Presets in a set can be so many; a longer list is no choice any more. */
const MOST_IN_SET = 40;

/** Makes presets of the steps of a scale or of swatches. They exclude each other, and follow their tokens from then on. */
export function addPresetSet(
  site: Site,
  { name, kind, properties, tokens }: PresetSetWish,
): Result<{ edits: Edit[]; ids: Id[] }> {
  const called = name.trim();
  if (called === '') return fail({ code: 'no-name', message: 'Enter a name for the set.' });
  const found = tokens.flatMap(id => site.kinds.token.get(id) ?? []);
  if (found.length < 2 || properties.length === 0)
    return fail({
      code: 'too-few',
      message: 'A set needs a property and at least two tokens to choose between.',
      found: `${found.length} tokens`,
      expected: 'at least 2',
    });
  if (found.length > MOST_IN_SET)
    return fail({
      code: 'too-many',
      message: `A set holds at most ${MOST_IN_SET} presets.`,
      found: `${found.length} tokens`,
      expected: `at most ${MOST_IN_SET}`,
    });
  for (const property of properties) {
    const row = propertyOf(property);
    const other = found.find(it => !tokenTypesOf(row).includes(it.type));
    if (other || (row.kinds && !row.kinds.includes(kind)))
      return fail({
        code: 'not-accepted',
        message: other
          ? `${row.label} cannot be ${other.name}.`
          : `${row.label} is not for ${kind === 'box' ? 'boxes' : `${kind}s`}.`,
        found: other ? other.type : kind,
      });
  }
  const presets = [...site.kinds.preset.values()];
  const taken = namesTaken(presets);
  const set = uniqueName(called, new Set(presets.flatMap(it => (it.set ? [it.set.toLowerCase()] : []))));
  const orders = keysBetween(lastKey(presets), null, found.length);
  const ids: Id[] = [];
  const edits = found.map((token, i): Edit => {
    const id = newId('p');
    const label = uniqueName(`${called} ${token.name.toLowerCase()}`, taken);
    const record: PresetRecord = {
      id,
      kind: 'preset',
      name: label,
      order: orders[i] ?? 'V',
      set,
      styles: Object.fromEntries(
        properties.map(property => [
          printSlot({ part: kind, state: 'rest', width: 'wide', property }),
          { type: 'token', token: token.id },
        ]),
      ),
    };
    ids.push(id);
    return putRecord(record);
  });
  return ok({ edits, ids });
}
