import { longestWays } from '../graph/index.ts';
import { LIMITS, storable } from '../limits/index.ts';
import { newIds } from '../site/id.ts';
import type { Id } from '../site/records.ts';
import { ROOT_OF_TYPE } from '../site/tokenNames.ts';
import type { TokenType, Value } from '../values/index.ts';
import { Amounts } from './amounts.ts';
import type { Draft, Drafts, Noticed } from './draft.ts';
import { inferType, neighbourOf, saysNothing } from './infer.ts';
import { BadToken, isNode, type Node, nodeAt, type Steps, stepsOf } from './tree.ts';
import { type Parts, READERS } from './values.ts';

const TYPE_OF: Readonly<Record<string, TokenType>> = {
  color: 'color',
  dimension: 'dimension',
  number: 'number',
  fontWeight: 'number',
  duration: 'duration',
  cubicBezier: 'cubicBezier',
  fontFamily: 'fontFamily',
  shadow: 'shadow',
  gradient: 'gradient',
};
/** Types of the format that are several values together (sections 9.2 to 9.7). */
const COMPOSITES = ['typography', 'border', 'transition', 'strokeStyle'];

export const typeNamed = (name: string): TokenType | undefined =>
  Object.hasOwn(TYPE_OF, name) ? TYPE_OF[name] : undefined;

const isKnown = (type: string) => typeNamed(type) !== undefined || COMPOSITES.includes(type);

/** Name in curly brackets, without the words some spellings put behind it; null for what is no such alias. */
function aliasIn(it: unknown): string | null {
  if (
    typeof it !== 'string' ||
    !it.startsWith('{') ||
    it.indexOf('}') !== it.length - 1 ||
    it.includes('{', 1)
  )
    return null;
  return it.slice(1, -1).trim() || null;
}

const HERE: readonly string[] = [];

/** A token as it stands in a source, and what is known of it by now. */
export class Found {
  /** The token that its whole value refers to; null for none, undefined until it is asked for. */
  alias: string | null | undefined;
  /** Its type once what it refers to is known. */
  resolved: string | null = null;
  /** Why it cannot be read, once that is known. */
  broken: string | null = null;
  /** Whether its type was worked out from its value. */
  inferred = false;

  constructor(
    readonly id: Id,
    readonly draft: Draft,
    readonly source: Drafts,
  ) {}

  /** Its path, made when it is asked for: of most tokens nobody does. */
  get path(): string[] {
    return [...this.draft.group, this.draft.key];
  }
}

/** Reads tokens of several sources together, so that the ones can refer to the others. */
export class Reader {
  readonly all: readonly Found[];
  readonly findings: Noticed[] = [];
  private readonly byName = new Map<string, Found>();
  private near: Map<string, string> | null = null;
  private withoutSet: Map<string, Found> | null = null;
  private readonly amounts = new Amounts({
    named: (reference, { draft }) => this.tokenAt(this.target(reference, draft.within) ?? reference, HERE),
    valueOf: it => this.valueOf(it),
  });
  private lastParts: { of: Found; parts: Parts } | null = null;

  constructor(
    sources: readonly Drafts[],
    private readonly steps: Steps,
  ) {
    const ids = newIds(
      't',
      sources.reduce((sum, it) => sum + it.drafts.length, 0),
    );
    let at = 0;
    const all: Found[] = [];
    for (const source of sources) {
      this.findings.push(...source.findings);
      for (const draft of source.drafts) {
        const it = new Found(ids[at++] ?? '', draft, source);
        const before = this.byName.get(draft.name);
        if (before) this.tell('read', before, 'This token stands twice. The later one is taken.');
        this.byName.set(draft.name, it);
        all.push(it);
      }
    }
    this.all = all.filter(it => this.byName.get(it.draft.name) === it);
  }

  tell(kind: Noticed['kind'], { draft }: Found, message: string, fix?: string): void {
    this.findings.push({
      kind,
      name: draft.name,
      message,
      place: draft.place(),
      ...(fix !== undefined && { fix }),
    });
  }

