import { LIMITS, tooLong } from '../limits/index.ts';
import { fail, ok, type Result } from '../result/index.ts';
import { PURPOSES } from '../roles/index.ts';
import type { PresetRecord, TextStyleRecord } from '../site/kinds/index.ts';
import { keysBetween } from '../site/order.ts';
import type { Id, TokenRecord } from '../site/records.ts';
import { tokenPath } from '../site/tokenNames.ts';
import { findCircular, OURS, parseTokenValue, type Tokens } from '../tokens/index.ts';
import { tokensIn, tokenTypeOf } from '../values/index.ts';
import { AS_PRESET, typography } from './composites.ts';
import { jsonDrafts, textOf } from './dialects/json.ts';
import { textDrafts } from './dialects/text.ts';
import type { Drafts, Noticed, SourceFile, SourcePlace } from './draft.ts';
import type { Incoming, IncomingItem } from './incoming.ts';
import { parseLocatedJson } from './locatedJson.ts';
import { badWays, type Found, namesFor, Reader, typeNamed } from './reader.ts';
import { BadToken, isNode, type Node, Steps } from './tree.ts';

/** Characters of a description that are kept as a note. */
const LONGEST_NOTE = 2000;

/** What we wrote beside a value that the format has no words for. */
const oursIn = ({ draft }: Found): Node | null => {
  const ours = draft.extensions[OURS];
  return isNode(ours) ? ours : null;
};

/** How a value is derived, or how it grows. */
const keptIn = (ours: Node): string | null =>
  textOf(ours.derived) || textOf(ours.fluid) || textOf(ours.gradient) || null;

const noteOf = ({ draft: { description } }: Found): { note?: string } => {
  const note = description.slice(0, LONGEST_NOTE);
  return note.trim() === '' ? {} : { note };
};

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** First steps that say no more than what kind of thing it is. */
const KINDS = /^(?:text|text-?styles?|typography|type|fonts?|borders?|transitions?|lines?|strokes?)$/i;

/** A name for what is named without a group: its path in words. */
function wholeName({ draft: { group, key } }: Found): string {
  const steps = [...group, key].filter(step => step !== '$root');
  const told = steps.length > 1 && KINDS.test(steps[0] ?? '') ? steps.slice(1) : steps;
  return (
    capital(
      told
        .join(' ')
        .replace(/[-_\s]+/g, ' ')
        .trim(),
    ).slice(0, 80) || 'Unnamed'
  );
}

/** Tokens whose type is one of the guide's own. */
function tokenOf(reader: Reader, it: Found, type: string, order: string): TokenRecord {
  const value = reader.value(it, type);
  const own =
    typeNamed(type) ??
    (value.type === 'token' || value.type === 'role' || value.type === 'textStyle' || value.type === 'derived'
      ? null
      : tokenTypeOf(value.type));
  if (!own) throw new BadToken([], `There is no type ${type}.`);
  const said = oursIn(it);
  const purpose = said && own === 'color' ? PURPOSES.find(known => known === said.purpose) : undefined;
  return {
    id: it.id,
    kind: 'token',
    type: own,
    ...namesFor(it, own),
    order,
    value,
    ...(purpose && { purpose }),
    ...noteOf(it),
  };
}

function records(sources: readonly Drafts[], steps: Steps): Omit<Incoming, 'sources'> {
  const reader = new Reader(sources, steps);
  const orders = keysBetween(null, null, reader.all.length);
  const tokens = new Map<Id, TokenRecord>();
  const others: (TextStyleRecord | PresetRecord)[] = [];
  const kept: [TokenRecord, string][] = [];
  const found = new Map(reader.all.map(it => [it.id, it]));
  for (const [i, it] of reader.all.entries()) {
    const said = oursIn(it);
    // The lesser end of a growing size that we wrote beside it.
    if (said?.leastOf !== undefined) continue;
    reader.attempt(it, () => {
      const type = reader.typeOf(it);
      const order = orders[i] ?? 'V';
      const { id } = it;
      const preset = Object.hasOwn(AS_PRESET, type) ? AS_PRESET[type] : undefined;
      if (type === 'typography') {
        const own = Array.isArray(said?.said) ? said.said.map(textOf) : null;
        const styles = typography(reader, it, own);
        others.push({ id, kind: 'textStyle', name: wholeName(it), order, styles, ...noteOf(it) });
      } else if (preset)
        others.push({
          id,
          kind: 'preset',
          name: wholeName(it),
          order,
          styles: preset(reader, it),
          ...noteOf(it),
        });
      else {
        const record = tokenOf(reader, it, type, order);
        tokens.set(id, record);
        const ours = said && keptIn(said);
        if (ours !== null) kept.push([record, ours]);
      }
    });
  }
  dropBroken(reader, found, tokens);
  withKept(tokens, kept, (name, within) => reader.idOf(name, found.get(within)?.draft.within ?? null));
  const stands = others.filter(it => {
    const gone = Object.values(it.styles)
      .flatMap(tokensIn)
      .find(id => !tokens.has(id));
    if (gone === undefined) return true;
    tellGone(reader, found, it.id, gone);
    return false;
  });
  const items = [...tokens.values(), ...stands].map((record): IncomingItem => {
    const it = found.get(record.id);
    return {
      record,
      name: it?.draft.name ?? record.name,
      place: it?.draft.place() ?? null,
      inferred: it?.inferred ?? false,
      ungrouped: it?.draft.group.length === 0,
    };
  });
  return { items, findings: reader.findings };
}

