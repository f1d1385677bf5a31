import { LIMITS } from '../limits/index.ts';
import { fail, ok, type Result } from '../result/index.ts';
import { isId } from '../values/index.ts';
import type { Edit, Path } from './change.ts';
import { isObject, shortened } from './fields.ts';
import { readRecord } from './readRecord.ts';

const bad = (i: number, path: string, found: unknown, expected: string) =>
  fail({
    code: 'bad-edit',
    message: `Edit ${i + 1}: ${path} is not ${expected}.`,
    path: `edits.${i}.${path}`,
    found: shortened(found),
    expected,
  });

/** What no object of ours calls its own. */
const isOwnName = (step: string): boolean => !(step in Object.prototype);

function readPath(it: unknown): Path | null {
  if (
    !Array.isArray(it) ||
    it.length > 2 ||
    !it.every((step): step is string => typeof step === 'string' && step.length <= 200 && isOwnName(step))
  )
    return null;
  const [field, key] = it;
  if (field === undefined) return null;
  return key === undefined ? [field] : [field, key];
}

/**
 * Reads the edits of a change out of JSON, no more of them than its budget has. What is inside records is read again where
 * it is worked out.
 */
export function readEdits(it: unknown, most: number = LIMITS.change.edits): Result<Edit[]> {
  if (!Array.isArray(it))
    return fail({
      code: 'bad-edit',
      message: 'A change is a list of edits.',
      path: 'edits',
      found: typeof it,
      expected: 'a list',
    });
  if (it.length > most)
    return fail({
      code: 'too-much',
      message: `A change has at most ${most.toLocaleString('en')} edits.`,
      path: 'edits',
      found: `${it.length} edits`,
      expected: `at most ${most} edits`,
    });
  const edits: Edit[] = [];
  for (const [i, edit] of it.entries()) {
    if (!isObject(edit)) return bad(i, '', edit, 'an edit');
    const { op, id } = edit;
    if (op === 'put') {
      const record = readRecord(edit.record);
      if (!record.ok) return record;
      edits.push({ op, record: record.value });
      continue;
    }
    if (op !== 'set' && op !== 'unset' && op !== 'remove')
      return bad(i, 'op', op, 'one of put, set, unset, remove');
    if (!isId(id)) return bad(i, 'id', id, 'the id of a record');
    if (op === 'remove') {
      edits.push({ op, id });
      continue;
    }
    const path = readPath(edit.path);
    if (!path) return bad(i, 'path', edit.path, 'a path of one or two steps');
    if (op === 'set' && edit.value === undefined) return bad(i, 'value', edit.value, 'a value');
    edits.push(op === 'set' ? { op, id, path, value: edit.value } : { op, id, path });
  }
  return ok(edits);
}