  /** Runs what may find a token unreadable; that is told, and the answer is null. */
  attempt<T>(it: Found, work: () => T): T | null {
    try {
      return work();
    } catch (error) {
      if (!(error instanceof BadToken) || error.isBudget) throw error;
      it.broken = error.message;
      const within = error.path.join('.');
      this.tell('unread', it, within === '' ? error.message : `${within}: ${error.message}`, error.expected);
      return null;
    }
  }

  /** Name of the token that a value refers to as a whole; null for what is no such reference. */
  private target(it: unknown, within: Draft['within']): string | null {
    // A pointer into another file names a token like any other: all of them are read together.
    const written = isNode(it) && typeof it.$ref === 'string' ? it.$ref.replace(/^[^#]*(?=#\/)/, '') : it;
    const said = aliasIn(written) ?? stepsOf(written)?.join('.') ?? null;
    const name = said === null ? null : (within?.get(said) ?? said);
    if (name === null || this.byName.has(name)) return name;
    return name.replace(/\.\$?value$/, '');
  }

  private known(name: string): Found | undefined {
    return (
      this.byName.get(name) ??
      this.byName.get(`${name}.$root`) ??
      this.belowSets.get(name) ??
      (name.includes('/') ? this.known(name.replaceAll('/', '.')) : undefined)
    );
  }

  /** Tokens by their names without the first step: some files hold several sets, and name the tokens of each without it. */
  private get belowSets(): ReadonlyMap<string, Found> {
    if (this.withoutSet) return this.withoutSet;
    const found = new Map<string, Found>();
    for (const [name, it] of this.byName) {
      const rest = name.slice(name.indexOf('.') + 1);
      if (rest !== name && !found.has(rest)) found.set(rest, it);
    }
    this.withoutSet = found;
    return found;
  }

  /** Id of the token that a name means; null where none does. */
  idOf(name: string, within: Draft['within']): Id | null {
    return this.known(within?.get(name) ?? name)?.id ?? null;
  }

  private tokenAt(name: string, path: readonly string[]): Found {
    const it = this.known(name);
    if (it) return it;
    this.near ??= new Map(Array.from(this.byName.keys(), known => [known.toLowerCase(), known]));
    const near = this.near.get(name.toLowerCase());
    throw new BadToken(
      path,
      `There is no token ${name}.${near === undefined ? '' : ` Did you mean ${near}?`}`,
      near === undefined ? undefined : `{${near}}`,
    );
  }

  aliasOf(it: Found): string | null {
    if (it.alias === undefined) {
      const name = this.target(it.draft.value, it.draft.within);
      it.alias = name !== null && !this.known(name) && this.isPart(it, name) ? null : name;
    }
    return it.alias;
  }

  /** Whether something is there that is no token: a part of a value, which is taken in its place. */
  private isPart({ source: { root } }: Found, name: string): boolean {
    return root !== null && nodeAt(root, name.split('.')) !== undefined;
  }

  /** Own type, else that of what it refers to, else what its groups say (section 8), else what its value looks like. */
  typeOf(start: Found): string {
    if (start.resolved !== null) return start.resolved;
    if (start.broken === null && (start.draft.type !== null || this.aliasOf(start) === null)) {
      start.resolved = this.ownType(start);
      return start.resolved;
    }
    const passed = new Set<Found>();
    let at = start;
    const refuse = (message: string): never => {
      for (const it of passed) it.broken = message;
      throw new BadToken([], message);
    };
    while (at.resolved === null) {
      if (at.broken !== null) refuse(`It refers to ${at.draft.name}, which cannot be read.`);
      if (passed.has(at)) refuse('This token refers to itself.');
      if (passed.size > LIMITS.following)
        refuse(`More than ${LIMITS.following} tokens refer to one another.`);
      passed.add(at);
      const alias = at.draft.type === null ? this.aliasOf(at) : null;
      if (alias === null) {
        at.resolved = this.ownType(at);
        break;
      }
      at = this.tokenAt(alias, []);
    }
    for (const it of passed) it.resolved = at.resolved;
    return at.resolved;
  }

  private ownType(it: Found): string {
    const { type, inherited, value } = it.draft;
    const written = type ?? inherited;
    const said = written !== null && saysNothing(written) ? null : written;
    if (said === null) {
      const inferred = inferType(value, it.path) ?? this.typeOfSum(it);
      if (inferred === null)
        throw new BadToken([], 'No type is given, and its value does not show one.', '"$type": "color"');
      it.inferred = true;
      return inferred;
    }
    // A gradient stands where a colour does in many files.
    if (said === 'color' && typeof value === 'string' && /gradient\(/.test(value)) {
      this.note(it, 'It is a gradient, not a colour.', '"$type": "gradient"');
      return 'gradient';
    }
    if (isKnown(said)) return said;
    const neighbour = neighbourOf(said);
    if (neighbour === null) throw new BadToken([], `A guide has no place for the type ${said}.`);
    if (neighbour === undefined)
      throw new BadToken(
        ['$type'],
        `There is no type ${said}.`,
        [...Object.keys(TYPE_OF), ...COMPOSITES].join(', '),
      );
    // “number” and “dimension” are told apart by the value where a word can mean both.
    const shown = neighbour === 'number' ? inferType(value, it.path) : null;
    const read = shown === 'dimension' || shown === 'number' ? shown : neighbour;
    this.note(it, `The type ${said} is read as ${read}.`, `"$type": "${read}"`);
    return read;
  }

  /** A sum is of the type that its first token says of itself. */
  private typeOfSum({ draft: { value, within } }: Found): string | null {
    const first = typeof value === 'string' ? /\{[^{}]+\}/.exec(value)?.[0] : undefined;
    const name = first === undefined ? null : this.target(first, within);
    const said = name === null ? undefined : this.known(name)?.draft;
    const type = said?.type ?? said?.inherited ?? null;
    return type === 'dimension' || type === 'number' ? type : null;
  }

  /** What is told only of files that mean to be in the format: in the others it is how they are written. */
  note(it: Found, message: string, fix: string): void {
    if (it.source.isFormat) this.tell('read', it, message, fix);
  }

  /** References inside a value by JSON Pointer, to a part of another value, replaced by what they point at. */
  private plain(root: Node | null, it: unknown, path: readonly string[], depth = 0): unknown {
    if (root === null) return it;
    this.steps.pass(1, path);
    if (depth > LIMITS.following) throw new BadToken(path, 'These references run in a circle.');
    if (Array.isArray(it)) return it.map((inner, i) => this.plain(root, inner, [...path, String(i)], depth));
    if (!isNode(it)) return it;
    const steps = typeof it.$ref === 'string' ? stepsOf(it.$ref) : null;
    if (!steps)
      return Object.fromEntries(
        Object.entries(it).map(([key, inner]) => [key, this.plain(root, inner, [...path, key], depth)]),
      );
    const name = this.target(it, null);
    if (name !== null && this.known(name)) return `{${name}}`;
    const target = nodeAt(root, steps);
    if (target === undefined) throw new BadToken(path, `There is nothing at ${String(it.$ref)}.`);
    return this.plain(root, target, path, depth + 1);
  }

  /** The value of a token, its pointers followed. */
  valueOf({ draft, source }: Found): unknown {
    return source.hasPointers ? this.plain(source.root, draft.value, []) : draft.value;
  }

  /** The token that a part of a value names, once it is known to be of the type that belongs there. */
  private named(it: unknown, path: readonly string[], type: string, within: Draft['within']): Found | null {
    const name = this.target(it, within);
    return name === null ? null : this.ofType(name, path, type);
  }

  private ofType(name: string, path: readonly string[], type: string): Found {
    const found = this.tokenAt(name, path);
    const its = this.typeOf(found);
    if ((typeNamed(its) ?? its) !== (typeNamed(type) ?? type))
      throw new BadToken(path, `${name} is a ${its}, not a ${type}.`, `a ${type}`);
    return found;
  }

  /** Type of the token that a part of a value names; null for what names none. */
  typeIn(it: Found, part: unknown): string | null {
    const name = this.target(part, it.draft.within);
    const found = name === null ? undefined : this.known(name);
    return found ? this.typeOf(found) : null;
  }

  /** What a value of this token is read with. */
  partsOf(it: Found): Parts {
    if (this.lastParts?.of === it) return this.lastParts.parts;
    const parts: Parts = {
      reference: (part, path, type) => {
        const found = this.named(part, path, type, it.draft.within);
        return found && { type: 'token', token: found.id };
      },
      follow: (part, path, type) => {
        let at = part;
        let within = it.draft.within;
        for (let depth = 0; ; depth++) {
          const found = this.named(at, path, type, within);
          if (!found) return at;
          if (depth > LIMITS.following) throw new BadToken(path, 'These references run in a circle.');
          this.steps.pass(1, path);
          at = this.valueOf(found);
          within = found.draft.within;
        }
      },
      sum: text => this.amounts.sum(text, it),
      earlier: (_, message, fix) => this.note(it, message, fix),
      lossy: message => this.tell('read', it, message),
    };
    this.lastParts = { of: it, parts };
    return parts;
  }

  /** The token that a whole value refers to; null for a value of its own. */
  refer(it: Found, type: string): Value | null {
    const alias = this.aliasOf(it);
    if (alias === null) return null;
    return { type: 'token', token: this.ofType(alias, HERE, type).id };
  }

  value(it: Found, type: string): Value {
    const alias = this.refer(it, type);
    if (alias) return alias;
    const read = Object.hasOwn(READERS, type) ? READERS[type] : undefined;
    if (!read) throw new BadToken(['$type'], `There is no type ${type}.`);
    return read(this.valueOf(it), HERE, this.partsOf(it));
  }
}

/** Which of some tokens run in a circle, or follow one another farther than a guide allows. */
export function badWays(ids: Iterable<Id>, named: (id: Id) => readonly Id[]): Map<Id, string> {
  const way = longestWays(named, LIMITS.following);
  const bad = new Map<Id, string>();
  for (const id of ids) {
    const length = way(id);
    if (typeof length === 'number') continue;
    bad.set(
      id,
      length === 'circular'
        ? 'This token refers to itself.'
        : `More than ${LIMITS.following} tokens refer to one another.`,
    );
  }
  return bad;
}

/** Characters of a name. */
export const LONGEST_NAME = 80;
/** The beginning of a text; a character that would be cut in two is not known. */
export const cut = (text: string, most: number): string => storable(text.slice(0, most));

/** `hull-deep` → `Hull deep`. */
const titled = (step: string): string => {
  const words = /[-_ ]/.test(step) ? step.replace(/[-_]+/g, ' ').trim() : step;
  return words.charAt(0).toUpperCase() + words.slice(1);
};

const groupTitles = new WeakMap<readonly string[], Map<TokenType, string>>();

/** Group of the tokens below some steps; our own first step, which says the type, is left out. */
function groupTitle(steps: readonly string[], type: TokenType): string {
  const known = groupTitles.get(steps) ?? new Map<TokenType, string>();
  groupTitles.set(steps, known);
  let title = known.get(type);
  if (title === undefined) {
    const inner = steps.length > 1 && steps[0] === ROOT_OF_TYPE[type] ? steps.slice(1) : steps;
    title = cut(inner.map(titled).join(' '), LONGEST_NAME) || 'Imported';
    known.set(type, title);
  }
  return title;
}

/** Group and name of a token in the guide; one called `$root` has the name of its group. */
export function namesFor({ draft: { group, key } }: Found, type: TokenType): { group: string; name: string } {
  const steps = key === '$root' ? group.slice(0, -1) : group;
  const name = key === '$root' ? (group.at(-1) ?? '') : key;
  return { group: groupTitle(steps, type), name: cut(titled(name), LONGEST_NAME) || 'Unnamed' };
}
