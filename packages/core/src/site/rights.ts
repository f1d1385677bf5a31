import { type Edit, targetOf } from './change.ts';
import type { Id, Kind, SiteRecord } from './records.ts';
import { type Lookup, subtree } from './site.ts';

export const ROLE_NAMES = ['designer', 'keeper', 'reviewer'] as const;
export type RoleName = (typeof ROLE_NAMES)[number];

/** What an edit touches, from the least to the most that a keeper may be given. */
export const RIGHTS = ['content', 'choice', 'style', 'guide'] as const;
export type Right = (typeof RIGHTS)[number];
/** The most a keeper may do, as the designer chose. */
export type KeeperMay = Exclude<Right, 'guide'>;

const isEmpty = (it: object) => Object.keys(it).length === 0;

function rightToPut(record: SiteRecord): Right {
  switch (record.kind) {
    case 'asset':
      return 'content';
    case 'page':
      return isEmpty(record.rebind) ? 'choice' : 'style';
    case 'section':
      return isEmpty(record.styles) && isEmpty(record.rebind) && isEmpty(record.declarations ?? {})
        ? 'choice'
        : 'style';
    case 'widget':
      return isEmpty(record.styles) && isEmpty(record.declarations ?? {}) ? 'choice' : 'style';
    default:
      return 'guide';
  }
}

const FIELDS: Partial<Record<Kind, Readonly<Record<string, Right>>>> = {
  asset: { name: 'content', alt: 'content' },
  page: {
    title: 'content',
    path: 'content',
    description: 'content',
    at: 'choice',
    scheme: 'choice',
    pageKind: 'choice',
    off: 'choice',
    unlisted: 'choice',
    unindexed: 'choice',
    areas: 'choice',
    sharePicture: 'content',
    rebind: 'style',
  },
  section: {
    name: 'content',
    at: 'choice',
    scheme: 'choice',
    variants: 'choice',
    wears: 'choice',
    styles: 'style',
    declarations: 'style',
    rebind: 'style',
  },
  widget: {
    content: 'content',
    at: 'choice',
    variants: 'choice',
    wears: 'choice',
    styles: 'style',
    declarations: 'style',
  },
};

const more = (a: Right, b: Right): Right => (RIGHTS.indexOf(a) >= RIGHTS.indexOf(b) ? a : b);

/**
 * The right that each edit of a change needs. What has no row needs the most. Taking something away needs the right to
 * put it back, with all that stands in it, so that whoever did it can undo it.
 */
export function rightsFor(edits: readonly Edit[], lookup: Pick<Lookup, 'get' | 'childrenOf'>): Right[] {
  const fresh = new Map<Id, SiteRecord>();
  const moved: Id[] = [];
  const get = (id: Id): SiteRecord | undefined => fresh.get(id) ?? lookup.get(id);
  return edits.map(edit => {
    const id = targetOf(edit);
    if (edit.op === 'put') {
      fresh.set(id, edit.record);
      return rightToPut(edit.record);
    }
    const record = get(id);
    // Such an edit is dropped where it is worked out.
    if (!record) return 'content';
    if (edit.op === 'remove')
      return [...subtree(lookup, id), ...moved]
        .map(get)
        .reduce<Right>((most, it) => (it ? more(most, rightToPut(it)) : most), 'content');
    if (edit.path[0] === 'at') moved.push(id);
    return FIELDS[record.kind]?.[edit.path[0]] ?? 'guide';
  });
}

export function mayEdit(role: RoleName, keeperMay: KeeperMay, right: Right): boolean {
  if (role === 'designer') return true;
  return role === 'keeper' && RIGHTS.indexOf(right) <= RIGHTS.indexOf(keeperMay);
}
