import { type Edit, targetOf } from './change.ts';
import type { Id, Kind, RecordOf, SiteRecord } from './records.ts';
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

/** Fields of a kind of record; its id and kind stay as they are. */
export type FieldOf<K extends Kind> = Exclude<keyof RecordOf<K>, 'id' | 'kind'>;
/** A right for every field of every kind of record. */
export type FieldRights = { readonly [K in Kind]: { readonly [F in FieldOf<K>]-?: Right } };

/** What setting or unsetting a field needs. */
export const FIELD_RIGHTS: FieldRights = {
  settings: {
    name: 'guide',
    language: 'guide',
    home: 'guide',
    defaultScheme: 'guide',
    mediumTo: 'guide',
    narrowTo: 'guide',
    fluidFrom: 'guide',
    fluidTo: 'guide',
    textBase: 'guide',
    textRatio: 'guide',
    iconSet: 'guide',
    tabIcon: 'guide',
    awayInNewTab: 'guide',
    address: 'guide',
  },
  token: { type: 'guide', name: 'guide', group: 'guide', order: 'guide', value: 'guide', note: 'guide' },
  role: { name: 'guide', order: 'guide', fallback: 'guide', on: 'guide', note: 'guide' },
  scheme: { name: 'guide', face: 'guide', order: 'guide', roles: 'guide', note: 'guide' },
  textStyle: { name: 'guide', order: 'guide', styles: 'guide', note: 'guide' },
  default: { element: 'guide', place: 'guide', styles: 'guide', declarations: 'guide' },
  variant: {
    element: 'guide',
    axis: 'guide',
    name: 'guide',
    order: 'guide',
    styles: 'guide',
    declarations: 'guide',
    begins: 'guide',
    note: 'guide',
  },
  variantRule: { variant: 'guide', place: 'guide', styles: 'guide', declarations: 'guide' },
  preset: {
    name: 'guide',
    order: 'guide',
    styles: 'guide',
    set: 'guide',
    includes: 'guide',
    begins: 'guide',
    note: 'guide',
  },
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
    area: 'guide',
    at: 'choice',
    scheme: 'choice',
    variants: 'choice',
    wears: 'choice',
    styles: 'style',
    declarations: 'style',
    rebind: 'style',
  },
  widget: {
    widget: 'guide',
    content: 'content',
    at: 'choice',
    variants: 'choice',
    wears: 'choice',
    styles: 'style',
    declarations: 'style',
  },
  asset: {
    name: 'content',
    alt: 'content',
    file: 'guide',
    mime: 'guide',
    width: 'guide',
    height: 'guide',
  },
  font: {
    family: 'guide',
    category: 'guide',
    cut: 'guide',
    weightFrom: 'guide',
    weightTo: 'guide',
    file: 'guide',
    format: 'guide',
    bytes: 'guide',
    metrics: 'guide',
  },
  drawing: {
    name: 'guide',
    order: 'guide',
    use: 'guide',
    width: 'guide',
    height: 'guide',
    paths: 'guide',
    note: 'guide',
  },
  note: { name: 'guide', order: 'guide', text: 'guide', pictures: 'guide' },
};

/** What is no field needs the most. */
function rightToSet(kind: Kind, field: string): Right {
  const rights: Readonly<Record<string, Right>> = FIELD_RIGHTS[kind];
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
      return subtree(lookup, id)
        .map(get)
        .reduce<Right>((most, it) => (it ? more(most, rightToPut(it)) : most), moved);
    if (edit.path[0] === 'at') moved = more(moved, rightToPut(record));
    return rightToSet(record.kind, edit.path[0]);
  });
}

export function mayEdit(role: RoleName, keeperMay: KeeperMay, right: Right): boolean {
  if (role === 'designer') return true;
  return role === 'keeper' && RIGHTS.indexOf(right) <= RIGHTS.indexOf(keeperMay);
}
