import { LIMITS } from '../limits/index.ts';
import { fail, ok, type Result } from '../result/index.ts';
import { isId } from '../values/index.ts';
import { BadField, Fields, isObject, shortened } from './fields.ts';
import { KINDS, kindNamed, type SiteRecord } from './kinds/index.ts';

/**
 * Whether all text and keys of a value together, and each other value as one character, stay within a budget. A list that is
 * longer than what is left of it is not entered.
 */
function weigh(value: unknown, budget: number): boolean {
  let left = budget;
  const open: unknown[] = [value];
  while (open.length > 0 && left >= 0) {
    const at = open.pop();
    if (typeof at === 'string') left -= at.length;
    else if (Array.isArray(at)) {
      left -= at.length;
      if (left >= 0) for (const inner of at) open.push(inner);
    } else if (isObject(at))
      for (const key of Object.keys(at)) {
        left -= key.length + 1;
        open.push(at[key]);
      }
  }
  return left >= 0;
}

/** Reads a record out of JSON, refusing what is unknown or ill-formed, with the path, what was found and what was expected. */
export function readRecord(it: unknown): Result<SiteRecord> {
  const id = isObject(it) && isId(it.id) ? it.id : null;
  if (!isObject(it) || id === null)
    return fail({
      code: 'bad-record',
      message: 'A record needs an id of letters, digits and hyphens.',
      found: shortened(it),
      expected: 'a record with an id',
    });
  const kind = KINDS.find(known => known === it.kind);
  if (!kind)
    return fail({
      code: 'bad-record',
      message: `There is no kind of record ${shortened(it.kind)}.`,
      record: id,
      path: 'kind',
      found: shortened(it.kind),
      expected: `one of ${KINDS.join(', ')}`,
    });
  const fits = weigh(it, LIMITS.record.characters);
  if (!fits)
    return fail({
      code: 'too-large',
      message: `${kind} ${id} has more than ${LIMITS.record.characters.toLocaleString('en')} characters.`,
      record: id,
      expected: `at most ${LIMITS.record.characters} characters in all`,
    });
  try {
    const fields = new Fields(it);
    const record = kindNamed(kind).read(id, fields);
    fields.finish();
    return ok(record);
  } catch (error) {
    if (!(error instanceof BadField)) throw error;
    const { path, found, expected } = error;
    return fail({
      code: 'bad-field',
      message: `${path} of ${kind} ${id} is not ${expected}.`,
      record: id,
      path,
      found: shortened(found),
      expected,
    });
  }
}
