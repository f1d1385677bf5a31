import {
  CHECKS,
  duplicateScheme,
  editOf,
  moveScheme,
  removeScheme,
  type SchemeRecord,
  type Site,
  schemesInOrder,
  setDefaultScheme,
  setNote,
  settingsOf,
  usersOf,
} from '@cove/core';
import { useCheck } from '../../checks/useCheck.ts';
import { useCommit } from '../../session/context.tsx';

/** What is known of a scheme, and what can be done with it; each is one step of undo. */
export function useScheme(site: Site, scheme: SchemeRecord, onOpen: (id: string | null) => void) {
  const commit = useCommit();
  const { id, name } = scheme;
  const all = schemesInOrder(site);
  const { found } = useCheck(CHECKS.contrast, site);
  return {
    others: all.filter(it => it.id !== id),
    index: all.findIndex(it => it.id === id),
    isDefault: settingsOf(site).defaultScheme === id,
    /** Roles that cannot be read well enough on something they stand on. */
    failures: new Set(found.filter(it => it.facts.scheme === id).map(it => it.facts.role)).size,
    /** Elements that look different on this scheme alone. */
    rules: usersOf(site, id).filter(user => site.kinds.default.has(user)).length,
    rename: (next: string) => commit([editOf(scheme).set('name', next)], `Rename ${name}`),
    setFace: (face: SchemeRecord['face']) => commit([editOf(scheme).set('face', face)], `Change ${name}`),
    setNote: (note: string) => commit(setNote(scheme, note), `Note on ${name}`),
    makeDefault: () => commit(setDefaultScheme(id), `Make ${name} the site’s scheme`),
    move: (to: number) => commit(moveScheme(site, id, to), 'Move a scheme'),
    duplicate() {
      const made = duplicateScheme(site, id);
      if (made.ok && commit(made.value.edits, `Duplicate ${name}`)) onOpen(made.value.id);
    },
    /** What deletes it, another taking its place; or why that cannot be. */
    removal: (by: string) => removeScheme(site, id, by),
  };
}
