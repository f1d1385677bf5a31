import { printNumber } from '../color/index.ts';
import { colorOf, type Lookup, parseSyntax } from '../color/parse/index.ts';
import { DERIVATIONS, derivationNamed } from '../derivations/index.ts';
import { LIMITS, nestsTooDeep, tooLong } from '../limits/index.ts';
import { accepts, expectedOf, type PropertyRow, propertyOf, tokenTypesOf } from '../properties/index.ts';
import { declarationProblem } from '../properties/unfollowed.ts';
import { fail, ok, type Problem, type Result } from '../result/index.ts';
import { ROLES, roleNamed } from '../roles/index.ts';
import { tokenPath as pathOf, slug, tokenAt, tokensNamed } from '../site/tokenNames.ts';
import {
  type Derivation,
  type LengthUnit,
  type LiteralType,
  parseArithmetic,
  parseLiteral,
  printAsTyped,
  splitTop,
  type TokenType,
  type Value,
} from '../values/index.ts';
import { derivationOf } from './colorDerivation.ts';
import { literalOf, NO_REBINDS, type Tokens } from './graph.ts';

type OwnRoles = ReadonlyMap<string, unknown>;
const NO_ROLES: OwnRoles = new Map();

/** How a value is typed and shown: `{color.brand.hull}`, `role.fill`, `tint({color.brand.hull}, 20%)`, or a literal. */
export function printTyped(value: Value, tokens: Tokens): string {
  const reference = (id: string) => `{${pathOf(tokens, id)}}`;
  const derived = ({ op, from, by }: Derivation) => {
    const rule = derivationNamed(op);
    const numbers = by.map((n, i) =>
      rule?.by[i]?.share ? `${printNumber(Number((n * 100).toFixed(4)))}%` : printNumber(n),
    );
    return `${op}(${[...from.map(reference), ...numbers].join(', ')})`;
  };
  return printAsTyped(value, {
    fluid: { from: 0, to: 1 },
    gamut: 'srgb',
    token: reference,
    role: name => `role.${name}`,
    derived: it => derived(it.derivation),
    picture: id => id,
    pattern: it => it.drawing,
    viewportUnit: '1vw',
  });
}

/** Reads a reference or a derivation; null when the text is neither, so that a literal may be tried. */
function parseReference(text: string, types: readonly TokenType[], tokens: Tokens): Result<Value> | null {
  const path = /^\{([^}]*)\}$/.exec(text)?.[1];
  if (path !== undefined) {
    const token = tokenAt(tokens, path.trim());
    const expected = `a token of type ${types.join(' or ')}`;
    if (!token)
      return fail({ code: 'unknown-token', message: `There is no token ${path}.`, found: path, expected });
    if (!types.includes(token.type))
      return fail({
        code: 'wrong-type',
        message: `${path} is of type ${token.type}.`,
        found: token.type,
        expected,
      });
    return ok({ type: 'token', token: token.id });
  }
  const call = /^([a-z]+)\((.*)\)$/s.exec(text);
  const rule = derivationNamed(call?.[1] ?? '');
  if (!call || !rule || !call[2]?.includes('{')) return null;
  const parts = splitTop(call[2], /,/);
  const expected = `${rule.op}(${[...rule.from.map(type => `{${type}}`), ...rule.by.map(by => (by.share ? '20%' : '2'))].join(', ')})`;
  const refuse = () =>
    fail({ code: 'bad-derivation', message: `Write it as ${expected}.`, found: text, expected });
  if (!types.includes(rule.type) || parts.length !== rule.from.length + rule.by.length) return refuse();
  const from: string[] = [];
  for (const [i, type] of rule.from.entries()) {
    const inner = parseReference(parts[i] ?? '', [type], tokens);
    if (!inner) return refuse();
    if (!inner.ok) return inner;
    if (inner.value.type !== 'token') return refuse();
    from.push(inner.value.token);
  }
  const by = rule.by.map(({ share }, i) => {
    const written = parts[rule.from.length + i] ?? '';
    return share && written.endsWith('%') ? Number(written.slice(0, -1)) / 100 : Number(written);
  });
  const derivation: Derivation = { op: rule.op, from, by };
  return rule.accepts(derivation) ? ok({ type: 'derived', derivation }) : refuse();
}

/**
 * Reads a colour of CSS Color 5 that names tokens: as the derivation that expresses the same where there is one, else as the
 * colour it comes to now. Null for what is no such colour.
 */
