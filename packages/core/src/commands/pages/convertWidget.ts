import { type Content, isEmptyContent } from '../../content/index.ts';
import { fail, ok, type Result } from '../../result/index.ts';
import {
  type Edit,
  editOf,
  getRecord,
  type Id,
  nodesUnder,
  type Parked,
  parseDeclarationKey,
  printDeclarationKey,
  referencesOf,
  type Site,
  stableText,
  type WidgetRecord,
} from '../../site/index.ts';
import { parseSlot, printSlot, type State } from '../../slots/index.ts';
import {
  CONVERSIONS,
  type Conversion,
  type ElementType,
  elementNamed,
  type Match,
  partOf,
  statesOf,
} from '../../widgets/index.ts';

export interface Converted {
  edits: Edit[];
  /** What the other element has no place for, in words; it waits for the way back. */
  parked: readonly string[];
}

/** What a widget can become and carry the same content. */
export const conversionsOf = (widget: string): Conversion[] => CONVERSIONS.filter(it => it.from === widget);

const NOTHING: Parked = { content: {}, variants: {}, styles: {} };
const isEmpty = (it: object): boolean => Object.keys(it).length === 0;

/** Entries under other names; what has none there stays behind. */
function sorted<T>(
  entries: Readonly<Record<string, T>>,
  rename: (name: string) => string | null,
): { taken: Record<string, T>; left: Record<string, T> } {
  const taken: Record<string, T> = {};
  const left: Record<string, T> = {};
  for (const [name, it] of Object.entries(entries)) {
    const then = rename(name);
    if (then === null) left[name] = it;
    else taken[then] = it;
  }
  return { taken, left };
}

const partIn = (to: ElementType, { parts }: Match, part: string, state: State): string | null => {
  const name = Object.hasOwn(parts, part) ? parts[part] : undefined;
  if (name === undefined || !partOf(to, name)) return null;
  return state === 'rest' || statesOf(to, name).includes(state) ? name : null;
};

/** The same with what waited for it, where all that this names is still there. */
function withParked(site: Site, record: WidgetRecord, parked: Parked): WidgetRecord {
  const { declarations, ...rest } = record;
  const declared = { ...parked.declarations, ...declarations };
  const whole: WidgetRecord = {
    ...rest,
    content: { ...parked.content, ...record.content },
    variants: { ...parked.variants, ...record.variants },
    styles: { ...parked.styles, ...record.styles },
    ...(!isEmpty(declared) && { declarations: declared }),
  };
  // What is named by a value that waited may have gone meanwhile; such a value has gone with it.
  const gone = new Set(
    referencesOf(whole).flatMap(({ path, to, kinds }) => {
      const target = getRecord(site, to);
      return target && kinds.includes(target.kind) ? [] : [path];
    }),
  );
  if (gone.size === 0) return whole;
  const left = <T>(field: string, entries: Readonly<Record<string, T>>): Record<string, T> =>
    Object.fromEntries(Object.entries(entries).filter(([name]) => !gone.has(`${field}.${name}`)));
  return {
    ...whole,
    content: left('content', whole.content),
    variants: left('variants', whole.variants),
    styles: left('styles', whole.styles),
  };
}

/** One record as an instance of another element. */
function become(site: Site, record: WidgetRecord, to: string, match: Match): WidgetRecord {
  const element = elementNamed(to);
  const content = sorted<Content>(record.content, name => match.content[name] ?? null);
  const styles = sorted(record.styles, slot => {
    const parts = parseSlot(slot);
    const part = parts && partIn(element, match, parts.part, parts.state);
    return parts && part !== null ? printSlot({ ...parts, part: part ?? parts.part }) : null;
  });
  const declarations = sorted(record.declarations ?? {}, key => {
    const at = parseDeclarationKey(key);
    const part = at && partIn(element, match, at.part, at.state);
    return at && part !== null ? printDeclarationKey({ ...at, part: part ?? at.part }) : null;
  });
  const { parked: all = {}, declarations: _, ...rest } = record;
  const { [to]: waited, ...others } = all;
  const left: Parked = {
    content: content.left,
    variants: record.variants,
    styles: styles.left,
    ...(!isEmpty(declarations.left) && { declarations: declarations.left }),
  };
  const parked = {
    ...others,
    ...(!Object.values(left).every(isEmpty) && { [record.widget]: left }),
  };
  const changed: WidgetRecord = {
    ...rest,
    widget: to,
    content: content.taken,
    variants: {},
    styles: styles.taken,
    ...(!isEmpty(declarations.taken) && { declarations: declarations.taken }),
  };
  const whole = withParked(site, changed, waited ?? NOTHING);
  return isEmpty(parked) ? whole : { ...whole, parked };
}

/** Only what differs is set, so that nobody needs the right to style who styles nothing. */
function editsTo(before: WidgetRecord, after: WidgetRecord): Edit[] {
  const edits = editOf(before);
  const differs = (field: keyof WidgetRecord) =>
    stableText(before[field] ?? null) !== stableText(after[field] ?? null);
  return [
    edits.set('widget', after.widget),
    ...(differs('content') ? [edits.set('content', after.content)] : []),
    ...(differs('variants') ? [edits.set('variants', after.variants)] : []),
    ...(differs('styles') ? [edits.set('styles', after.styles)] : []),
    ...(differs('declarations') ? [edits.put('declarations', after.declarations ?? null)] : []),
    ...(differs('parked') ? [edits.put('parked', after.parked ?? null)] : []),
  ];
}

/** What waits on a record since it became another element, in words. */
function saysParked(site: Site, record: WidgetRecord, from: string): string[] {
  const parked = record.parked?.[from];
  if (!parked) return [];
  const element = elementNamed(from);
  const fields = Object.entries(parked.content).flatMap(([name, value]) => {
    const field = element.content[name];
    return field && !isEmptyContent(field, value) ? [field.label] : [];
  });
  const variants = Object.values(parked.variants).flatMap(id => site.kinds.variant.get(id)?.name ?? []);
  const values = Object.keys(parked.styles).length + Object.keys(parked.declarations ?? {}).length;
  return [...fields, ...variants, ...(values > 0 ? [values === 1 ? '1 value' : `${values} values`] : [])];
}

/** Makes another element of a widget and its items, which keep all that it has a place for. The rest waits for the way back. */
export function convertWidget(site: Site, id: Id, to: string): Result<Converted> {
  const record = site.kinds.widget.get(id);
  if (!record) return fail({ code: 'gone', message: 'That is no longer there.', record: id });
  const conversion = conversionsOf(record.widget).find(it => it.to === to);
  if (!conversion)
    return fail({
      code: 'no-conversion',
      message: `${elementNamed(record.widget).label} cannot become ${elementNamed(to).label.toLowerCase()}.`,
      record: id,
      found: to,
      expected: conversionsOf(record.widget)
        .map(it => it.to)
        .join(' or '),
    });
  const pairs: [WidgetRecord, WidgetRecord][] = [[record, become(site, record, to, conversion)]];
  const visit = (holder: Id) => {
    for (const child of nodesUnder(site, holder)) {
      const item = site.kinds.widget.get(child);
      const match = item && conversion.items[item.widget];
      if (!item || !match) continue;
      pairs.push([item, become(site, item, match.to, match)]);
      visit(child);
    }
  };
  visit(id);
  return ok({
    edits: pairs.flatMap(([before, after]) => editsTo(before, after)),
    parked: [...new Set(pairs.flatMap(([before, after]) => saysParked(site, after, before.widget)))],
  });
}
