import { LIMITS, tooLong } from '../limits/index.ts';
import { inTextStyle, propertyOf } from '../properties/index.ts';
import { fail, ok, type Result } from '../result/index.ts';
import { PURPOSES } from '../roles/index.ts';
import { newId } from '../site/id.ts';
import type { PresetRecord, TextStyleRecord } from '../site/kinds/index.ts';
import { type Carried, LONGEST_EXTENSIONS } from '../site/kinds/token.ts';
import { keysBetween } from '../site/order.ts';
import type { Id, TokenRecord } from '../site/records.ts';
import { tokenPath } from '../site/tokenNames.ts';
import { parseSlot } from '../slots/index.ts';
import { findCircular, OURS, parsePropertyValue, parseTokenValue, type Tokens } from '../tokens/index.ts';
import { tokensIn, tokenTypeOf } from '../values/index.ts';
import { AS_PRESET, typography } from './composites.ts';
import { NO_EXTENSIONS, textOf } from './dialects/json.ts';
import type { DraftScheme, Drafts, Noticed, SourceFile } from './draft.ts';
import type { Incoming, IncomingGroup, IncomingItem, IncomingScheme } from './incoming.ts';
import { badWays, cut, type Found, LONGEST_NAME, namesFor, Reader, typeNamed } from './reader.ts';
import { openSources } from './sources.ts';
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
  const note = cut(description, LONGEST_NOTE);
  return note.trim() === '' ? {} : { note };
};

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** First steps that say no more than what kind of thing it is. */
const KINDS = /^(?:text|text-?styles?|typography|type|fonts?|borders?|transitions?|lines?|strokes?)$/i;

/** A name for what is named without a group: its path in words. */
function wholeName({ draft: { group, key } }: Found): string {
  const steps = [...group, key].filter(step => step !== '$root');
  const told = steps.length > 1 && KINDS.test(steps[0] ?? '') ? steps.slice(1) : steps;
  const words = told
    .join(' ')
    .replace(/[-_\s]+/g, ' ')
    .trim();
  return cut(capital(words), LONGEST_NAME) || 'Unnamed';
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
  const carried = carriedOf(reader, it, type);
  const { group, name } = namesFor(it, own);
  const record: TokenRecord = { id: it.id, kind: 'token', type: own, group, name, order, value };
  if (purpose) record.purpose = purpose;
  if (carried) record.carried = carried;
  return it.draft.description === '' ? record : { ...record, ...noteOf(it) };
}

/** What the guide makes no use of, and gives back as it came. */
function carriedOf(reader: Reader, it: Found, type: string): Carried | null {
  const { deprecated, extensions, value } = it.draft;
  const carried: Carried = {};
  if (deprecated !== null) carried.deprecated = deprecated === true ? true : cut(deprecated, LONGEST_NOTE);
  if (extensions !== NO_EXTENSIONS) {
    const { [OURS]: _, ...others } = extensions;
    const text = JSON.stringify(others);
    if (text.length > LONGEST_EXTENSIONS)
      reader.tell(
        'read',
        it,
        `Its extensions are left out: they are longer than ${LONGEST_EXTENSIONS} characters.`,
      );
    else if (text !== '{}') carried.extensions = text;
  }
  if (
    type === 'color' &&
    isNode(value) &&
    Array.isArray(value.components) &&
    value.components.includes('none')
  )
    carried.missing = value.components.flatMap((part: unknown, i) => (part === 'none' ? [i] : [])).join('');
  return Object.keys(carried).length > 0 ? carried : null;
}

/** Groups of which something is said, by the names that their tokens give them. */
function groupsOf(
  sources: readonly Drafts[],
  found: ReadonlyMap<Id, Found>,
  tokens: ReadonlyMap<Id, TokenRecord>,
): IncomingGroup[] {
  const titles = new Map<string, string>();
  if (sources.every(it => !it.groups || it.groups.length === 0)) return [];
  for (const { id, group } of tokens.values()) {
    const path = found.get(id)?.draft.group.join('.') ?? '';
    if (!titles.has(path)) titles.set(path, group);
  }
  const known = new Set<string>();
  return sources.flatMap(source =>
    (source.groups ?? []).flatMap(({ path, description, extends: from, extensions }): IncomingGroup[] => {
      const name = titles.get(path.join('.'));
      if (name === undefined || known.has(name)) return [];
      known.add(name);
      const ours = extensions[OURS];
      const purpose = isNode(ours) ? PURPOSES.find(it => it === ours.purpose) : undefined;
      const base = from === null ? undefined : titles.get(from);
      const note = cut(description, LONGEST_NOTE);
      if (note.trim() === '' && !purpose && base === undefined) return [];
      return [
        {
          name,
          ...(note.trim() !== '' && { note }),
          ...(purpose && { purpose }),
          ...(base !== undefined && base !== name && { extends: base }),
        },
      ];
    }),
  );
}

