import { type Edit, targetOf } from './change.ts';
import type { Id, Kind, SiteRecord } from './records.ts';

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
      return isEmpty(record.styles) && isEmpty(record.rebind) ? 'choice' : 'style';
    case 'widget':
      return isEmpty(record.styles) ? 'choice' : 'style';
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
    rebind: 'style',
  },
  section: {
    name: 'content',
    at: 'choice',
    scheme: 'choice',
    variants: 'choice',
    wears: 'choice',
    styles: 'style',
    rebind: 'style',
  },
  widget: { content: 'content', at: 'choice', variants: 'choice', wears: 'choice', styles: 'style' },
};

/** The right an edit needs. What has no row needs the most. */
export function rightFor(edit: Edit, kindOf: (id: Id) => Kind | undefined): Right {
  if (edit.op === 'put') return rightToPut(edit.record);
  const kind = kindOf(targetOf(edit));
  if (kind === undefined) return 'content';
  if (edit.op === 'remove')
    return kind === 'page' || kind === 'section' || kind === 'widget'
      ? 'choice'
      : kind === 'asset'
        ? 'content'
        : 'guide';
  return FIELDS[kind]?.[edit.path[0]] ?? 'guide';
}

export function mayEdit(role: RoleName, keeperMay: KeeperMay, right: Right): boolean {
  if (role === 'designer') return true;
  return role === 'keeper' && RIGHTS.indexOf(right) <= RIGHTS.indexOf(keeperMay);
}
