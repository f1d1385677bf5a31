import type { Problem } from '../../result/index.ts';
import type { Value } from '../../values/index.ts';
import { elementOfArea } from '../area.ts';
import { checkNesting } from '../nesting.ts';
import { declarations, onElement, rebind, styles } from '../readStyles.ts';
import { AREAS, type Area, type Id, type Wearer } from '../records.ts';
import type { Scene } from '../scene.ts';
import { checkRebinds } from './checkRebinds.ts';
import { checkWearer } from './checkWearer.ts';
import { inRebind, inStyles, scheme, worn } from './mentions.ts';
import { nodeEffects } from './nodeEffects.ts';
import { nodePage } from './nodePage.ts';
import { at, variants, wears } from './readCommon.ts';
import type { RecordKind } from './recordKind.ts';

export interface SectionRecord extends Wearer {
  id: Id;
  kind: 'section';
  area: Area;
  name: string;
  scheme: Id | null;
  rebind: Readonly<Record<Id, Value>>;
}

const isEmpty = (it: object) => Object.keys(it).length === 0;

/** A section that stands in another is a version of it: of the same area, and with no versions of its own. */
function checkVersion(
  record: SectionRecord,
  before: SectionRecord | undefined,
  { get, childrenNow }: Scene,
): Problem | null {
  if (before && before.at.parent === record.at.parent && before.area === record.area) return null;
  const of = get(record.at.parent);
  const versions = childrenNow(record.id)
    .map(get)
    .filter(it => it?.kind === 'section');
  const wrong =
    of?.kind === 'section'
      ? of.area !== record.area || get(of.at.parent)?.kind === 'section' || versions.length > 0
      : versions.some(it => it.area !== record.area);
  return wrong
    ? {
        code: 'bad-parent',
        message: 'A version stands in the section that it is one of, and holds none itself.',
        record: record.id,
        path: 'at.parent',
        found: record.at.parent,
        expected: 'a page, or a section of its area that is no version',
      }
    : null;
}

export const section: RecordKind<SectionRecord, null> = {
  label: 'section',
  read(id, f) {
    const area = f.oneOf('area', AREAS);
    const type = elementOfArea(area);
    return {
      id,
      kind: 'section',
      area,
      name: f.text('name', 80),
      at: at(f),
      scheme: f.idOrNull('scheme'),
      rebind: rebind(f),
      variants: variants(f, type),
      wears: wears(f),
      styles: styles(f, onElement(type)),
      ...declarations(f, onElement(type)),
    };
  },
  references: record => [
    {
      path: 'at.parent',
      to: record.at.parent,
      // What pages share stands at the site, and what one has instead of that on it.
      kinds: record.area === 'main' ? ['page', 'section'] : ['settings', 'page', 'section'],
    },
    ...scheme(record.scheme),
    ...inRebind(record.rebind),
    ...worn(record),
    ...inStyles(record.styles),
  ],
  rightToPut: record =>
    isEmpty(record.styles) && isEmpty(record.rebind) && isEmpty(record.declarations ?? {})
      ? 'choice'
      : 'style',
  rights: {
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
  check: (record, before, scene) =>
    checkRebinds(record, before, scene) ??
    checkNesting(record, before, scene) ??
    checkVersion(record, before, scene) ??
    checkWearer(record, elementOfArea(record.area).name, scene),
  guide: null,
  name: record => record.name,
  location: (record, site) => ({ station: 'pages', page: nodePage(record, site), node: record.id }),
  effects: nodeEffects,
};