function parseMixed(text: string, tokens: Tokens): Result<Value> | null {
  if (!text.includes('{')) return null;
  const syntax = parseSyntax(text);
  if (!syntax || syntax.type === 'reference') return null;
  const idOf = (name: string): string | null => {
    const token = tokenAt(tokens, name);
    return token?.type === 'color' ? token.id : null;
  };
  const lookup: Lookup = ({ kind, name }) => {
    const id = kind === 'token' ? idOf(name) : null;
    const end = id === null ? null : literalOf(tokens, NO_REBINDS, { type: 'token', token: id });
    return end?.type === 'color' ? end.value : null;
  };
  const found = derivationOf(syntax, lookup);
  if (found) {
    const from = found.from.flatMap(({ name }) => idOf(name) ?? []);
    return ok({ type: 'derived', derivation: { op: found.op, from, by: found.by } });
  }
  const color = colorOf(syntax, lookup);
  return color && ok({ type: 'color', value: color });
}

/** Why a typed value is not even looked at; null where it is. */
const unreadable = (source: string): { ok: false; problem: Problem } | null =>
  tooLong(source, LIMITS.typed.value) ??
  (nestsTooDeep(source)
    ? fail({
        code: 'too-deep',
        message: `Brackets can stand at most ${LIMITS.typed.brackets} deep, one within another.`,
        found: `more than ${LIMITS.typed.brackets} levels`,
        expected: `at most ${LIMITS.typed.brackets} levels`,
      })
    : null);

const bare = (text: string) => text.trim().replace(/;$/, '');

const NAMED_IN_PROBLEM = 4;

/** A token as the interface shows it, without its type: `brand.hull`. */
export const shortPath = (tokens: Tokens, id: string): string => pathOf(tokens, id).replace(/^[^.]*\./, '');

/** Reads the name of a token as the interface shows it, `brand.hull` or `Hull`; refuses a name that several bear, null where none does. */
function parseName(text: string, types: readonly TokenType[], tokens: Tokens): Result<Value> | null {
  const found = tokensNamed(tokens, text).filter(it => types.includes(it.type));
  if (found.length > 1)
    return fail({
      code: 'ambiguous-token',
      message: `${found.length} tokens are named ${text}: ${found
        .slice(0, NAMED_IN_PROBLEM)
        .map(it => shortPath(tokens, it.id))
        .join(', ')}${found.length > NAMED_IN_PROBLEM ? ' and more' : ''}.`,
      found: text,
      expected: 'a name with its group',
    });
  return found[0] ? ok({ type: 'token', token: found[0].id }) : null;
}

/**
 * Any words could be a family of fonts, so the name of a voice is looked for before: a family of that very name is written
 * in quotes.
 */
function parseVoice(text: string, tokens: Tokens): Result<Value> | null {
  const named = parseName(text, ['fontFamily'], tokens);
  return named?.ok ? named : null;
}

/** A sum without a unit, which stands for a length in the usual one. */
function parsePlainLength(text: string, unit: LengthUnit): Value | null {
  const value = /[a-z%]/i.test(text) ? null : parseArithmetic(text);
  return value === null ? null : { type: 'dimension', value: { value, unit } };
}

/** Reads what is typed into a token's field. */
export function parseTokenValue(source: string, type: TokenType, tokens: Tokens): Result<Value> {
  const refused = unreadable(source);
  if (refused) return refused;
  const text = bare(source);
  const reference = parseReference(text, [type], tokens);
  if (reference) return reference;
  const mixed = type === 'color' ? parseMixed(text, tokens) : null;
  if (mixed) return mixed;
  const voice = type === 'fontFamily' ? parseVoice(text, tokens) : null;
  if (voice) return voice;
  const types: LiteralType[] = type === 'dimension' ? ['dimension', 'fluid'] : [type];
  for (const literal of types) {
    const value = parseLiteral(text, literal, shade => colorInside(shade, tokens));
    if (value) return ok(value);
  }
  const named = parseName(text, [type], tokens);
  if (named) return named;
  const plain = type === 'dimension' ? parsePlainLength(text, 'px') : null;
  if (plain) return ok(plain);
  const expected = EXPECTED[type];
  const known = [...tokens.values()].find(it => it.type === type);
  const rules = DERIVATIONS.filter(rule => rule.type === type).map(rule => `${rule.op}()`);
  const ways = [
    expected,
    known && `a token such as {${pathOf(tokens, known.id)}}`,
    rules.length > 0 && `one of ${rules.join(', ')}`,
  ].filter(it => it !== undefined && it !== false);
  const [last, ...others] = ways.toReversed();
  return fail({
    code: 'bad-value',
    message: `Write ${others.length > 0 ? `${others.toReversed().join(', ')} or ${last}` : last}.`,
    found: source,
    expected,
  });
}

