import { nearestToken } from '../../choices/index.ts';
import {
  type Content,
  type ContentField,
  type ContentMapping,
  type LinkTarget,
  mapContent,
} from '../../content/index.ts';
import { LIMITS, scanJson, tooLong } from '../../limits/index.ts';
import { fail, ok, type Result } from '../../result/index.ts';
import { FIRST_SCHEMA, SCHEMA, upgradeRecord } from '../../schema/index.ts';
import { isObject } from '../../site/fields.ts';
import {
  type Area,
  type Edit,
  elementOfArea,
  getRecord,
  type Id,
  isNode,
  type NodeRecord,
  newId,
  nodesUnder,
  placeIsAbout,
  putRecord,
  readRecord,
  type Site,
  settingsOf,
  subtree,
  withArticle,
} from '../../site/index.ts';
import { parseSlot, type Slot, type Styles } from '../../slots/index.ts';
import { literalOf, NO_REBINDS, tokenAt, tokenPath } from '../../tokens/index.ts';
import { isId, readValue, tokensIn, type Value, withTokens } from '../../values/index.ts';
import { elementNamed, isItem } from '../../widgets/index.ts';
import { type PlacedRule, ruleAbout, rulesAbout } from '../rules/placedRules.ts';
import { loosenItems } from './loosenItems.ts';
import { canHold, placesAt } from './structure.ts';

/** What is on the clipboard: things with all they hold, and what the site they left calls what they name. */
export interface Clip {
  format: 'cove-thread/1';
  /** The schema its records have. */
  schema: number;
  /** Records of the subtree of each thing, the thing itself first. */
  things: readonly (readonly NodeRecord[])[];
  tokens: Readonly<Record<Id, { path: string; value: Value }>>;
  /** Names of variants, presets and schemes. */
  names: Readonly<Record<Id, string>>;
  /** What holds in the sections among them alone. */
  rules: readonly PlacedRule[];
}

const FORMAT = 'cove-thread/1';

/** Things as they are to leave a site; those that stand within another chosen one go with it. */
export function copyThings(site: Site, ids: readonly Id[]): Clip {
  const lookup = { childrenOf: (id: Id) => nodesUnder(site, id) };
  const inside = new Set(ids.flatMap(id => subtree(lookup, id).slice(1)));
  const things = [...new Set(ids)]
    .filter(id => !inside.has(id))
    .map(id =>
      subtree(lookup, id)
        .map(it => getRecord(site, it))
        .filter(isNode),
    );
  const tokens: Record<Id, { path: string; value: Value }> = {};
  const names: Record<Id, string> = {};
  const name = (id: Id | null | undefined) => {
    const record = id == null ? undefined : getRecord(site, id);
    if (id != null && record && 'name' in record) names[id] = record.name;
  };
  const token = (id: Id) => {
    const end = literalOf(site.kinds.token, NO_REBINDS, { type: 'token', token: id });
    if (end) tokens[id] = { path: tokenPath(site.kinds.token, id), value: end };
  };
  const values = (some: Iterable<Value>) => {
    for (const value of some) {
      for (const id of tokensIn(value)) token(id);
      if (value.type === 'textStyle') name(value.style);
    }
  };
  const sections = new Set<Id>();
  for (const node of things.flat()) {
    values(Object.values(node.styles));
    for (const id of Object.values(node.variants)) name(id);
    for (const { preset } of Object.values(node.wears)) name(preset);
    if (node.kind !== 'section') continue;
    sections.add(node.id);
    name(node.scheme);
    for (const id of Object.keys(node.rebind)) token(id);
    values(Object.values(node.rebind));
  }
  const rules = rulesAbout(site, id => sections.has(id));
  for (const rule of rules) {
    values(Object.values(rule.styles));
    if (rule.kind === 'variantRule') name(rule.variant);
  }
  return { format: FORMAT, schema: SCHEMA, things, tokens, names, rules };
}

/**
 * Reads a clip out of text from the clipboard; null for anything else, which may have been copied anywhere, and for what a
 * later version of the program has copied.
 */
export function readClip(text: string): Clip | null {
  if (tooLong(text, LIMITS.typed.clip) || !scanJson(text).ok) return null;
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return null;
  }
  if (!isObject(raw) || raw.format !== FORMAT || !Array.isArray(raw.things)) return null;
  const { schema = FIRST_SCHEMA } = raw;
  if (typeof schema !== 'number' || !(schema >= FIRST_SCHEMA && schema <= SCHEMA)) return null;
  const read = (it: unknown) => upgradeRecord(it, schema).map(readRecord);
  const things: NodeRecord[][] = [];
  for (const list of raw.things) {
    const records = (Array.isArray(list) ? list : []).flatMap(read);
    const nodes = records.flatMap(it => (it.ok && isNode(it.value) ? [it.value] : []));
    if (nodes.length === 0 || nodes.length !== records.length) return null;
    things.push(nodes);
  }
  const tokens: Record<Id, { path: string; value: Value }> = {};
  for (const [id, it] of Object.entries(isObject(raw.tokens) ? raw.tokens : {})) {
    const value = isObject(it) ? readValue(it.value) : null;
    if (isId(id) && isObject(it) && typeof it.path === 'string' && value)
      tokens[id] = { path: it.path, value };
  }
  const names: Record<Id, string> = {};
  for (const [id, name] of Object.entries(isObject(raw.names) ? raw.names : {}))
    if (isId(id) && typeof name === 'string') names[id] = name;
  const rules: PlacedRule[] = [];
  for (const it of Array.isArray(raw.rules) ? raw.rules : []) {
    const [record] = read(it);
    if (!record?.ok || (record.value.kind !== 'default' && record.value.kind !== 'variantRule')) return null;
    const { place } = record.value;
    if (place?.type !== 'section') return null;
    rules.push({ ...record.value, place });
  }
  return { format: FORMAT, schema: SCHEMA, things, tokens, names, rules };
}