function records(sources: readonly Drafts[], steps: Steps): Omit<Incoming, 'sources'> {
  const reader = new Reader(sources, steps);
  const orders = keysBetween(null, null, reader.all.length);
  const tokens = new Map<Id, TokenRecord>();
  const others: (TextStyleRecord | PresetRecord)[] = [];
  const kept: [TokenRecord, string][] = [];
  const keptStyles = new Map<Id, Node>();
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
        const record: TextStyleRecord = {
          id,
          kind: 'textStyle',
          name: wholeName(it),
          order,
          styles,
          ...noteOf(it),
        };
        others.push(record);
        if (isNode(said?.styles)) keptStyles.set(id, said.styles);
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
  const whole = others.map(it => withStyles(it, keptStyles, tokens));
  const stands = whole.filter(it => {
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
      uses: it?.draft.uses ?? null,
    };
  });
  const schemes = sources.flatMap(source => source.schemes.flatMap(it => schemeOf(reader, tokens, it)));
  return { items, groups: groupsOf(sources, found, tokens), schemes, findings: reader.findings };
}

/** A context by the tokens that were read; none where nothing of it could be. */
function schemeOf(
  reader: Reader,
  tokens: ReadonlyMap<Id, TokenRecord>,
  { name, tokens: names, roles }: DraftScheme,
): IncomingScheme[] {
  const color = (written: string): Id[] => {
    const id = reader.idOf(written, null);
    return id !== null && tokens.get(id)?.type === 'color' ? [id] : [];
  };
  const there = new Map(
    [...names].flatMap(([usual, its]) => {
      const [from] = color(usual);
      const [to] = color(its);
      return from !== undefined && to !== undefined ? [[from, to] as const] : [];
    }),
  );
  // What follows a colour follows the other one there.
  const follows = (id: Id): Id | undefined => {
    const passed = new Set<Id>();
    for (let at = id; !passed.has(at); ) {
      const found = there.get(at);
      if (found !== undefined) return found;
      passed.add(at);
      const value = tokens.get(at)?.value;
      if (value?.type !== 'token') return undefined;
      at = value.token;
    }
    return undefined;
  };
  const own = new Set(there.values());
  const colors = [...tokens.values()].flatMap(({ id, type }) => {
    const to = type === 'color' && !own.has(id) ? follows(id) : undefined;
    return to === undefined ? [] : [[id, to] as const];
  });
  const bound = [...roles].flatMap(([role, written]) => {
    const [id] = color(names.get(written) ?? written);
    return id === undefined ? [] : [[role, id] as const];
  });
  return colors.length + bound.length === 0 ? [] : [{ id: newId('c'), name, colors, roles: bound }];
}

function tellGone(reader: Reader, found: ReadonlyMap<Id, Found>, id: Id, gone: Id): void {
  const it = found.get(id);
  if (it)
    reader.tell('unread', it, `It refers to ${found.get(gone)?.draft.name ?? gone}, which cannot be read.`);
}

/** Puts back what we wrote ourselves of a text style that `typography` has no words for. */
function withStyles(
  record: TextStyleRecord | PresetRecord,
  kept: ReadonlyMap<Id, Node>,
  tokens: Tokens,
): TextStyleRecord | PresetRecord {
  const written = kept.get(record.id);
  if (!written) return record;
  const more = Object.entries(written).flatMap(([slot, text]) => {
    const at = parseSlot(slot);
    const row = at && at.part === '' && at.property !== 'textStyle' ? propertyOf(at.property) : null;
    const value =
      row && inTextStyle(row) && typeof text === 'string' ? parsePropertyValue(text, row, tokens) : null;
    return value?.ok ? [[slot, value.value] as const] : [];
  });
  return { ...record, styles: { ...record.styles, ...Object.fromEntries(more) } };
}

/** Only what names others can run in a circle. */
function* naming(tokens: ReadonlyMap<Id, TokenRecord>): Generator<Id> {
  for (const { id, value } of tokens.values())
    if (value.type === 'token' || value.type === 'shadow' || value.type === 'gradient') yield id;
}

/** Takes away what runs in a circle, and what refers to something that could not be read, directly or through others. */
function dropBroken(reader: Reader, found: ReadonlyMap<Id, Found>, tokens: Map<Id, TokenRecord>): void {
  const named = (id: Id) => {
    const value = tokens.get(id)?.value;
    return value ? tokensIn(value) : [];
  };
  for (const [id, message] of badWays(naming(tokens), named)) {
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
  try {
    const opened = openSources(files, steps);
    if (!opened.ok) return opened;
    const { sources, findings } = opened.value;
    const read = records(
      sources.map(it => it.drafts),
      steps,
    );
    return ok({
      ...read,
      findings: inPlace([...findings, ...read.findings], files),
      sources: sources.map(({ name, drafts }) => ({ file: name, dialect: drafts.dialect })),
    });
  } catch (error) {
    if (error instanceof BadToken) return fail({ code: 'too-many', message: error.message });
    throw error;
  }
}
