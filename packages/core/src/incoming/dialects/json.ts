import { LIMITS } from '../../limits/index.ts';
import { contextName, inContext, isUsual } from '../contexts.ts';
import type { Draft, DraftGroup, Drafts, Noticed, SourcePlace } from '../draft.ts';
import { inferType } from '../infer.ts';
import { BadToken, extended, isNode, type Node, nodeAt, type Steps, stepsOf } from '../tree.ts';

/** How one way of writing tokens as JSON spells what all of them say. */
interface Spelling {
  /** For people. */
  name: string;
  isToken(it: unknown): boolean;
  /** Whether what stands in a group and is neither token nor group is to be told. */
  isStrict: boolean;
  /** Whether a key of a group belongs to the group itself. */
  isOwn(key: string): boolean;
  value(token: unknown): unknown;
  type(node: Node): unknown;
  description(node: Node): unknown;
  deprecated(node: Node): unknown;
}

const has = (it: unknown, key: string): it is Node => isNode(it) && Object.hasOwn(it, key);

/** Design Tokens Format Module 2025.10, sections 5 and 6. */
const FORMAT: Spelling = {
  name: 'Design tokens (2025.10)',
  isStrict: true,
  isToken: it => has(it, '$value') || has(it, '$ref'),
  isOwn: key => key.startsWith('$') && key !== '$root',
  value: it => (has(it, '$value') ? it.$value : has(it, '$ref') ? { $ref: it.$ref } : undefined),
  type: it => it.$type,
  description: it => it.$description,
  deprecated: it => it.$deprecated,
};

/** The same words without the dollar sign, as they were written before the format had it. */
const EARLIER: Spelling = {
  name: 'Tokens with value and type',
  isStrict: false,
  isToken: it => has(it, 'value') && !(isNode(it.value) && holdsToken(it.value)),
  isOwn: key => key === 'type' || key === 'description' || key === 'comment' || key.startsWith('$'),
  value: it => (has(it, 'value') ? it.value : undefined),
  type: it => it.type,
  description: it => it.description ?? it.comment,
  deprecated: it => it.deprecated,
};

/** Names and bare values, one within another. */
const PLAIN: Spelling = {
  name: 'Names and values',
  isStrict: true,
  isToken: it => !isNode(it),
  isOwn: key => key.startsWith('$'),
  value: it => it,
  type: () => undefined,
  description: () => undefined,
  deprecated: () => undefined,
};

const holdsToken = (it: Node): boolean => Object.values(it).some(inner => has(inner, 'value'));

