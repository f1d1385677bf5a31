import {
  type Contribution,
  type Contributions,
  literalContext,
  outside,
  type Scope,
  type Source,
  winner,
} from '../cascade/index.ts';
import { newFailures, type RoleContrast } from '../measure/contrast.ts';
import { type PropertyName, printDeclaration, propertyOf } from '../properties/index.ts';
import { ok, type Result } from '../result/index.ts';
import { applyChange, type Edit, type Id, parseDeclarationKey, type Site } from '../site/index.ts';
import { STATES, WIDTHS } from '../slots/index.ts';
import { type CssContext, colorsIn, type Value } from '../values/index.ts';
import { partNames } from '../widgets/index.ts';
import { reachedBySituation } from './reach.ts';
import { type Standing, standingsOf } from './standing.ts';
import { type Structure, structureOf } from './structure.ts';

export interface PageImpact {
  page: Id;
  /** Things on it that come to look different, parents first. */
  nodes: readonly Id[];
}

/** What can be another: a property, or what is declared of those that are not followed. */
export type Aspect = PropertyName | 'unfollowed';

/** What a change would alter, before it is made. */
export interface Impact {
  /** Pages on which something looks different, in their order; the page itself counts among its nodes. */
  pages: readonly PageImpact[];
  /** Different things that look different, each once. */
  nodes: number;
  /** Things that would be added or taken away. */
  added: number;
  removed: number;
  /** Properties of which some value is another, the most frequent first. */
  properties: readonly { property: Aspect; count: number }[];
  /** Texts and signs that could be read well enough before, and could not after. */
  failures: readonly RoleContrast[];
}

/** CSS text of values in one situation, references followed to their end. */
class Text {
  private readonly texts = new Map<Value, string>();

  private readonly context: CssContext;

  constructor(context: CssContext) {
    const once = (print: (id: string) => string) => {
      const known = new Map<string, string>();
      return (id: string) => {
        const text = known.get(id) ?? print(id);
        known.set(id, text);
        return text;
      };
    };
    this.context = { ...context, token: once(context.token), role: once(context.role) };
  }

  of(property: PropertyName, value: Value): string {
    let text = this.texts.get(value);
    if (text === undefined) {
      text = printDeclaration(propertyOf(property), value, this.context);
      this.texts.set(value, text);
    }
    return text;
  }
}

/** The same for a whole site: one text for each scheme and rebinding. */
class Texts {
  private readonly known = new Map<object, Map<Id, Text>>();

  constructor(private readonly site: Site) {}

  in(scope: Scope): Text {
    let byScheme = this.known.get(scope.rebinds);
    if (!byScheme) {
      byScheme = new Map();
      this.known.set(scope.rebinds, byScheme);
    }
    let text = byScheme.get(scope.scheme);
    if (!text) {
      text = new Text(literalContext(this.site, scope));
      byScheme.set(scope.scheme, text);
    }
    return text;
  }
}

/** Properties in whose list some value is a reference: the only ones that can alter while the structure stays. */
const referring = new WeakMap<Contributions, readonly (readonly [PropertyName, readonly Contribution[]])[]>();
function referringIn(contributions: Contributions) {
  let found = referring.get(contributions);
  if (!found) {
    found = [...contributions].filter(([, list]) => list.some(({ value }) => refers(value)));
    referring.set(contributions, found);
  }
  return found;
}
const refers = (value: Value): boolean =>
  ['token', 'role', 'derived', 'fluid', 'picture', 'pattern'].includes(value.type) ||
  colorsIn(value).length > 0;

interface Side {
  structure: Structure;
  texts: Texts;
}

/** Sizes that are counted from the letters around them alter with those. */
const isRelative = (value: Value): boolean =>
  value.type === 'dimension' && (value.value.unit === 'em' || value.value.unit === '%');

const NONE: readonly Contribution[] = [];