const EXPECTED: Record<TokenType, string> = {
  color: 'a colour: #2a3d66, rgb(), hsl(), oklch() or a name',
  dimension: 'a length such as 1.5rem, or a growing one such as 1rem .. 1.25rem',
  number: 'a number',
  duration: 'a time such as 140ms',
  cubicBezier: 'cubic-bezier(0.2, 0, 0, 1)',
  fontFamily: 'family names with a generic one last, such as Literata, serif',
  shadow: 'a shadow such as 0 2px 8px #0003',
  gradient: 'a gradient such as linear-gradient(160deg, #2a3d66, #fff)',
};

const colorInside = (text: string, tokens: Tokens, ownRoles = NO_ROLES): Value | null => {
  const reference = parseReference(text, ['color'], tokens);
  if (reference) return reference.ok ? reference.value : null;
  return parseRole(text, ownRoles) ?? parseLiteral(text, 'color');
};

/** A role by the name that the interface gives it; the roles of a site's own are known by theirs. */
function parseRoleLabel(text: string, own: OwnRoles): Value | null {
  const label = slug(text);
  const known = ROLES.find(it => slug(it.label) === label)?.name;
  const name = known ?? [...own.keys()].find(it => slug(it) === label);
  return name === undefined ? null : { type: 'role', role: name };
}

function parseRole(text: string, own: OwnRoles): Value | null {
  const name = /^role\.([a-zA-Z][a-zA-Z0-9-]*)$/.exec(text)?.[1];
  return name && (roleNamed(name) || own.has(name)) ? { type: 'role', role: name } : null;
}

/** Reads what is typed into a property's field. */
export function parsePropertyValue(
  source: string,
  row: PropertyRow,
  tokens: Tokens,
  ownRoles: OwnRoles = NO_ROLES,
): Result<Value> {
  const refused = unreadable(source);
  if (refused) return refused;
  const text = bare(source);
  if (row.keywords?.includes(text.toLowerCase())) return ok({ type: 'keyword', value: text.toLowerCase() });
  const reference = parseReference(text, tokenTypesOf(row), tokens);
  if (reference) return reference;
  const isColor = row.accepts.includes('color');
  const role = isColor ? parseRole(text, ownRoles) : null;
  if (role) return ok(role);
  const mixed = isColor ? parseMixed(text, tokens) : null;
  if (mixed) return mixed;
  const voice = row.accepts.includes('fontFamily') ? parseVoice(text, tokens) : null;
  if (voice) return voice;
  for (const type of row.accepts) {
    const value = parseLiteral(text, type, shade => colorInside(shade, tokens, ownRoles));
    const result = value && accepts(row, value);
    if (result?.ok) return result;
  }
  const named = parseName(text, tokenTypesOf(row), tokens);
  if (named) return named;
  const labelled = isColor ? parseRoleLabel(text, ownRoles) : null;
  if (labelled) return ok(labelled);
  const plain = row.accepts.includes('dimension') ? parsePlainLength(text, row.unit ?? 'px') : null;
  const taken = plain && accepts(row, plain);
  if (taken?.ok) return taken;
  return fail({
    code: 'bad-value',
    message: `${row.label} takes ${expectedOf(row)}.`,
    found: source,
    expected: expectedOf(row),
  });
}

export interface TypedDeclarations {
  /** Values of properties that are followed. */
  followed: readonly (readonly [PropertyRow, Value])[];
  /** CSS properties and values that are not, and stand as typed. */
  unfollowed: readonly (readonly [css: string, value: string])[];
}

/** Reads a few lines of CSS; refuses all at the first that cannot stand. */
export function parseDeclarations(
  source: string,
  tokens: Tokens,
  byCss: (css: string) => PropertyRow | undefined,
  ownRoles: OwnRoles = NO_ROLES,
): Result<TypedDeclarations> {
  const refused = tooLong(source, LIMITS.typed.declarations);
  if (refused) return refused;
  const followed: (readonly [PropertyRow, Value])[] = [];
  const unfollowed: (readonly [string, string])[] = [];
  for (const [i, text] of splitTop(source, /;/).entries()) {
    const [name = '', ...rest] = text.split(':');
    const css = name.trim().toLowerCase();
    const typed = rest.join(':').trim();
    const row = byCss(css);
    if (!row) {
      const problem = declarationProblem(css, typed);
      if (problem)
        return fail({
          code: 'refused-declaration',
          message: `Declaration ${i + 1}: ${problem}`,
          found: text.trim(),
          expected: 'a longhand such as padding-top: 1rem',
        });
      unfollowed.push([css, typed]);
      continue;
    }
    const value = parsePropertyValue(typed, propertyOf(row.name), tokens, ownRoles);
    if (!value.ok)
      return fail({ ...value.problem, message: `Declaration ${i + 1}: ${value.problem.message}` });
    followed.push([row, value.value]);
  }
  return ok({ followed, unfollowed });
}
