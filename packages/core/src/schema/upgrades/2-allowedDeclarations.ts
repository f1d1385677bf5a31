import { declarationProblem } from '../../properties/unfollowed.ts';
import { parseDeclarationKey } from '../../site/declaration.ts';
import { isObject } from '../../site/fields.ts';
import type { Raw, Upgrade } from '../upgrade.ts';

const isAccepted = (key: string, value: unknown): boolean => {
  const at = parseDeclarationKey(key);
  return at !== null && typeof value === 'string' && declarationProblem(at.css, value) === null;
};

/** The declarations that are accepted; the very same where that is all of them. */
function acceptedOf(declarations: Raw): Raw {
  const entries = Object.entries(declarations);
  const accepted = entries.filter(([key, value]) => isAccepted(key, value));
  return accepted.length === entries.length ? declarations : Object.fromEntries(accepted);
}

/**
 * Schema 1 took any declaration but a few. One that is accepted no longer had its record’s edits refused until somebody took
 * it away; since schema 2 there is none.
 */
export const allowedDeclarations: Upgrade = {
  to: 2,
  about: 'Declarations of one’s own that could paint outside their element are taken away.',
  record(record) {
    const { declarations, ...rest } = record;
    if (!isObject(declarations)) return [record];
    const accepted = acceptedOf(declarations);
    if (accepted === declarations) return [record];
    return [Object.keys(accepted).length === 0 ? rest : { ...record, declarations: accepted }];
  },
  edit(edit) {
    const [field, key] = edit.path;
    if (field !== 'declarations' || edit.op === 'unset') return [edit];
    if (key !== undefined) return isAccepted(key, edit.value) ? [edit] : [];
    if (!isObject(edit.value)) return [edit];
    const value = acceptedOf(edit.value);
    if (Object.keys(value).length === 0) return [{ op: 'unset', id: edit.id, path: edit.path }];
    return [value === edit.value ? edit : { ...edit, value }];
  },
};