type Changed = ReadonlySet<Aspect>;
type Parts = ReadonlyMap<string, Changed>;
const UNCHANGED: Changed = new Set();
const NO_PARTS: Parts = new Map();

const sameEntry = (
  a: Contribution | undefined,
  b: Contribution | undefined,
  property: PropertyName,
  was: Text,
  is: Text,
): boolean =>
  a !== undefined &&
  b !== undefined &&
  a.rank === b.rank &&
  a.state === b.state &&
  a.width === b.width &&
  a.on === b.on &&
  was.of(property, a.value) === is.of(property, b.value);

/** What the sources of a thing declare of a part beyond what is followed, as text, lowest rank first. */
const declaredOn = (sources: readonly Source[], part: string): string =>
  sources
    .flatMap(({ rank, on, declarations = {} }) =>
      on
        ? Object.entries(declarations)
            .filter(([key]) => parseDeclarationKey(key)?.part === part)
            .map(([key, value]) => `${rank} ${key}: ${value}`)
            .sort()
        : [],
    )
    .join(';');

class Comparison {
  private readonly changed = new Map<string, Parts>();
  private readonly byScope = new Map<Scope, Parts>();

  constructor(
    private readonly a: Side,
    private readonly b: Side,
    /** Whether a situation leads to nothing that differs, so that it need not be looked at. */
    private readonly untouched: (scope: Scope) => boolean,
  ) {}

  private differs(
    property: PropertyName,
    before: readonly Contribution[],
    after: readonly Contribution[],
    was: Text,
    is: Text,
  ): boolean {
    if (before.length === after.length) {
      let alike = true;
      for (let i = 0; alike && i < before.length; i++)
        alike = sameEntry(before[i], after[i], property, was, is);
      if (alike) return false;
    }
    const textOf = (it: Contribution | null, text: Text) => it && text.of(property, it.value);
    const states = STATES.filter(
      state => state === 'rest' || [...before, ...after].some(it => it.state === state),
    );
    return WIDTHS.some(width =>
      states.some(
        state => textOf(winner(before, state, width), was) !== textOf(winner(after, state, width), is),
      ),
    );
  }

  /** Properties of a part that come to another value; `around` are those that the part around it has changed. */
  private part(was: Scope, is: Scope, part: string, around: Changed): Changed {
    const before = this.a.structure.contributionsTo(was, part);
    const after = this.b.structure.contributionsTo(is, part);
    const [old, now] = [this.a.texts.in(was), this.b.texts.in(is)];
    let found: Set<Aspect> | null = null;
    const note = (property: Aspect) => {
      found ??= new Set();
      found.add(property);
    };
    for (const [property, list] of before === after ? referringIn(before) : before)
      if (this.differs(property, list, after.get(property) ?? NONE, old, now)) note(property);
    if (before !== after)
      for (const [property, list] of after)
        if (!before.has(property) && this.differs(property, NONE, list, old, now)) note(property);
    if (
      before !== after &&
      declaredOn(this.a.structure.sourcesOf(was), part) !== declaredOn(this.b.structure.sourcesOf(is), part)
    )
      note('unfollowed');
    for (const property of around) {
      if (property === 'unfollowed' || !propertyOf(property).inherited) continue;
      const own = winner(after.get(property), 'rest', 'wide');
      if (!own || (property === 'fontSize' && isRelative(own.value))) note(property);
    }
    return found ?? UNCHANGED;
  }

  private parts(was: Scope, is: Scope, around: Changed): Parts {
    const parts = new Map<string, Changed>();
    let any = false;
    for (const part of partNames(is.element)) {
      const spot = outside({ scope: is, part, state: 'rest' });
      const changed = this.part(
        was,
        is,
        part,
        spot?.scope === is ? (parts.get(spot.part) ?? UNCHANGED) : around,
      );
      parts.set(part, changed);
      any ||= changed !== UNCHANGED;
    }
    return any ? parts : NO_PARTS;
  }

