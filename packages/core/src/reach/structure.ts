import {
  type Contributions,
  contributionsTo,
  holderOf,
  type Scope,
  type Source,
  sourcesOf,
} from '../cascade/index.ts';
import { type Id, type Place, pictureIn, type Site } from '../site/index.ts';

/**
 * Who has a say where, for one set of rules. Situations of the same element, choices and surroundings have the same key and
 * are worked out once: a large site costs as much as it has different situations. An edit of tokens or schemes leaves the
 * structure as it is.
 */
export class Structure {
  private readonly keys = new WeakMap<Scope, number>();
  private readonly byWords = new Map<string, number>();
  private readonly sources = new Map<number, readonly Source[]>();
  private readonly contributions = new Map<string, Map<number, Contributions>>();
  private readonly numbers = new Map<object, number>();
  private readonly places: ReadonlySet<Place['type']>;

  constructor(private readonly site: Site) {
    const rules = [...site.kinds.default.values(), ...site.kinds.variantRule.values()];
    this.places = new Set(rules.flatMap(({ place }) => (place === null ? [] : [place.type])));
  }

  private number(it: object): number {
    const known = this.numbers.get(it) ?? this.numbers.size;
    this.numbers.set(it, known);
    return known;
  }

  /** Equal keys, equal sources, scheme and rebindings. */
  keyOf(scope: Scope): number {
    const known = this.keys.get(scope);
    if (known !== undefined) return known;
    const { node } = scope;
    let words = `${scope.element.name} ${scope.scheme} ${this.number(scope.rebinds)} ${scope.area} ${scope.pageKind}`;
    if (scope.longForm) words += ' long';
    if (this.places.has('page') || this.places.has('branch')) words += ` on ${scope.page?.id}`;
    if (this.places.has('section')) words += ` in ${scope.section?.id}`;
    for (const axis of scope.element.axes) words += ` ${scope.variants[axis] ?? '-'}`;
    if (Object.keys(scope.wears).length > 0) words += ` wears ${this.number(scope.wears)}`;
    if (node) {
      if (Object.keys(node.styles).length > 0) words += ` own ${this.number(node.styles)}`;
      if (node.declarations) words += ` declares ${this.number(node.declarations)}`;
      const { focus } = pictureIn(this.site, node) ?? {};
      if (focus) words += ` shows ${this.number(focus)}`;
    }
    const holder = holderOf(scope);
    if (scope.over) words += ' over';
    if (holder) words += ` held ${this.keyOf(holder)}`;
    const key = this.byWords.get(words) ?? this.byWords.size;
    this.byWords.set(words, key);
    this.keys.set(scope, key);
    return key;
  }

  sourcesOf(scope: Scope): readonly Source[] {
    const key = this.keyOf(scope);
    let found = this.sources.get(key);
    if (!found) {
      found = sourcesOf(this.site, scope);
      this.sources.set(key, found);
    }
    return found;
  }

  contributionsTo(scope: Scope, part: string): Contributions {
    let ofPart = this.contributions.get(part);
    if (!ofPart) {
      ofPart = new Map();
      this.contributions.set(part, ofPart);
    }
    const key = this.keyOf(scope);
    let found = ofPart.get(key);
    if (!found) {
      found = contributionsTo(this.site, scope, part);
      ofPart.set(key, found);
    }
    return found;
  }
}

const focuses = new WeakMap<Site['kinds']['asset'], string>();
/** What pictures bring along, as one text: their names and files may alter without it. */
function focusesOf(assets: Site['kinds']['asset']): string {
  let text = focuses.get(assets);
  if (text === undefined) {
    text = [...assets.values()]
      .flatMap(({ id, focus }) => (focus ? [`${id} ${focus.x} ${focus.y}`] : []))
      .join();
    focuses.set(assets, text);
  }
  return text;
}

interface Known {
  inputs: readonly (ReadonlyMap<Id, unknown> | string)[];
  structure: Structure;
}
const known = new WeakMap<Site['kinds']['variant'], Known>();

/** The structure of a site, kept while no rule, variant, preset, text style or focus of a picture changes. */
export function structureOf(site: Site): Structure {
  const { default: defaults, variant, variantRule, preset, textStyle, asset } = site.kinds;
  const inputs = [defaults, variantRule, preset, textStyle, focusesOf(asset)];
  const there = known.get(variant);
  if (there?.inputs.every((it, i) => it === inputs[i])) return there.structure;
  const structure = new Structure(site);
  known.set(variant, { inputs, structure });
  return structure;
}
