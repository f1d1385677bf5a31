import { longestWays } from '../../graph/index.ts';
import { LIMITS, scanJson, tooLong } from '../../limits/index.ts';
import { fail, ok, type Problem, type Result } from '../../result/index.ts';
import { PURPOSES } from '../../roles/index.ts';
import { newIds } from '../../site/id.ts';
import { keysBetween } from '../../site/order.ts';
import type { Id, TextStyleRecord, TokenRecord } from '../../site/records.ts';
import { ROOT_OF_TYPE } from '../../site/tokenNames.ts';
import type { TokenType, Value } from '../../values/index.ts';
import { tokensIn, tokenTypeOf } from '../../values/index.ts';
import type { Tokens } from '../graph.ts';
import { findCircular } from '../graph.ts';
import { parseTokenValue } from '../text.ts';
import { lineAndColumn, locate } from './locate.ts';
import { BadToken, extended, isNode, isToken, type Node, nodeAt, Steps, stepsOf } from './tree.ts';
import { LEFT_OUT, READERS } from './values.ts';
import { OURS } from './write.ts';

export interface ReadTokens {
  tokens: readonly TokenRecord[];
  textStyles: readonly TextStyleRecord[];
  /** What the guide has no place for, with the reason. */
  left: readonly { path: string; reason: string }[];
}

/** A token as it stands in the file. */
class Found {
  id: Id = '';
  /** The token that its whole value refers to, as aliases write it; null for none, undefined until it is asked for. */
  alias: string | null | undefined;
  /** Its type once what it refers to is known. */
  resolved: string | null = null;

  constructor(
    readonly group: readonly string[],
    readonly key: string,
    /** Its path as aliases write it. */
    readonly name: string,
    /** As in the format: its own or that of its groups. */
    readonly type: string | null,
    readonly written: Node,
  ) {}

  /** Made when it is asked for: of most tokens nobody does. */
  get path(): string[] {
    return [...this.group, this.key];
  }
}

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

const typeNamed = (name: string): TokenType | undefined =>
  Object.hasOwn(TYPE_OF, name) ? TYPE_OF[name] : undefined;

const isLeftOut = (type: string) => LEFT_OUT.some(it => it === type);

/** `hull-deep` → `Hull deep`. */
const titled = (step: string): string => {
  const words = /[-_ ]/.test(step) ? step.replace(/[-_]+/g, ' ').trim() : step;
  return words.charAt(0).toUpperCase() + words.slice(1);
};

/** Characters of a description that are kept as a note. */
const LONGEST_NOTE = 2000;

const textOf = (it: unknown): string => (typeof it === 'string' ? it : '');

const groupTitles = new WeakMap<readonly string[], Map<TokenType, string>>();

/** Group of the tokens below some steps; our own first step, which says the type, is left out. */
function groupTitle(steps: readonly string[], type: TokenType): string {
  const known = groupTitles.get(steps) ?? new Map<TokenType, string>();
  groupTitles.set(steps, known);
  let title = known.get(type);
  if (title === undefined) {
    const inner = steps.length > 1 && steps[0] === ROOT_OF_TYPE[type] ? steps.slice(1) : steps;
    title = inner.map(titled).join(' ').slice(0, 80) || 'Imported';
    known.set(type, title);
  }
  return title;
}

/** Group and name of a token; one called `$root` has the name of its group. */
function named({ group, key }: Found, type: TokenType): { group: string; name: string } {
  const steps = key === '$root' ? group.slice(0, -1) : group;
  const name = key === '$root' ? (group.at(-1) ?? '') : key;
  return { group: groupTitle(steps, type), name: titled(name).slice(0, 80) || 'Unnamed' };
}

