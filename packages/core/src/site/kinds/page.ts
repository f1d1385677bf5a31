import { isIconName } from '../../icons/index.ts';
import type { Problem } from '../../result/index.ts';
import type { Value } from '../../values/index.ts';
import { BadField } from '../fields.ts';
import { checkNesting } from '../nesting.ts';
import { rebind } from '../readStyles.ts';
import {
  type At,
  type HeaderKind,
  type Id,
  PAGE_KINDS,
  type PageKind,
  SETTINGS,
  SHARED_AREAS,
  type SharedArea,
} from '../records.ts';
import type { Scene } from '../scene.ts';
import { checkRebinds } from './checkRebinds.ts';
import { NOTHING, onlyDiffer } from './effects.ts';
import { inRebind, picture, scheme } from './mentions.ts';
import { at, headerKind, set } from './readCommon.ts';
import type { RecordKind } from './recordKind.ts';

/** Its header may be of another kind than the site’s. */
export interface PageRecord extends HeaderKind {
  id: Id;
  kind: 'page';
  pageKind: PageKind;
  title: string;
  /** Last step of the address; empty for the home page. */
  path: string;
  description: string;
  at: At;
  scheme: Id | null;
  rebind: Readonly<Record<Id, Value>>;
  /** Visitors do not get it; members still see it. */
  off?: true;
  /** Not in navigation. */
  unlisted?: true;
  /** Reachable, but search engines are asked to stay away. */
  unindexed?: true;
  /** The picture shown where the page is shared, and in lists of pages. */
  sharePicture?: Id;
  /** What navigation and lists of pages call it, where that is shorter than its title. */
  shortName?: string;
  /** The icon that lists of pages show: the name of one, or the id of a drawing or picture. */
  icon?: string;
  /** Which of the shared areas it shows, where it differs from other pages: these have header and footer and no sidebar. */
  areas?: Readonly<Partial<Record<SharedArea, boolean>>>;
}

const PAGE_PATH = /^[a-z0-9]+(-[a-z0-9]+)*$/;

/** The home page alone has no address, and no two pages of one place share one. */
function checkAddress(record: PageRecord, { get, lookup, after, touchedAt }: Scene): Problem | null {
  const site = get(SETTINGS);
  const isHome = site?.kind === 'settings' && site.home === record.id;
  if (isHome !== (record.path === ''))
    return {
      code: 'bad-address',
      message: isHome ? 'The home page has an empty address.' : 'A page needs an address.',
      record: record.id,
      path: 'path',
      found: record.path,
      expected: isHome ? 'nothing' : 'small letters, digits and hyphens',
    };
  if (isHome && record.off)
    return {
      code: 'bad-home',
      message: 'The home page cannot be off.',
      record: record.id,
      path: 'off',
      found: 'true',
      expected: 'another home page first',
    };
  const stored = lookup.pagesAt(record.at.parent, record.path).find(id => !after.has(id));
  const other = get(stored ?? touchedAt(record.at.parent, record.path).find(id => id !== record.id) ?? '');
  return other?.kind === 'page'
    ? {
        code: 'address-taken',
        message: `${other.title} has the address ${record.path} already.`,
        record: record.id,
        path: 'path',
        found: record.path,
        expected: 'an address of its own',
      }
    : null;
}

export const page: RecordKind<PageRecord, null> = {
  label: 'page',
  read: (id, f) => ({
    id,
    kind: 'page',
    pageKind: f.oneOf('pageKind', PAGE_KINDS),
    title: f.text('title'),
    path: f.read('path', 'an address of small letters, digits and hyphens', it =>
      it === '' || (typeof it === 'string' && it.length <= 80 && PAGE_PATH.test(it)) ? it : null,
    ),
    description: f.text('description', 500),
    at: at(f),
    scheme: f.idOrNull('scheme'),
    rebind: rebind(f),
    ...set(f, 'off'),
    ...set(f, 'unlisted'),
    ...set(f, 'unindexed'),
    ...f.maybe('sharePicture', (it, name) => it.id(name)),
    ...f.maybe('shortName', (it, name) => it.text(name, 80)),
    ...f.maybe('icon', (it, name) => it.id(name)),
    ...f.maybeMap('areas', (area, shown, path) => {
      if (!SHARED_AREAS.some(known => known === area) || typeof shown !== 'boolean')
        throw new BadField(path, shown, 'true or false for header, sidebar and footer');
      return shown;
    }),
    ...headerKind(f),
  }),
  references: record => [
    { path: 'at.parent', to: record.at.parent, kinds: ['settings', 'page'] },
    ...scheme(record.scheme),
    ...inRebind(record.rebind),
    ...picture('sharePicture', record.sharePicture),
    ...(record.icon === undefined || isIconName(record.icon)
      ? []
      : [{ path: 'icon', to: record.icon, kinds: ['drawing', 'asset'] as const }]),
  ],
  rightToPut: record => (Object.keys(record.rebind).length === 0 ? 'choice' : 'style'),
  rights: {
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
    headerScrolls: 'choice',
    headerColors: 'choice',
    sharePicture: 'content',
    shortName: 'content',
    icon: 'content',
    rebind: 'style',
  },
  check: (record, before, scene) =>
    checkRebinds(record, before, scene) ?? checkNesting(record, before, scene) ?? checkAddress(record, scene),
  guide: null,
  name: record => record.title,
  location: record => ({ station: 'pages', page: record.id, node: record.id }),
  effects(was, is) {
    if (!was || !is) return { rules: 'page', markup: 'all' };
    if (onlyDiffer(was, is, ['unindexed'])) return NOTHING;
    // What lists of pages say of it besides its name.
    if (onlyDiffer(was, is, ['unindexed', 'description', 'sharePicture']))
      return { rules: 'none', markup: 'lists' };
    return { rules: 'page', markup: 'all' };
  },
};