/** Files that were made of tokens hold beside each resolved value the token that it is of, as `original`. */
const isResolved = (text: string): boolean => /"original"\s*:\s*\{/.test(text);

function spellingOf(text: string): Spelling {
  const isEarlier = /"value"\s*:/.test(text);
  if (/"\$(?:value|ref|extends)"\s*:/.test(text) && !(isEarlier && isResolved(text))) return FORMAT;
  return isEarlier ? EARLIER : PLAIN;
}

/** Values of one token by where they hold, the usual one first; null for a token of one value. */
function byContext(spelling: Spelling, it: unknown): (readonly [context: string, value: unknown])[] | null {
  if (!isNode(it)) return null;
  const sets = isNode(it.sets) ? it.sets : null;
  const values = sets ?? (spelling.isToken(it) ? spelling.value(it) : null);
  if (!isNode(values) || isValue(values)) return null;
  const all = Object.entries(values).map(
    ([key, inner]) => [key, sets && spelling.isToken(inner) ? spelling.value(inner) : inner] as const,
  );
  const usual = all.findIndex(([key]) => isUsual(key));
  const first = all[usual];
  if (!first || all.length < 2 || all.some(([, inner]) => inner === null)) return null;
  if (sets ? !Object.values(sets).every(spelling.isToken) : inferType(values, []) !== null) return null;
  return [first, ...all.toSpliced(usual, 1)];
}

export const textOf = (it: unknown): string => (typeof it === 'string' ? it : '');
const deprecation = (it: unknown): string | true | null =>
  it === true ? true : typeof it === 'string' && it !== '' ? it : null;

export const NO_EXTENSIONS: Node = {};

/** All tokens of one JSON file, groups walked, types inherited (Format Module 2025.10, section 6.3). Nothing stops it. */
export function jsonDrafts(
  text: string,
  root: Node,
  placeOf: (it: object) => SourcePlace | null,
  steps: Steps,
): Drafts {
  const spelling = spellingOf(text);
  const drafts: Draft[] = [];
  const findings: Noticed[] = [];
  const groups: DraftGroup[] = [];
  const contexts = new Map<string, Draft[]>();
  const say = (kind: Noticed['kind'], name: string, message: string, at: object, fix?: string) =>
    findings.push({ kind, name, message, place: placeOf(at), ...(fix !== undefined && { fix }) });
  /** A group with all it takes over; what cannot be taken over is told, and the rest stands. */
  const whole = (node: Node, path: readonly string[]): Node => {
    try {
      return extended(root, asExtending(root, node), path, steps);
    } catch (error) {
      if (!(error instanceof BadToken) || error.isBudget) throw error;
      say('unread', path.join('.'), error.message, node, error.expected);
      const { $extends: _, $ref: __, ...own } = node;
      return own;
    }
  };
  const visit = (
    node: Node,
    path: readonly string[],
    said: { type: string | null; deprecated: string | true | null },
    within: boolean,
  ) => {
    const prefix = path.length === 0 ? '' : `${path.join('.')}.`;
    if (path.length > LIMITS.json.depth) {
      say('unread', path.join('.'), `Groups nest more than ${LIMITS.json.depth} levels deep.`, node);
      return;
    }
    const group = whole(node, path);
    // What a group takes over does not describe it.
    const description = within ? '' : textOf(spelling.description(node));
    const from = stepsOf(asExtending(root, node).$extends)?.join('.') ?? null;
    if (!within && path.length > 0 && (description !== '' || from !== null || isNode(node.$extensions)))
      groups.push({
        path,
        description,
        extends: from,
        extensions: isNode(node.$extensions) ? node.$extensions : NO_EXTENSIONS,
      });
    const type = within ? said.type : textOf(spelling.type(group)) || said.type;
    const deprecated = within ? null : (deprecation(spelling.deprecated(group)) ?? said.deprecated);
    for (const key of Object.keys(group)) {
      steps.pass(1, path);
      const inner = group[key];
      const name = prefix + key;
      const at = isNode(inner) ? inner : node;
      if (spelling.isOwn(key)) {
        if (key.startsWith('$') && isNode(inner) && spelling.isToken(inner) && key !== '$ref')
          say('unread', name, 'A name cannot begin with a dollar sign.', at, key.replace(/^\$+/, ''));
        continue;
      }
      // Other programs keep of a token what it was made of.
      if (within && (!isNode(inner) || key === 'original')) continue;
      const values = byContext(spelling, inner);
      if (values || (spelling.isToken(inner) && !refersToGroup(root, inner))) {
        if (/[{}.]/.test(key))
          say('read', name, 'A name should hold no dots or braces.', at, key.replace(/[{}.]+/g, '-'));
        const token = isNode(inner) ? inner : NO_EXTENSIONS;
        const own = spelling.type(token);
        if (own !== undefined && typeof own !== 'string') say('read', name, 'A type is a word.', at);
        const draft: Draft = {
          group: path,
          key,
          name,
          type: textOf(own) || null,
          inherited: type,
          value: values ? values[0]?.[1] : spelling.value(inner),
          within: null,
          description: textOf(spelling.description(token)),
          deprecated:
            spelling.deprecated(token) === false
              ? null
              : (deprecation(spelling.deprecated(token)) ?? deprecated),
          extensions: isNode(token.$extensions) ? token.$extensions : NO_EXTENSIONS,
          place: () => placeOf(at),
        };
        drafts.push(draft);
        for (const [context, value] of values?.slice(1) ?? []) {
          const its = contexts.get(context) ?? [];
          contexts.set(context, its);
          its.push({ ...draft, value });
        }
        if (spelling === FORMAT && isNode(inner) && holdsMore(inner)) {
          say('read', name, 'A token cannot hold other tokens. Those within it were read as well.', at);
          visit(inner, [...path, key], { type, deprecated }, true);
        }
      } else if (isNode(inner)) visit(inner, [...path, key], { type, deprecated }, within);
      else if (spelling.isStrict)
        say('unread', name, `${key} is neither a token nor a group.`, node, '{"$type": …, "$value": …}');
    }
  };
  visit(root, [], { type: null, deprecated: null }, false);
  const faces = Array.from(contexts, ([context, its]) => inContext(its, contextName(context)));
  for (const it of faces) drafts.push(...it.drafts);
  return {
    dialect: spelling.name,
    drafts,
    groups,
    schemes: faces.map(it => it.scheme),
    findings,
    isFormat: spelling === FORMAT,
    root,
    hasPointers: text.includes('"$ref"'),
  };
}

/** Whether something stands in a token that is no property of it. */
function holdsMore(token: Node): boolean {
  for (const key in token) if (!key.startsWith('$') && isNode(token[key])) return true;
  return false;
}

/** Whether `$ref` names a group, which the one that has it then extends. */
function refersToGroup(root: Node, it: unknown): boolean {
  if (!isNode(it) || Object.hasOwn(it, '$value') || typeof it.$ref !== 'string') return false;
  const steps = stepsOf(it.$ref);
  const target = steps && nodeAt(root, steps);
  return isNode(target) && !FORMAT.isToken(target) && Object.values(target).some(isNode) && !isValue(target);
}

/** Parts of values are objects too: a colour, a length. */
const isValue = (it: Node): boolean => Object.hasOwn(it, 'colorSpace') || Object.hasOwn(it, 'unit');

const asExtending = (root: Node, node: Node): Node => {
  if (!refersToGroup(root, node)) return node;
  const { $ref, ...own } = node;
  return { $extends: $ref, ...own };
};