/** All tokens of a file, groups walked, types inherited (section 6.3). */
function collect(root: Node, steps: Steps): Found[] {
  const found: Found[] = [];
  const visit = (node: Node, path: readonly string[], inherited: string | null) => {
    if (path.length > LIMITS.json.depth)
      throw new BadToken(path, `Groups nest more than ${LIMITS.json.depth} levels deep.`);
    const group = extended(root, node, path, steps);
    steps.pass(1, path);
    const type = typeof group.$type === 'string' ? group.$type : inherited;
    const prefix = path.length === 0 ? '' : `${path.join('.')}.`;
    for (const key of Object.keys(group)) {
      steps.pass(1, path);
      if (key.startsWith('$') && key !== '$root') continue;
      const inner = group[key];
      if (!isNode(inner))
        throw new BadToken([...path, key], `${key} is neither a token nor a group.`, 'an object');
      if (/[{}.]/.test(key)) throw new BadToken([...path, key], `A name holds no brackets or dots: ${key}.`);
      if (!isToken(inner)) visit(inner, [...path, key], type);
      else if (inner.$type !== undefined && typeof inner.$type !== 'string')
        throw new BadToken([...path, key, '$type'], 'A type is a word.');
      else found.push(new Found(path, key, prefix + key, textOf(inner.$type) || type, inner));
    }
  };
  visit(root, [], null);
  const ids = newIds('t', found.length);
  for (const [i, it] of found.entries()) it.id = ids[i] ?? '';
  return found;
}

class Reader {
  private readonly byPath = new Map<string, Found>();
  readonly left: { path: string; reason: string }[] = [];

  constructor(
    private readonly root: Node,
    private readonly found: readonly Found[],
    /** Whether the file refers to parts of values by JSON Pointer at all. */
    private readonly pointers: boolean,
    private readonly steps: Steps,
  ) {
    for (const it of found) this.byPath.set(it.name, it);
  }

  /** The whole `$value`, a reference given by `$ref` beside it being the same as an alias. */
  private valueOf({ written }: Found): unknown {
    return Object.hasOwn(written, '$value') ? written.$value : { $ref: written.$ref };
  }

  /** Name of the token that a value refers to as a whole; null for what is no such reference. */
  private target(it: unknown): string | null {
    const written = isNode(it) && typeof it.$ref === 'string' ? it.$ref : it;
    const name = aliasIn(written) ?? stepsOf(written)?.join('.') ?? null;
    return name?.endsWith('.$value') ? name.slice(0, -'.$value'.length) : name;
  }

  private aliasOf(it: Found): string | null {
    if (it.alias === undefined) it.alias = this.target(this.valueOf(it));
    return it.alias;
  }

  /** `where` says the place in the file, should it be needed. */
  private tokenAt(name: string, where: () => readonly string[]): Found {
    const it = this.byPath.get(name) ?? this.byPath.get(`${name}.$root`);
    if (it) return it;
    const near = [...this.byPath.keys()].find(known => known.toLowerCase() === name.toLowerCase());
    throw new BadToken(
      where(),
      `There is no token ${name}.${near ? ` Did you mean ${near}?` : ''}`,
      'a token of this file',
    );
  }

  /** Own type, else that of what it refers to, else what the groups say (section 8). */
  typeOf(start: Found): string {
    const passed = new Set<Found>();
    let at = start;
    while (at.resolved === null) {
      if (passed.has(at)) throw new BadToken(at.path, 'This token refers to itself.');
      if (passed.size > LIMITS.following)
        throw new BadToken(start.path, `More than ${LIMITS.following} tokens refer to one another.`);
      passed.add(at);
      const alias = textOf(at.written.$type) ? null : this.aliasOf(at);
      if (alias === null) {
        if (at.type === null)
          throw new BadToken(at.path, 'This token has no $type, and no group says one.', 'a $type');
        at.resolved = at.type;
        break;
      }
      const { path } = at;
      at = this.tokenAt(alias, () => [...path, '$value']);
    }
    for (const it of passed) it.resolved = at.resolved;
    return at.resolved;
  }

  /** References inside a value by JSON Pointer, to a part of another value, replaced by what they point at. */
  private plain(it: unknown, path: readonly string[], depth = 0): unknown {
    if (!this.pointers) return it;
    this.steps.pass(1, path);
    if (depth > LIMITS.following) throw new BadToken(path, 'These references run in a circle.');
    if (Array.isArray(it)) return it.map((inner, i) => this.plain(inner, [...path, String(i)], depth));
    if (!isNode(it)) return it;
    const steps = typeof it.$ref === 'string' ? stepsOf(it.$ref) : null;
    if (!steps)
      return Object.fromEntries(
        Object.entries(it).map(([key, inner]) => [key, this.plain(inner, [...path, key], depth)]),
      );
    const target = nodeAt(this.root, steps);
    if (target === undefined) throw new BadToken(path, `There is nothing at ${textOf(it.$ref)}.`);
    if (isNode(target) && isToken(target)) return `{${steps.join('.')}}`;
    return this.plain(target, path, depth + 1);
  }

