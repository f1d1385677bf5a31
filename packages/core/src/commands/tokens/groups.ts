import { apart } from '../../choices/index.ts';
import { groupNamed } from '../../guide/index.ts';
import { usersOf } from '../../reach/mentions.ts';
import { fail, ok, type Result } from '../../result/index.ts';
import type { Purpose } from '../../roles/index.ts';
import {
  applyChange,
  byOrder,
  type Edit,
  type Id,
  newId,
  putRecord,
  removeRecord,
  type Site,
  type TokenRecord,
} from '../../site/index.ts';
import { literalOf, NO_REBINDS } from '../../tokens/index.ts';
import type { TokenType } from '../../values/index.ts';
import { replaceTokens } from './tokens.ts';

/** Says what a group of tokens is for, or what is noted on it; null takes that away. A group of which nothing is said has no record. */
export function describeGroup(
  site: Site,
  name: string,
  said: { purpose?: Purpose | null; note?: string | null },
): Edit[] {
  const there = groupNamed(site, name);
  const purpose = said.purpose === undefined ? there?.purpose : said.purpose;
  const note = said.note === undefined ? there?.note : said.note;
  if (!purpose && !note) return there ? [removeRecord(there.id)] : [];
  return [
    putRecord({
      id: there?.id ?? newId('g'),
      kind: 'tokenGroup',
      name,
      ...(purpose && { purpose }),
      ...(note && { note }),
    }),
  ];
}

const inGroup = ({ kinds: { token } }: Site, type: TokenType, group: string): TokenRecord[] =>
  [...token.values()].filter(it => it.type === type && it.group === group).sort(byOrder);

/** Whether anything outside a group names one of its tokens. */
export function isGroupUsed(site: Site, type: TokenType, group: string): boolean {
  const own = new Set(inGroup(site, type, group).map(it => it.id));
  return [...own].some(id => usersOf(site, id).some(user => !own.has(user)));
}

/** The token outside a group that is nearest to one of it; null where there is no other of its type. */
function nearestOutside(site: Site, token: TokenRecord): Id | null {
  const { token: tokens } = site.kinds;
  const end = literalOf(tokens, NO_REBINDS, token.value);
  const others = [...tokens.values()]
    .filter(it => it.type === token.type && it.group !== token.group)
    .sort(byOrder)
    .map(it => {
      const other = literalOf(tokens, NO_REBINDS, it.value);
      const far = end && other && apart(end, other);
      return { id: it.id, far: far ? Math.abs(far.by) : Number.POSITIVE_INFINITY };
    });
  return (
    others.reduce<(typeof others)[number] | null>(
      (best, it) => (!best || it.far < best.far ? it : best),
      null,
    )?.id ?? null
  );
}

/** Takes a whole group of tokens away; one token takes the place of them all, or of each the nearest of the others. */
export function removeGroup(site: Site, type: TokenType, group: string, by: Id | 'nearest'): Result<Edit[]> {
  const edits: Edit[] = [];
  let at = site;
  const carryOut = (next: readonly Edit[]): Result<null> => {
    const applied = applyChange(at, { edits: next });
    if (!applied.ok) return applied;
    edits.push(...next);
    at = applied.value.site;
    return ok(null);
  };
  const used = isGroupUsed(site, type, group);
  for (const { id } of inGroup(site, type, group)) {
    const token = at.kinds.token.get(id);
    if (!token) continue;
    const other = by === 'nearest' ? nearestOutside(at, token) : by;
    if (other === null && used)
      return fail({
        code: 'in-use',
        message: `${group} is in use, and there is no other token of its kind to take its place.`,
        record: id,
      });
    const gone = other === null || !used ? ok([removeRecord(id)]) : replaceTokens(at, [id], other);
    if (!gone.ok) return gone;
    const done = carryOut(gone.value);
    if (!done.ok) return done;
  }
  const said = groupNamed(at, group);
  const isEmpty = [...at.kinds.token.values()].every(it => it.group !== group);
  return ok(said && isEmpty ? [...edits, removeRecord(said.id)] : edits);
}
