import { type Edit, targetOf } from './change.ts';
import { isObject } from './fields.ts';
import { type Kind, kindNamed, type RecordMap } from './kinds/index.ts';
import type { Id, RecordOf, SiteRecord } from './records.ts';
import { RIGHTS, type Right } from './right.ts';
import { type Lookup, subtree } from './site.ts';

export { RIGHTS, type Right } from './right.ts';

export const ROLE_NAMES = ['designer', 'keeper', 'reviewer'] as const;
export type RoleName = (typeof ROLE_NAMES)[number];

/** The most a keeper may do, as the designer chose. */
export const KEEPER_MAY = ['content', 'choice', 'style'] as const satisfies readonly Right[];
export type KeeperMay = (typeof KEEPER_MAY)[number];

type Get = (id: Id) => SiteRecord | undefined;
const putting = <K extends Kind>(kind: K, record: RecordMap[K], get: Get): Right =>
  kindNamed(kind).rightToPut(record, get);
const rightToPut = (record: SiteRecord, get: Get): Right => putting(record.kind, record, get);

const moving = <K extends Kind>(kind: K, record: RecordMap[K], parent: Id, get: Get): Right | undefined =>
  kindNamed(kind).rightToMove?.(record, parent, get);
/** Undefined where moving it is as setting any field. */
const rightToMove = (record: SiteRecord, to: unknown, get: Get): Right | undefined =>
  isObject(to) && typeof to.parent === 'string' ? moving(record.kind, record, to.parent, get) : undefined;

/** Fields of a kind of record; its id and kind stay as they are. */
export type FieldOf<K extends Kind> = Exclude<keyof RecordOf<K>, 'id' | 'kind'>;
/** What is no field needs the most. */
function rightToSet(kind: Kind, field: string): Right {
  const rights: Readonly<Record<string, Right>> = kindNamed(kind).rights;
  return (Object.hasOwn(rights, field) ? rights[field] : undefined) ?? 'guide';
}

const more = (a: Right, b: Right): Right => (RIGHTS.indexOf(a) >= RIGHTS.indexOf(b) ? a : b);

/**
 * The right that each edit of a change needs. What has no row needs the most. Taking something away needs the right to
 * put it back, with all that stands in it, so that whoever did it can undo it.
 */
export function rightsFor(edits: readonly Edit[], lookup: Pick<Lookup, 'get' | 'childrenOf'>): Right[] {
  const fresh = new Map<Id, SiteRecord>();
  /** The most that putting any of what was moved so far needs: it may have been moved into what goes. */
  let moved: Right = 'content';
  const get: Get = id => fresh.get(id) ?? lookup.get(id);
  return edits.map(edit => {
    const id = targetOf(edit);
    if (edit.op === 'put') {
      fresh.set(id, edit.record);
      return rightToPut(edit.record, get);
    }
    const record = get(id);
    // Such an edit is dropped where it is worked out.
    if (!record) return 'content';
    if (edit.op === 'remove')
      return subtree(lookup, id)
        .map(get)
        .reduce<Right>((most, it) => (it ? more(most, rightToPut(it, get)) : most), moved);
    if (edit.path[0] === 'at') moved = more(moved, rightToPut(record, get));
    const isWholePlace = edit.op === 'set' && edit.path[0] === 'at' && edit.path.length === 1;
    return (
      (isWholePlace ? rightToMove(record, edit.value, get) : undefined) ??
      rightToSet(record.kind, edit.path[0])
    );
  });
}

export function mayEdit(role: RoleName, keeperMay: KeeperMay, right: Right): boolean {
  if (role === 'designer') return true;
  return role === 'keeper' && RIGHTS.indexOf(right) <= RIGHTS.indexOf(keeperMay);
}