  /** A token named by a part of a value; null where the part is no reference. */
  private readonly reference = (it: unknown, path: readonly string[]): Value | null => {
    const name = this.target(it);
    return name === null ? null : { type: 'token', token: this.tokenAt(name, () => path).id };
  };

  private refer(it: Found, type: string): Value | null {
    const whole = this.aliasOf(it);
    if (whole === null || (this.pointers && this.isPart(whole))) return null;
    const target = this.tokenAt(whole, () => [...it.path, '$value']);
    const found = this.typeOf(target);
    if (typeNamed(found) !== typeNamed(type))
      throw new BadToken([...it.path, '$value'], `${whole} is a ${found}, not a ${type}.`, `a ${type}`);
    return { type: 'token', token: target.id };
  }

  /** Whether something is there that is no token: a part of a value, which is taken in its place. */
  private isPart(name: string): boolean {
    const pointed = nodeAt(this.root, name.split('.'));
    return pointed !== undefined && !(isNode(pointed) && (isToken(pointed) || isNode(pointed.$root)));
  }

  value(it: Found, type: string): Value {
    const alias = this.refer(it, type);
    if (alias) return alias;
    const read = Object.hasOwn(READERS, type) ? READERS[type] : undefined;
    if (!read)
      throw new BadToken([...it.path, '$type'], `There is no type ${type}.`, Object.keys(READERS).join(', '));
    try {
      return read(this.plain(this.valueOf(it), HERE), HERE, this.reference);
    } catch (error) {
      // Where a value stands is told once something is wrong with it: of most nobody asks.
      throw error instanceof BadToken ? error.at([...it.path, '$value']) : error;
    }
  }

  /** A `typography` token as slots of a text style (section 9.7). */
  typography(it: Found): TextStyleRecord['styles'] {
    const at = [...it.path, '$value'];
    const written = this.plain(this.valueOf(it), at);
    if (!isNode(written)) throw new BadToken(at, 'Typography is an object.');
    const styles: Record<string, Value> = {};
    for (const [key, type] of [
      ['fontFamily', 'fontFamily'],
      ['fontSize', 'dimension'],
      ['fontWeight', 'fontWeight'],
      ['letterSpacing', 'dimension'],
      ['lineHeight', 'number'],
    ] as const)
      if (written[key] !== undefined) {
        const value = this.reference(written[key], [...at, key]);
        styles[`/${key}`] = value ?? (READERS[type] ?? never)(written[key], [...at, key], this.reference);
      }
    return styles;
  }

  get all(): readonly Found[] {
    return this.found;
  }
}

/** Name in curly brackets; null for what is no such alias. */
const aliasIn = (it: unknown): string | null =>
  typeof it === 'string' && it.startsWith('{') && it.indexOf('}') === it.length - 1 && !it.includes('{', 1)
    ? it.slice(1, -1) || null
    : null;

const HERE: readonly string[] = [];

const never = (): never => {
  throw new Error('a type without a reader');
};

/** What we wrote beside a value that the format has no words for. */
const oursIn = ({ written }: Found): Node | null => {
  const ours = isNode(written.$extensions) ? written.$extensions[OURS] : undefined;
  return isNode(ours) ? ours : null;
};

/** How a value is derived, or how it grows. */
const keptIn = (ours: Node): string | null =>
  textOf(ours.derived) || textOf(ours.fluid) || textOf(ours.gradient) || null;

function place(text: string, path: readonly string[]): string {
  for (let depth = path.length; depth >= 0; depth--) {
    const at = locate(text, path.slice(0, depth));
    if (at) return ` (line ${at.line}, column ${at.column})`;
  }
  return '';
}

const problemOf = (text: string, { path, message, expected }: BadToken): Problem => ({
  code: 'bad-token',
  message: `${path.length > 0 ? `${path.join('.')}: ` : ''}${message}${place(text, path)}`,
  path: path.join('.'),
  ...(expected !== undefined && { expected }),
});

function parseJson(text: string): Result<unknown> {
  try {
    return ok(JSON.parse(text));
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error;
    const offset = /position (\d+)/.exec(error.message)?.[1];
    const at = lineAndColumn(text, offset === undefined ? text.length : Number(offset));
    return fail({
      code: 'bad-json',
      message: `This is not JSON: line ${at.line}, column ${at.column}.`,
      found: text.slice(Math.max(0, Number(offset ?? text.length) - 10), Number(offset ?? text.length) + 10),
    });
  }
}