/** What becomes of values whose token this site has not: the nearest token of the guide, or the value as it was. */
export type Loose = 'tie' | 'keep';

export interface Pasted {
  edits: Edit[];
  /** The things that were pasted, in order. */
  ids: Id[];
  /** What could not come along, in words. */
  left: string[];
  /** Elements of items that came to stand here as plain widgets, since what they are items of is not here. */
  loosened: readonly string[];
}

/** Without what came to nothing. */
const kept = <T>(entries: readonly [string, T | null][]): Record<string, T> =>
  Object.fromEntries(entries.flatMap(([key, it]): [string, T][] => (it === null ? [] : [[key, it]])));

class Paster {
  private readonly ids = new Map<Id, Id>();
  readonly left = new Set<string>();

  constructor(
    private readonly site: Site,
    private readonly clip: Clip,
    private readonly loose: Loose,
    private readonly area: Area,
  ) {
    for (const node of clip.things.flat()) this.ids.set(node.id, newId(node.kind === 'section' ? 's' : 'w'));
  }

  id(old: Id): Id {
    return this.ids.get(old) ?? old;
  }

  /** The record of this site that goes by the same id, or by the same name. */
  private named<T extends { id: Id; name: string }>(
    records: Iterable<T>,
    id: Id,
    fits: (it: T) => boolean,
  ): Id | null {
    const all = [...records].filter(fits);
    if (all.some(it => it.id === id)) return id;
    const name = this.clip.names[id]?.toLowerCase();
    return all.find(it => it.name.toLowerCase() === name)?.id ?? null;
  }

  private missing(what: string, id: Id): null {
    this.left.add(`${what} ${this.clip.names[id] ?? id}`);
    return null;
  }

  /** A token of this site for one of another; null where there is none. */
  private token(id: Id): Id | null {
    const { token } = this.site.kinds;
    const known = this.clip.tokens[id];
    if (token.has(id) && (!known || tokenPath(token, id) === known.path)) return id;
    return (known && tokenAt(token, known.path)?.id) ?? (token.has(id) && !known ? id : null);
  }

  private nearest(value: Value, slot: Slot | null): Id | null {
    const property = slot === null ? undefined : parseSlot(slot)?.property;
    return !property || property === 'textStyle' ? null : nearestToken(this.site, property, value);
  }

  /** `slot`: where it is set; null for what a token is bound to. */
  private value(value: Value, slot: Slot | null): Value | null {
    if (value.type === 'textStyle') {
      const style = this.named(this.site.kinds.textStyle.values(), value.style, () => true);
      return style === null ? this.missing('text style', value.style) : { type: 'textStyle', style };
    }
    if (value.type === 'picture' && !this.site.kinds.asset.has(value.asset))
      return this.missing('picture', value.asset);
    if (value.type === 'pattern' && !this.site.kinds.drawing.has(value.drawing))
      return this.missing('drawing', value.drawing);
    const gone = tokensIn(value).filter(id => this.token(id) === null);
    if (gone.length === 0) return withTokens(value, id => this.token(id) ?? id);
    const [only] = gone;
    const end = value.type === 'token' && only !== undefined ? this.clip.tokens[only]?.value : undefined;
    if (!end) return this.missing('value', slot ?? only ?? '');
    const near = this.loose === 'tie' ? this.nearest(end, slot) : null;
    return near === null ? end : { type: 'token', token: near };
  }

  private link(link: LinkTarget): LinkTarget {
    const { page } = this.site.kinds;
    const home: LinkTarget = { type: 'page', page: settingsOf(this.site).home };
    if (link.type === 'page') return page.has(link.page) ? link : home;
    if (link.type === 'file' && !this.site.kinds.asset.has(link.asset)) {
      this.left.add('a file');
      return home;
    }
    if (link.type !== 'section') return link;
    const section = this.id(link.section);
    const there = section !== link.section || this.site.kinds.section.has(link.section);
    return page.has(link.page) && there
      ? { ...link, section }
      : page.has(link.page)
        ? { type: 'page', page: link.page }
        : home;
  }