  /** Properties by part; parents are to be asked before what they hold. */
  of(was: Scope, is: Scope): Parts {
    const { parent } = is;
    const around = (parent && this.byScope.get(parent.scope)?.get(parent.part)) ?? UNCHANGED;
    const key = `${this.a.structure.keyOf(was)} ${this.b.structure.keyOf(is)} ${around === UNCHANGED ? '' : [...around].join()}`;
    let parts = this.changed.get(key);
    if (!parts && around === UNCHANGED && this.untouched(is)) parts = NO_PARTS;
    if (!parts) {
      parts = this.parts(was, is, around);
      this.changed.set(key, parts);
    }
    this.byScope.set(is, parts);
    return parts;
  }
}

/** Where only tokens, schemes, roles and images differ, a situation that leads to none of those looks as before. */
function untouchedIn(a: Site, b: Site): (scope: Scope) => boolean {
  const structure = structureOf(a);
  const reached = reachedBySituation(a);
  const touched = new Set<Id>();
  for (const kind of ['token', 'scheme', 'role', 'drawing', 'asset'] as const) {
    const [before, after] = [a.kinds[kind], b.kinds[kind]];
    if (before === after) continue;
    for (const [id, record] of before) if (after.get(id) !== record) touched.add(id);
  }
  const known = new Map<number, boolean>();
  return scope => {
    const key = structure.keyOf(scope);
    let clear = known.get(key);
    if (clear === undefined) {
      const leads = reached.get(key);
      clear = leads !== undefined && ![...touched].some(id => leads.has(id));
      known.set(key, clear);
    }
    return clear;
  };
}

const keyOf = ({ node, page }: Standing): string => `${node?.id ?? ''} ${page}`;
const idOf = ({ node, page }: Standing): Id => node?.id ?? page;

/** Compares two sites: which things on which pages come to look different. */
export function compareSites(a: Site, b: Site): Impact {
  const was = standingsOf(a);
  const is = standingsOf(b);
  const comparison = new Comparison(
    { structure: structureOf(a), texts: new Texts(a) },
    { structure: structureOf(b), texts: new Texts(b) },
    was === is && structureOf(a) === structureOf(b) ? untouchedIn(a, b) : () => false,
  );
  const before = was === is ? null : new Map(was.map(it => [keyOf(it), it]));
  const pages = new Map<Id, Id[]>();
  const nodes = new Set<Id>();
  const added = new Set<Id>();
  const stays = new Set<string>();
  const counts = new Map<Aspect, number>();
  for (const standing of is) {
    const key = before ? keyOf(standing) : '';
    const old = before ? before.get(key) : standing;
    const id = idOf(standing);
    if (!old) {
      added.add(id);
      continue;
    }
    if (before) stays.add(key);
    const parts = comparison.of(old.scope, standing.scope);
    if (parts === NO_PARTS) continue;
    const list = pages.get(standing.page);
    if (list) list.push(id);
    else pages.set(standing.page, [id]);
    if (nodes.has(id)) continue;
    nodes.add(id);
    const properties = new Set<Aspect>();
    for (const changed of parts.values()) for (const property of changed) properties.add(property);
    for (const property of properties) counts.set(property, (counts.get(property) ?? 0) + 1);
  }
  const removed = before ? new Set(was.filter(it => !stays.has(keyOf(it))).map(idOf)) : new Set<Id>();
  return {
    pages: [...pages].map(([page, ids]) => ({ page, nodes: ids })),
    nodes: nodes.size,
    added: added.size,
    removed: removed.size,
    properties: [...counts]
      .map(([property, count]) => ({ property, count }))
      .sort((x, y) => y.count - x.count),
    failures: newFailures(a, b),
  };
}

/** What edits would alter, or why they cannot be made. */
export function impactOf(site: Site, edits: readonly Edit[]): Result<Impact> {
  const applied = applyChange(site, { edits });
  return applied.ok ? ok(compareSites(site, applied.value.site)) : applied;
}