/**
 * Reads a file of Design Tokens Format Module 2025.10 (groups, `$type` inherited, `$extends`, `$root`, aliases in curly
 * brackets and by JSON Pointer). Answers with new tokens in the order of the file, or with the first thing wrong and its
 * line and column; then nothing of it is taken.
 */
export function readDesignTokens(text: string): Result<ReadTokens> {
  const refused = tooLong(text, LIMITS.typed.tokens);
  if (refused) return refused;
  const counted = scanJson(text, LIMITS.json);
  if (!counted.ok) return counted;
  const json = parseJson(text);
  if (!json.ok) return json;
  const root = json.value;
  if (!isNode(root))
    return fail({
      code: 'bad-token',
      message: 'A token file is a JSON object.',
      expected: 'groups and tokens',
    });
  try {
    return ok(records(root, text.includes('"$ref"')));
  } catch (error) {
    if (error instanceof BadToken) return fail(problemOf(text, error));
    throw error;
  }
}

function records(root: Node, pointers: boolean): ReadTokens {
  const steps = new Steps(LIMITS.json.values);
  const reader = new Reader(root, collect(root, steps), pointers, steps);
  const orders = keysBetween(null, null, reader.all.length);
  const tokens = new Map<Id, TokenRecord>();
  const textStyles: TextStyleRecord[] = [];
  const left: { path: string; reason: string }[] = [];
  const kept: [TokenRecord, string][] = [];
  /** Only what names others can run in a circle. */
  const naming: Id[] = [];
  for (const [i, it] of reader.all.entries()) {
    const said = oursIn(it);
    // The lesser end of a growing size that we wrote beside it.
    if (said?.leastOf !== undefined) continue;
    const type = reader.typeOf(it);
    const order = orders[i] ?? 'V';
    const path = it.name;
    if (isLeftOut(type)) {
      left.push({ path, reason: `A guide has no tokens of type ${type}.` });
      continue;
    }
    if (type === 'typography') {
      const { name } = named(it, 'color');
      textStyles.push({ id: it.id, kind: 'textStyle', name, order, styles: reader.typography(it) });
      continue;
    }
    const value = reader.value(it, type);
    const own = typeNamed(type) ?? (value.type === 'token' ? null : tokenTypeOf(literal(value)));
    if (!own) throw new BadToken(it.path, `There is no type ${type}.`);
    const { group, name } = named(it, own);
    const note = textOf(it.written.$description).slice(0, LONGEST_NOTE);
    const purpose = said && own === 'color' ? PURPOSES.find(known => known === said.purpose) : undefined;
    const record: TokenRecord = {
      id: it.id,
      kind: 'token',
      type: own,
      name,
      group,
      order,
      value,
      ...(purpose && { purpose }),
      ...(note.trim() !== '' && { note }),
    };
    tokens.set(it.id, record);
    if (value.type === 'token' || value.type === 'shadow' || value.type === 'gradient') naming.push(it.id);
    const ours = said && keptIn(said);
    if (ours !== null) kept.push([record, ours]);
  }
  const way = longestWays((id: Id) => {
    const value = tokens.get(id)?.value;
    return value ? tokensIn(value) : [];
  }, LIMITS.following);
  for (const id of naming) {
    const length = way(id);
    if (typeof length === 'number') continue;
    const message =
      length === 'circular'
        ? 'This token refers to itself.'
        : `More than ${LIMITS.following} tokens refer to one another.`;
    throw new BadToken(reader.all.find(it => it.id === id)?.path ?? [], message);
  }
  return { tokens: withKept(tokens, kept), textStyles, left };
}

const literal = (value: Value) =>
  value.type === 'role' || value.type === 'textStyle' || value.type === 'derived' || value.type === 'token'
    ? 'keyword'
    : value.type;

/** Puts back derivations and growing sizes that we wrote ourselves, where what they name is in the file too. */
function withKept(tokens: Map<Id, TokenRecord>, kept: readonly [TokenRecord, string][]): TokenRecord[] {
  if (kept.length === 0) return [...tokens.values()];
  const names: Tokens = new Map(tokens);
  for (const [record, text] of kept) {
    const value = parseTokenValue(text, record.type, names);
    if (value.ok) tokens.set(record.id, { ...record, value: value.value });
  }
  const broken = findCircular(it => tokens.get(it)?.value ?? null, tokens.keys());
  return [...(broken === undefined ? tokens : names).values()];
}