  private readonly mapping: ContentMapping = {
    link: link => this.link(link),
    asset: id => (this.site.kinds.asset.has(id) ? id : this.missing('picture', id)),
    drawn: id =>
      this.site.kinds.asset.has(id) || this.site.kinds.drawing.has(id) ? id : this.missing('drawing', id),
  };

  private content(field: ContentField | undefined, value: Content): Content {
    return field ? mapContent(field, value, this.mapping) : value;
  }

  private styles(styles: Styles): Styles {
    return kept(
      Object.entries(styles).map(([slot, value]): [string, Value | null] => [slot, this.value(value, slot)]),
    );
  }

  private rebind(rebind: Readonly<Record<Id, Value>>): Readonly<Record<Id, Value>> {
    return kept(
      Object.entries(rebind).map(([id, value]): [string, Value | null] => {
        const bound = this.token(id);
        return bound === null
          ? [id, this.missing('value', this.clip.tokens[id]?.path ?? id)]
          : [bound, this.value(value, null)];
      }),
    );
  }

  /** A rule for a section, about the copy of it; null where its variant is not there. */
  rule(rule: PlacedRule): PlacedRule | null {
    const about = placeIsAbout(rule.place);
    if (about === null || !this.ids.has(about)) return null;
    if (rule.kind === 'variantRule' && !this.site.kinds.variant.has(rule.variant))
      return this.missing('rule for variant', rule.variant);
    return ruleAbout({ ...rule, styles: this.styles(rule.styles) }, this.id(about));
  }

  node(node: NodeRecord, at: NodeRecord['at']): NodeRecord {
    const { variant, preset, scheme } = this.site.kinds;
    // The variants of a header are another's than those of a section, under the same names.
    const element = node.kind === 'section' ? elementOfArea(this.area).name : node.widget;
    const fields = elementNamed(element).content;
    const look = {
      id: this.id(node.id),
      at,
      variants: kept(
        Object.entries(node.variants).map(([axis, id]): [string, Id | null] => [
          axis,
          this.named(variant.values(), id, it => it.element === element && it.axis === axis) ??
            this.missing('variant', id),
        ]),
      ),
      wears: kept(
        Object.values(node.wears).map(wear => {
          const found = this.named(preset.values(), wear.preset, () => true);
          return [
            newId('w'),
            found === null ? this.missing('preset', wear.preset) : { ...wear, preset: found },
          ];
        }),
      ),
      styles: this.styles(node.styles),
    };
    if (node.kind === 'widget')
      return {
        ...node,
        ...look,
        content: Object.fromEntries(
          Object.entries(node.content).map(([field, value]) => [field, this.content(fields[field], value)]),
        ),
      };
    const worn =
      node.scheme === null
        ? null
        : (this.named(scheme.values(), node.scheme, () => true) ?? this.missing('scheme', node.scheme));
    return { ...node, ...look, area: this.area, scheme: worn, rebind: this.rebind(node.rebind) };
  }
}

/**
 * Puts what is on the clipboard under a parent, from place `index` on. What it names is found in this site by id, else by
 * name; what is not there is told. Sections become sections of the area, which stand below the settings where pages share it.
 */
export function pasteThings(
  site: Site,
  copied: Clip,
  parent: Id,
  index: number,
  loose: Loose = 'tie',
  area: Area = 'main',
): Result<Pasted> {
  const fits = (node: NodeRecord) =>
    canHold(site, parent, node.kind === 'section' ? { ...node, area } : node);
  const { things, names } = loosenItems(copied.things, fits);
  const clip = { ...copied, things };
  const roots = clip.things.flatMap(([root]) => root ?? []);
  const misfit = roots.find(root => !fits(root));
  if (misfit)
    return fail({
      code: 'bad-parent',
      message:
        misfit.kind === 'section'
          ? 'A section stands on a page.'
          : isItem(elementNamed(misfit.widget))
            ? `Select ${(elementNamed(misfit.widget).onlyIn ?? []).map(it => withArticle(elementNamed(it).label)).join(' or ')} to paste this into.`
            : 'A widget cannot be pasted here: select a section or a group.',
      record: parent,
      found: misfit.kind,
    });
  if (roots.length === 0)
    return fail({ code: 'nothing', message: 'There is nothing on the clipboard that could stand here.' });
  const paster = new Paster(site, clip, loose, area);
  // Several come in the order in which they were copied, all before what stands there.
  const { orders, rekeyed } = placesAt(site, parent, index, [], clip.things.length);
  const edits: Edit[] = [...rekeyed];
  for (const [n, nodes] of clip.things.entries()) {
    for (const [i, node] of nodes.entries()) {
      const at =
        i === 0 ? { parent, order: orders[n] ?? 'V' } : { ...node.at, parent: paster.id(node.at.parent) };
      edits.push(putRecord(paster.node(node, at)));
    }
  }
  for (const it of clip.rules) {
    const record = paster.rule(it);
    if (record) edits.push(putRecord(record));
  }
  return ok({
    edits,
    ids: roots.map(it => paster.id(it.id)),
    left: [...paster.left],
    loosened: [...new Set(names)],
  });
}