function tellGone(reader: Reader, found: ReadonlyMap<Id, Found>, id: Id, gone: Id): void {
  const it = found.get(id);
  if (it)
    reader.tell('unread', it, `It refers to ${found.get(gone)?.draft.name ?? gone}, which cannot be read.`);
}

/** Takes away what runs in a circle, and what refers to something that could not be read, directly or through others. */
function dropBroken(reader: Reader, found: ReadonlyMap<Id, Found>, tokens: Map<Id, TokenRecord>): void {
  const named = (id: Id) => {
    const value = tokens.get(id)?.value;
    return value ? tokensIn(value) : [];
  };
  for (const [id, message] of badWays(tokens.keys(), named)) {
    const it = found.get(id);
    if (it) reader.tell('unread', it, message);
    tokens.delete(id);
  }
  const broken = new Map<Id, Id>();
  for (const { id, value } of tokens.values())
    for (const to of tokensIn(value)) if (!tokens.has(to)) broken.set(id, to);
  if (broken.size === 0) return;
  const users = new Map<Id, Id[]>();
  for (const { id, value } of tokens.values())
    for (const to of tokensIn(value)) {
      const list = users.get(to);
      if (list) list.push(id);
      else users.set(to, [id]);
    }
  // A map answers with what is added to it while it is walked.
  for (const [id, gone] of broken) {
    tellGone(reader, found, id, gone);
    tokens.delete(id);
    for (const user of users.get(id) ?? []) if (!broken.has(user)) broken.set(user, id);
  }
}

/** Puts back derivations and growing sizes that we wrote ourselves, where what they name is in the file too. */
function withKept(
  tokens: Map<Id, TokenRecord>,
  kept: readonly [TokenRecord, string][],
  nameOf: (name: string, within: Id) => Id | null,
): void {
  const standing = kept.filter(([{ id }]) => tokens.has(id));
  if (standing.length === 0) return;
  const names: Tokens = new Map(tokens);
  /** Names as the source has them become paths as the guide has them. */
  const withPaths = (text: string, within: Id): string =>
    text.replace(/\{([^{}]+)\}/g, (whole, name: string) => {
      const id = nameOf(name, within);
      return id === null ? whole : `{${tokenPath(names, id)}}`;
    });
  for (const [record, text] of standing) {
    const value = parseTokenValue(withPaths(text, record.id), record.type, names);
    if (value.ok) tokens.set(record.id, { ...record, value: value.value });
  }
  if (findCircular(it => tokens.get(it)?.value ?? null, tokens.keys()) === undefined) return;
  for (const [id, record] of names) tokens.set(id, record);
}

const isJson = (text: string): boolean => /^\uFEFF?\s*[{[]/.test(text.slice(0, 1000));

/** Drafts of one file, or why nothing of it can be read. */
function draftsOf({ name, text }: SourceFile, steps: Steps): Result<Drafts> {
  if (!isJson(text)) return textDrafts(name, text);
  const json = parseLocatedJson(text);
  if (!json.ok) return json;
  const { value: root, placeOf } = json.value;
  if (!isNode(root))
    return fail({
      code: 'bad-token',
      message: 'A token file is a JSON object.',
      expected: 'groups and tokens',
    });
  const at = (it: object): SourcePlace | null => {
    const place = placeOf(it);
    return place && { file: name, ...place };
  };
  return ok(jsonDrafts(text, root, at, steps));
}

/** In the order of the files, and of what stands in them. */
function inPlace(findings: readonly Noticed[], files: readonly SourceFile[]): Noticed[] {
  const order = new Map(files.map(({ name }, i) => [name, i]));
  const fileOf = ({ place }: Noticed) => order.get(place?.file ?? '') ?? 0;
  return [...findings].sort(
    (a, b) =>
      fileOf(a) - fileOf(b) ||
      (a.place?.line ?? 0) - (b.place?.line ?? 0) ||
      (a.place?.column ?? 0) - (b.place?.column ?? 0),
  );
}

/**
 * Reads tokens out of files, together: the ones can refer to the others. Whatever can be read is read; all that cannot is
 * told, with its place, the reason and what would do. Refused is only what exceeds a limit, or holds nothing at all.
 */
export function readTokens(files: readonly SourceFile[]): Result<Incoming> {
  const whole = files.reduce((sum, it) => sum + it.text.length, 0);
  const refused = tooLong({ length: whole }, LIMITS.typed.tokens);
  if (refused) return refused;
  const steps = new Steps(LIMITS.json.values);
  const findings: Noticed[] = [];
  const sources: Drafts[] = [];
  const told: { file: string; dialect: string }[] = [];
  try {
    for (const file of files) {
      const drafts = draftsOf(file, steps);
      if (drafts.ok) {
        sources.push(drafts.value);
        told.push({ file: file.name, dialect: drafts.value.dialect });
      } else if (files.length === 1) return drafts;
      else
        findings.push({
          kind: 'unread',
          name: '',
          message: drafts.problem.message,
          place: { file: file.name, line: 1, column: 1 },
        });
    }
    const read = records(sources, steps);
    return ok({
      items: read.items,
      findings: inPlace([...findings, ...read.findings], files),
      sources: told,
    });
  } catch (error) {
    if (error instanceof BadToken) return fail({ code: 'too-many', message: error.message });
    throw error;
  }
}
