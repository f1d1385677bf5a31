import { type Content, referencesInContent } from '../../content/index.ts';
import { LIMITS } from '../../limits/index.ts';
import type { Problem } from '../../result/index.ts';
import {
  canAccept,
  type ElementType,
  elementNamed,
  isItem,
  isWidget,
  maybeElement,
} from '../../widgets/index.ts';
import { elementOfNode } from '../elementOfNode.ts';
import { BadField, Fields, isObject } from '../fields.ts';
import { checkNesting } from '../nesting.ts';
import { content } from '../readContent.ts';
import { declarations, onElement, styles } from '../readStyles.ts';
import type { Declaring, Id, SiteRecord, Wearer } from '../records.ts';
import type { Reference } from '../reference.ts';
import type { Scene } from '../scene.ts';
import { withArticle } from '../withArticle.ts';
import { checkWearer } from './checkWearer.ts';
import { inStyles, worn } from './mentions.ts';
import { nodeEffects } from './nodeEffects.ts';
import { nodePage } from './nodePage.ts';
import { at, variants, wears } from './readCommon.ts';
import type { RecordKind } from './recordKind.ts';

/** What a widget said as an instance of another element and the one it is now has no place for. */
export interface Parked extends Declaring, Pick<Wearer, 'variants' | 'styles'> {
  content: Readonly<Record<string, Content>>;
}

export interface WidgetRecord extends Wearer {
  id: Id;
  kind: 'widget';
  widget: string;
  content: Readonly<Record<string, Content>>;
  /** By the element that it was: what waits for the day that it becomes that again. Nothing there is a mention of anything. */
  parked?: Readonly<Record<string, Parked>>;
}

const readParked = (fields: Fields) =>
  fields.maybeMap('parked', (key, it, path): Parked => {
    const type = isWidget(key) ? maybeElement(key) : undefined;
    if (!type || !isObject(it)) throw new BadField(path, it, 'what waits for a widget of that name');
    const f = new Fields(it, `${path}.`);
    const parked = {
      content: content(f, type),
      variants: variants(f, type),
      styles: styles(f, onElement(type)),
      ...declarations(f, onElement(type)),
    };
    f.finish();
    return parked;
  });

/** What holds the items that something is or stands right below: entries below an entry are still those of one list. */
function holderAround(id: Id, get: (id: Id) => SiteRecord | undefined): Id {
  let at = id;
  // A change that is not worked out yet may put things into each other.
  for (let i = 0; i < LIMITS.nesting; i++) {
    const record = get(at);
    if (record?.kind !== 'widget' || !isAnItem(record)) return at;
    at = record.at.parent;
  }
  return id;
}

const isAnItem = ({ widget }: Pick<WidgetRecord, 'widget'>): boolean => isItem(elementNamed(widget));
const isEmpty = (it: object) => Object.keys(it).length === 0;

/** Every record that the content of a widget mentions. */
export function contentReferences(record: WidgetRecord): Reference[] {
  const fields = maybeElement(record.widget)?.content ?? {};
  return Object.entries(record.content).flatMap(([name, value]): Reference[] => {
    const field = Object.hasOwn(fields, name) ? fields[name] : undefined;
    return field ? referencesInContent(field, value).map(it => ({ path: `content.${name}`, ...it })) : [];
  });
}

/** Where an element can stand, for a message. */
const placesOf = ({ label, onlyIn }: ElementType): string =>
  onlyIn
    ? `${onlyIn.map(it => withArticle(elementNamed(it).label)).join(' or ')} for ${withArticle(label)}`
    : 'a section, or a widget that holds others';
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** Widgets stand only in what accepts them, and what holds some stays such a thing. */
function checkParentHolds(
  record: WidgetRecord,
  before: WidgetRecord | undefined,
  { get, childrenNow }: Scene,
): Problem | null {
  const element = elementNamed(record.widget);
  const became = before && before.widget !== record.widget;
  const misfit = became
    ? childrenNow(record.id)
        .map(get)
        .find(it => it?.kind === 'widget' && !canAccept(element, elementNamed(it.widget)))
    : undefined;
  if (misfit)
    return {
      code: 'bad-parent',
      message: `${capital(withArticle(element.label))} cannot hold what stands in it.`,
      record: record.id,
      path: 'widget',
      found: record.widget,
      expected: 'an element that holds it, or nothing in it',
    };
  if (before && !became && before.at.parent === record.at.parent) return null;
  const parent = get(record.at.parent);
  if ((parent?.kind !== 'section' && parent?.kind !== 'widget') || canAccept(elementOfNode(parent), element))
    return null;
  return {
    code: 'bad-parent',
    message: `${capital(withArticle(element.label))} cannot stand in ${withArticle(elementOfNode(parent).label)}.`,
    record: record.id,
    path: 'at.parent',
    found: elementOfNode(parent).name,
    expected: placesOf(element),
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
      ...readParked(f),
    };
  },
  references: record => [
    { path: 'at.parent', to: record.at.parent, kinds: ['section', 'widget'] },
    ...contentReferences(record),
    ...worn(record),
    ...inStyles(record.styles),
  ],
  rightToPut(record, get) {
    if (!isEmpty(record.styles) || !isEmpty(record.declarations ?? {})) return 'style';
    // How many items there are, and what they say, is what their holder says.
    const parent = get(record.at.parent);
    return isAnItem(record) || (parent?.kind === 'widget' && isAnItem(parent)) ? 'content' : 'choice';
  },
  rightToMove: (record, parent, get) =>
    isAnItem(record) && holderAround(record.at.parent, get) === holderAround(parent, get)
      ? 'content'
      : 'choice',
  rights: {
    widget: 'choice',
    content: 'content',
    at: 'choice',
    variants: 'choice',
    wears: 'choice',
    styles: 'style',
    declarations: 'style',
    parked: 'choice',
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
