import { type Content, referencesInContent } from '../../content/index.ts';
import type { Problem } from '../../result/index.ts';
import { elementNamed, isWidget, maybeElement } from '../../widgets/index.ts';
import { checkNesting } from '../nesting.ts';
import { content } from '../readContent.ts';
import { declarations, onElement, styles } from '../readStyles.ts';
import type { Id, Wearer } from '../records.ts';
import type { Reference } from '../reference.ts';
import type { Scene } from '../scene.ts';
import { checkWearer } from './checkWearer.ts';
import { inStyles, worn } from './mentions.ts';
import { nodeEffects } from './nodeEffects.ts';
import { nodePage } from './nodePage.ts';
import { at, variants, wears } from './readCommon.ts';
import type { RecordKind } from './recordKind.ts';

export interface WidgetRecord extends Wearer {
  id: Id;
  kind: 'widget';
  widget: string;
  content: Readonly<Record<string, Content>>;
}

const isEmpty = (it: object) => Object.keys(it).length === 0;

/** Every record that the content of a widget mentions. */
export function contentReferences(record: WidgetRecord): Reference[] {
  const fields = maybeElement(record.widget)?.content ?? {};
  return Object.entries(record.content).flatMap(([name, value]): Reference[] => {
    const field = Object.hasOwn(fields, name) ? fields[name] : undefined;
    return field ? referencesInContent(field, value).map(it => ({ path: `content.${name}`, ...it })) : [];
  });
}

/** Widgets stand only in what holds widgets, and what holds some stays such a thing. */
function checkParentHolds(
  record: WidgetRecord,
  before: WidgetRecord | undefined,
  { get, childrenNow }: Scene,
): Problem | null {
  const became = before && before.widget !== record.widget;
  if (became && !maybeElement(record.widget)?.holds && childrenNow(record.id).length > 0)
    return {
      code: 'bad-parent',
      message: `A ${record.widget} holds no widgets.`,
      record: record.id,
      path: 'widget',
      found: record.widget,
      expected: 'a group, or nothing in it',
    };
  const parent = get(record.at.parent);
  if (parent?.kind !== 'widget' || maybeElement(parent.widget)?.holds) return null;
  return {
    code: 'bad-parent',
    message: `A ${parent.widget} holds no widgets.`,
    record: record.id,
    path: 'at.parent',
    found: parent.widget,
    expected: 'a section or a group',
  };
}

export const widget: RecordKind<WidgetRecord, null> = {
  label: 'widget',
  read(id, f) {
    const type = f.read('widget', 'a widget', it =>
      typeof it === 'string' && isWidget(it) ? (maybeElement(it) ?? null) : null,
    );
    return {
      id,
      kind: 'widget',
      widget: type.name,
      at: at(f),
      content: content(f, type),
      variants: variants(f, type),
      wears: wears(f),
      styles: styles(f, onElement(type)),
      ...declarations(f, onElement(type)),
    };
  },
  references: record => [
    { path: 'at.parent', to: record.at.parent, kinds: ['section', 'widget'] },
    ...contentReferences(record),
    ...worn(record),
    ...inStyles(record.styles),
  ],
  rightToPut: record => (isEmpty(record.styles) && isEmpty(record.declarations ?? {}) ? 'choice' : 'style'),
  rights: {
    widget: 'guide',
    content: 'content',
    at: 'choice',
    variants: 'choice',
    wears: 'choice',
    styles: 'style',
    declarations: 'style',
  },
  check: (record, before, scene) =>
    checkNesting(record, before, scene) ??
    checkParentHolds(record, before, scene) ??
    checkWearer(record, record.widget, scene),
  guide: null,
  name(record) {
    const element = elementNamed(record.widget);
    const summary = element.summary?.(record.content) ?? '';
    return summary === '' ? element.label : summary;
  },
  location: (record, site) => ({ station: 'pages', page: nodePage(record, site), node: record.id }),
  effects: nodeEffects,
};
