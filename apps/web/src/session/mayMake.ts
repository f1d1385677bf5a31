import {
  type Edit,
  type KeeperMay,
  lookupOf,
  mayEdit,
  type Problem,
  type Right,
  type RoleName,
  rightsFor,
  type Site,
} from '@cove/core';

/** What somebody is at a site, and how much its keepers may change. */
export interface Rights {
  role: RoleName;
  keeperMay: KeeperMay;
}

export const has = ({ role, keeperMay }: Rights, right: Right): boolean => mayEdit(role, keeperMay, right);

/** The first right that edits need and somebody has not. */
export function lacking(rights: Rights, edits: readonly Edit[], site: Site): Right | undefined {
  if (rights.role === 'designer') return undefined;
  return rightsFor(edits, lookupOf(site)).find(right => !has(rights, right));
}

const NEEDED: Record<Right, string> = {
  content: 'change text and pictures',
  choice: 'choose from the guide',
  style: 'set styles of single items',
  guide: 'change the guide',
};
export const forbidden = (right: Right): { ok: false; problem: Problem } => ({
  ok: false,
  problem: { code: 'forbidden', message: `Your role on this site cannot ${NEEDED[right]}.`, found: right },
});
