import { ciede2000, labOf, parseColor } from '../../color/index.ts';
import { OURS } from '../../tokens/index.ts';
import { parseLength, printLength, splitTop, type WorkedOut, workOut } from '../../values/index.ts';
import { contextName, inContext } from '../contexts.ts';
import type { CssDeclaration, CssSheet } from '../css/sheet.ts';
import { substituter } from '../css/substitute.ts';
import type { Draft, Drafts, Noticed, SourcePlace } from '../draft.ts';
import { inferType } from '../infer.ts';
import { MIXED } from '../values.ts';

/** Where custom properties hold: everywhere, or only where something is said of the root. */
type Where = { type: 'everywhere' } | { type: 'context'; name: string } | { type: 'elsewhere'; said: string };

const ROOT = /^(?::root|html|body|:host|\*|::?before|::?after|::backdrop)$/i;

/** A selector without what excludes, and without the brackets of what groups: `:host(:not([x]))` → `:host`. */
const plainly = (selector: string): string =>
  selector
    .replace(/:not\([^()]*\)/g, '')
    .replace(/:(?:where|is)\(([^()]*)\)/g, '$1')
    .replace(/:host\(([^()]*)\)/g, ':host$1')
    .trim();

/** What a selector of the root says besides: `[data-theme="dark"]` → `dark`; null where it is no such selector. */
function contextIn(selector: string): string | null {
  const rest = selector.replace(/(?::root|html|body|:host)\b/gi, '').replace(/[\s>+~*]+/g, '');
  // Of several attributes the last says most: `[data-mode="dark"][data-dark-theme="dim"]`.
  const attributes = /^(?:\[[\w-]+(?:[~|^$*]?=["']?[\w-]+["']?i?)?\])+$/.test(rest)
    ? Array.from(rest.matchAll(/=["']?([\w-]+)/g), it => it[1])
    : [];
  const attribute = attributes.at(-1);
  const flag = /^\[([\w-]+)\]$/.exec(rest)?.[1];
  const named = /^\.([\w-]+)$/.exec(rest)?.[1];
  const name =
    attribute ??
    flag ??
    (named !== undefined && /dark|light|theme|mode|contrast|scheme/i.test(named) ? named : null);
  return name ?? null;
}

const isLight = (name: string): boolean => /^(?:light|default)$/i.test(name);

function whereOf({ selectors, conditions }: CssDeclaration): Where {
  let dark = false;
  for (const { name, prelude } of conditions) {
    if (name === 'media') {
      if (/prefers-color-scheme\s*:\s*dark/i.test(prelude)) dark = true;
      else if (
        !/^(?:all|screen)?$|prefers-color-scheme\s*:\s*light|^\(\s*color-gamut\s*:/i.test(prelude.trim())
      )
        return { type: 'elsewhere', said: `@media ${prelude}` };
    } else if (name === 'supports' && /^\s*not\b/i.test(prelude))
      return { type: 'elsewhere', said: `@supports ${prelude}` };
    else if (name === 'container') return { type: 'elsewhere', said: `@container ${prelude}` };
  }
  const outer = selectors.length === 0 ? [':root'] : selectors.map(it => plainly(it) || ':root');
  if (outer.every(it => ROOT.test(it) || isLight(contextName(contextIn(it) ?? '')))) {
    return dark ? { type: 'context', name: 'Dark' } : { type: 'everywhere' };
  }
  // A list of selectors of which one is the root holds everywhere; the others repeat it.
  if (outer.some(it => ROOT.test(it)))
    return dark ? { type: 'context', name: 'Dark' } : { type: 'everywhere' };
  const names = outer.flatMap(it => contextIn(it) ?? []);
  const [name] = names;
  if (name === undefined) return { type: 'elsewhere', said: outer.join(', ') };
  const told = contextName(name);
  return isLight(told) ? { type: 'everywhere' } : { type: 'context', name: told || 'Dark' };
}

/** Steps of a name that may become groups. */
const MOST_STEPS = 8;

const stepsIn = (name: string): string[] => {
  const steps = name.replace(/^--/, '').split(/[-_]+/).filter(Boolean);
  return [
    ...steps.slice(0, MOST_STEPS),
    ...(steps.length > MOST_STEPS ? [steps.slice(MOST_STEPS).join('-')] : []),
  ];
};

/** Steps that many properties begin with make a group; what all begin with is left out. */
function groupsOf(names: readonly string[]): Map<string, { group: string[]; key: string }> {
  const stepsOf = new Map(names.map(name => [name, stepsIn(name)]));
  const counts = new Map<string, number>();
  for (const steps of stepsOf.values())
    for (let n = 1; n < steps.length; n++) {
      const prefix = steps.slice(0, n).join('-');
      counts.set(prefix, (counts.get(prefix) ?? 0) + 1);
    }
  const [first] = stepsOf.values();
  const shared =
    first?.[0] !== undefined && names.length > 3 && counts.get(first[0]) === names.length ? 1 : 0;
  const found = new Map<string, { group: string[]; key: string }>();
  for (const [name, steps] of stepsOf) {
    let split = steps.length - 1;
    while (split > shared && (counts.get(steps.slice(0, split).join('-')) ?? 0) < 3) split--;
    const group = steps.slice(shared, split);
    const key = steps.slice(Math.max(split, group.length === 0 ? shared : 0)).join('-');
    found.set(name, { group, key: key || steps.join('-') || name });
  }
  return found;
}

/** What stands for a length: `clamp()` as the ends it grows between, a sum as what it comes to. */
function sized(text: string): WorkedOut {
  const plain = { text, isMixed: false };
  if (!/^(?:calc|min|max|clamp)\(/.test(text)) return plain;
  const inner = /^clamp\((.*)\)$/s.exec(text)?.[1];
  if (inner === undefined) return workOut(text) ?? plain;
  const ends = splitTop(inner, /,/).map(it => workOut(it)?.text ?? it);
  const [least, most] = ends.length === 3 ? [parseLength(ends[0] ?? ''), parseLength(ends[2] ?? '')] : [];
  return least && most ? { text: `${printLength(least)} .. ${printLength(most)}`, isMixed: false } : plain;
}

interface Read {
  /** As the format calls it; null for an alias, which is of the type of what it names, undefined for what is no value of a guide. */
  type: string | null | undefined;
  value: unknown;
  /** A colour that goes on following, as the program writes it. */
  derived: string | null;
  /** What has to be told of how it was read. */
  told: string | null;
}

/** Channels without their function, which many sheets put around them where they are used. */
const CHANNELS = /^\s*\d+\.?\d*\s*,\s*\d+\.?\d*\s*,\s*\d+\.?\d*\s*$/;
const asColor = (text: string, name: string): string => {
  if (/^-?[\d.]+(?:deg)?\s+[\d.]+%\s+[\d.]+%$/.test(text)) return `hsl(${text})`;
  return /rgb$/i.test(name) && CHANNELS.test(text) ? `rgb(${text})` : text;
};
/** How far apart two colours may be (CIEDE2000) of which one is the other’s channels, rounded by somebody. */
const ROUNDED = 1;

/** Properties as some place has them. */
class Scope {
  readonly plain: (text: string) => string;

  constructor(private readonly texts: ReadonlyMap<string, string>) {
    this.plain = substituter(texts);
  }

  has(name: string): boolean {
    return this.texts.has(name);
  }

  /** The property of which another says the channels alone: `--hull` of `--hull-rgb`; null for none. */
  channelsOf(name: string, text: string): string | null {
    const whole = /^(--.+)-rgb$/i.exec(name)?.[1];
    const its = whole === undefined ? undefined : this.texts.get(whole);
    if (whole === undefined || its === undefined || !CHANNELS.test(this.plain(text))) return null;
    const [a, b] = [parseColor(this.plain(its).trim()), parseColor(`rgb(${this.plain(text)})`)];
    return a && b && ciede2000(labOf(a), labOf(b)) < ROUNDED ? whole : null;
  }

  /** A value in the shapes of the format: an alias, text with aliases for its colours, or plain text. */
  read(text: string, path: readonly string[]): Read {
    const alias = /^var\(\s*(--[^\s,()]+)\s*\)$/.exec(text)?.[1];
    if (alias !== undefined && this.texts.has(alias))
      return { type: null, value: `{${alias}}`, derived: null, told: null };
    const { text: worked, isMixed } = sized(this.plain(text).trim());
    const plain = asColor(worked, path.at(-1) ?? '');
    const type = inferType(plain, path) ?? undefined;
    const read: Read = { type, value: plain, derived: null, told: isMixed ? MIXED : null };
    if (!text.includes('var(')) return read;
    const aliased = text.replace(/var\(\s*(--[^\s,()]+)\s*\)/g, (whole, name: string) => {
      const inner = this.texts.get(name);
      return inner !== undefined && parseColor(this.plain(inner).trim()) ? `{${name}}` : whole;
    });
    if (!aliased.includes('{') || aliased.includes('var(')) return read;
    if (type === 'color') return { ...read, derived: aliased };
    return type === 'shadow' || type === 'gradient' ? { ...read, value: aliased } : read;
  }
}

/** Contexts of one sheet that are told apart. */
const MOST_CONTEXTS = 24;

/** The custom properties of a style sheet, by where they hold (CSS Custom Properties 1; CSS Variables in `@property`). */
export function cssDrafts(file: string, { declarations }: CssSheet): Drafts {
  const base = new Map<string, CssDeclaration>();
  const contexts = new Map<string, Map<string, CssDeclaration>>();
  const findings: Noticed[] = [];
  const elsewhere: [CssDeclaration, string][] = [];
  for (const it of declarations) {
    if (!it.property.startsWith('--') || it.text.trim() === '') continue;
    const where = whereOf(it);
    if (where.type === 'everywhere') base.set(it.property, it);
    else if (where.type === 'elsewhere') elsewhere.push([it, where.said]);
    else if (!contexts.has(where.name) && contexts.size >= MOST_CONTEXTS) elsewhere.push([it, where.name]);
    else {
      const inner = contexts.get(where.name) ?? new Map<string, CssDeclaration>();
      contexts.set(where.name, inner.set(it.property, it));
    }
  }
  const placeOf = ({ line, column }: CssDeclaration): SourcePlace => ({ file, line, column });
  const atRules = new Map<string, Set<string>>();
  const components = new Map<string, Set<string>>();
  const firsts = new Map<string, CssDeclaration>();
  for (const [it, said] of elsewhere) {
    if (!base.has(it.property)) {
      base.set(it.property, it);
      continue;
    }
    const [told, of, one] = said.startsWith('@')
      ? [atRules, said, it.property]
      : [components, it.property, said];
    told.set(of, (told.get(of) ?? new Set()).add(one));
    if (!firsts.has(of)) firsts.set(of, it);
  }
  const tell = (name: string, message: string) => {
    const first = firsts.get(name);
    findings.push({ kind: 'unread', name: shortened(name), message, place: first ? placeOf(first) : null });
  };
  for (const [said, its] of atRules)
    tell(
      said,
      `In ${shortened(said)} ${listed(its)} ${its.size === 1 ? 'has another value, which holds' : 'have other values, which hold'} there alone.`,
    );
  for (const [property, its] of components)
    tell(
      property,
      `In ${listed(its)} it has ${its.size === 1 ? 'another value, which holds' : 'other values, which hold'} there alone.`,
    );
  // A sheet of one theme alone is a guide like any other.
  const [only] = contexts;
  if (base.size === 0 && only) {
    for (const [property, it] of only[1]) base.set(property, it);
    contexts.delete(only[0]);
  }
  const names = groupsOf([
    ...new Set([...base.keys(), ...[...contexts.values()].flatMap(it => [...it.keys()])]),
  ]);
  const texts = new Map(Array.from(base, ([name, it]) => [name, it.text]));
  const everywhere = new Scope(texts);
  const draft = (it: CssDeclaration, scope: Scope): Draft[] => {
    const { group, key } = names.get(it.property) ?? { group: [], key: it.property };
    const say = (kind: Noticed['kind'], message: string) =>
      findings.push({ kind, name: it.property, message, place: placeOf(it) });
    const whole = scope.channelsOf(it.property, it.text);
    if (whole !== null) {
      say('read', `These are the channels of ${whole}, which was read.`);
      return [];
    }
    const { type, value, derived, told } = scope.read(it.text, stepsIn(it.property));
    if (type === undefined) {
      say('unread', missingIn(it.text, scope));
      return [];
    }
    if (told !== null) say('read', told);
    const made: Draft = {
      group,
      key,
      name: it.property,
      type,
      inherited: null,
      value,
      within: null,
      description: '',
      deprecated: null,
      extensions: derived === null ? {} : { [OURS]: { derived } },
      place: () => placeOf(it),
    };
    return [made];
  };
  const drafts = [...base.values()].flatMap(it => draft(it, everywhere));
  const schemes = Array.from(contexts, ([name, its]) => {
    const scope = new Scope(new Map([...texts, ...Array.from(its, ([key, it]) => [key, it.text] as const)]));
    const made = inContext(
      [...its.values()].flatMap(it => draft(it, scope)),
      name,
    );
    drafts.push(...made.drafts);
    return made.scheme;
  });
  return {
    dialect: 'Custom properties',
    drafts,
    schemes,
    findings,
    isFormat: false,
    root: null,
    hasPointers: false,
  };
}

/** Names that are told of many. */
const TOLD = 4;

/** The first of some names, and how many more there are. */
function listed(names: ReadonlySet<string>): string {
  const more = names.size - TOLD;
  const some = [...names].slice(0, TOLD).map(shortened).join(', ');
  return more > 0 ? `${some} and ${more} more` : some;
}

/** Why a text is no value of a guide. */
function missingIn(text: string, scope: Scope): string {
  const missing = Array.from(text.matchAll(/var\(\s*(--[^\s,()]+)\s*\)/g), it => it[1] ?? '').find(
    name => !scope.has(name),
  );
  return missing === undefined
    ? `“${shortened(text)}” is no colour, length or other value of a guide.`
    : `There is no property ${missing} in what was opened.`;
}

const shortened = (text: string): string => (text.length > 80 ? `${text.slice(0, 80)}…` : text);
