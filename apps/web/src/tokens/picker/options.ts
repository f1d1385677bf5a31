import {
  matchingChoices,
  nearestChoices,
  printTyped,
  type Role,
  rolesOf,
  roleValue,
  type ScaleUse,
  type Scope,
  type Site,
  type TokenChoice,
  type TokenRecord,
  type TokenType,
  tokenChoices,
  type Value,
} from '@cove/core';
import { endOf, longest } from './endOf.ts';

/** A line of the picker: what can be taken, a heading, or something that can be done besides. */
export type PickerOption =
  | { kind: 'heading'; key: string; label: string }
  | {
      kind: 'take';
      key: string;
      label: string;
      value: Value;
      end: Value | null;
      /** What is said of it beside its name. */
      note: string | null;
      /** The id of the token, whose reach is shown. */
      token: string | null;
      /** The longest in px of those it stands among, to which it is drawn. */
      most: number;
    }
  | {
      kind: 'add';
      key: string;
      value: Value;
      type: TokenType;
      text: string;
      /** The group of those that are for the same; null where there is none yet. */
      group: string | null;
    }
  | { kind: 'edit'; key: string; token: string; name: string }
  | { kind: 'custom'; key: string }
  | { kind: 'clear'; key: string; label: string };

export interface PickerWants {
  types: readonly TokenType[];
  use: ScaleUse | null;
  /** Words that are values by themselves, each with what it is called. */
  keywords: readonly (readonly [word: string, label: string])[];
  roles: boolean;
  /** Whether a typed literal is meant to be a token where one is near: so in a slot, not where tokens themselves are made. */
  ties: boolean;
  /** Whether a value may stand by itself; where not, it is added as a token first. */
  literals: boolean;
  /** What it is called to hold nothing; null where something must be held. */
  empty: string | null;
  /** Which tokens are offered; all that fit where left out. */
  accepts?: (token: TokenRecord) => boolean;
}

interface Asked {
  site: Site;
  scope: Scope | null;
  wants: PickerWants;
  value: Value | null;
  /** What the knot hides, where the value is one. */
  beneath: Value | null;
  /** What is typed; null while nothing is. */
  typed: string | null;
  /** What is typed, read; null where it is no value. */
  read: Value | null;
}

const same = (a: Value | null, b: Value | null): boolean =>
  a !== null && b !== null && JSON.stringify(a) === JSON.stringify(b);

const isLiteral = (value: Value): boolean =>
  value.type !== 'token' && value.type !== 'role' && value.type !== 'keyword' && value.type !== 'derived';

const tokenTypeOfValue = (types: readonly TokenType[], value: Value): TokenType | null => {
  const type = value.type === 'fluid' ? 'dimension' : value.type;
  return types.find(it => it === type) ?? null;
};

/** All lines of the picker, in order, and the one that Enter takes. */
export function pickerOptions(asked: Asked): { options: PickerOption[]; first: number } {
  const { site, scope, wants, value, beneath, typed, read } = asked;
  const rebinds = scope ? { rebinds: scope.rebinds } : {};
  const wanted = { types: wants.types, use: wants.use, ...rebinds };
  const { accepts } = wants;
  const groups = accepts
    ? tokenChoices(site, wanted).flatMap(({ name, choices }) => {
        const taken = choices.filter(it => accepts(it.token));
        return taken.length > 0 ? [{ name, choices: taken }] : [];
      })
    : tokenChoices(site, wanted);
  const group = groups[0]?.name ?? null;
  const search = typed?.trim() ?? '';
  const options: PickerOption[] = [];

  const remarks = (it: Value): string | null =>
    [same(it, value) && 'set now', same(it, beneath) && 'default'].filter(Boolean).join(', ') || null;
  const scales = new Map(
    groups.flatMap(({ choices }) => {
      const most = longest(choices.map(it => it.end));
      return choices.map(it => [it.token.id, most] as const);
    }),
  );
  const ofToken = ({ token, end }: TokenChoice, key: string, note: string | null): PickerOption => ({
    most: scales.get(token.id) ?? 1,
    kind: 'take',
    key,
    label: token.name,
    value: { type: 'token', token: token.id },
    end,
    note: note ?? remarks({ type: 'token', token: token.id }),
    token: token.id,
  });

  // What was typed, and what is near it.
  if (search !== '' && read && isLiteral(read)) {
    const text = printTyped(read, site.kinds.token);
    const near = nearestChoices(site, wanted, read, 3).filter(it => accepts?.(it.token) ?? true);
    const lines = near.map(it =>
      ofToken(
        it,
        `near ${it.token.id}`,
        it.apart.words === null ? 'the same value' : `differs by ${it.apart.words}`,
      ),
    );
    const loose: PickerOption = {
      kind: 'take',
      key: 'typed',
      label: `Use ${text}`,
      value: read,
      end: endOf(site, scope, read),
      note: near.length > 0 && wants.ties ? 'loose: follows no token' : null,
      token: null,
      most: 1,
    };
    const isTie = wants.ties && near[0]?.apart.close === true;
    options.push({
      kind: 'heading',
      key: 'h typed',
      label: near.length > 0 ? 'Typed and nearest' : 'Typed',
    });
    if (!wants.literals) options.push(...lines);
    else options.push(...(isTie ? [...lines.slice(0, 1), loose, ...lines.slice(1)] : [loose, ...lines]));
    const type = tokenTypeOfValue(wants.types, read);
    if (type && wants.ties) options.push({ kind: 'add', key: 'add', value: read, type, text, group });
    return { options: [...options, ...listed(groups, ofToken)], first: 1 };
  }

  const named = read?.type === 'token' ? read.token : null;
  const found = matchingChoices(groups, search);
  const has = (text: string) => text.toLowerCase().includes(search.toLowerCase());
  const words = wants.keywords.filter(([word, label]) => has(label) || has(word));
  const roles = wants.roles
    ? rolesFor(site, scope).filter(it => has(it.label) || has(`role.${it.name}`))
    : [];
  const typedWord =
    read?.type === 'keyword' || read?.type === 'role' || read?.type === 'derived' ? read : null;
  if (typedWord?.type === 'derived' && wants.literals)
    options.push({
      kind: 'take',
      key: 'typed',
      label: `Use ${printTyped(typedWord, site.kinds.token)}`,
      value: typedWord,
      end: endOf(site, scope, typedWord),
      note: 'derived',
      token: null,
      most: 1,
    });
  if (wants.empty !== null && search === '')
    options.push({ kind: 'clear', key: 'clear', label: wants.empty });
  if (value?.type === 'token' && search === '') {
    const token = site.kinds.token.get(value.token);
    if (token) options.push({ kind: 'edit', key: 'edit', token: token.id, name: token.name });
  }
  if (search === '' && value && isLiteral(value)) {
    const type = tokenTypeOfValue(wants.types, value);
    const text = printTyped(value, site.kinds.token);
    const near = wants.ties ? nearestChoices(site, wanted, value, 1) : [];
    if (near[0])
      options.push(
        ofToken(
          near[0],
          `near ${near[0].token.id}`,
          near[0].apart.words === null ? 'the same value' : `nearest, differs by ${near[0].apart.words}`,
        ),
      );
    if (type && wants.ties) options.push({ kind: 'add', key: 'add', value, type, text, group });
  }
  if (wants.types.includes('color') && wants.literals) options.push({ kind: 'custom', key: 'custom' });
  options.push(...listed(found, ofToken));
  if (roles.length > 0) {
    options.push({ kind: 'heading', key: 'h roles', label: scope ? 'Roles of the scheme' : 'Roles' });
    for (const role of roles) {
      const it: Value = { type: 'role', role: role.name };
      options.push({
        kind: 'take',
        key: `role ${role.name}`,
        label: role.label,
        value: it,
        end: endOf(site, scope, it),
        note: remarks(it),
        token: null,
        most: 1,
      });
    }
  }
  if (words.length > 0) {
    options.push({ kind: 'heading', key: 'h words', label: 'Keywords' });
    for (const [word, label] of words) {
      const it: Value = { type: 'keyword', value: word };
      options.push({
        kind: 'take',
        key: `word ${word}`,
        label,
        value: it,
        end: null,
        note: remarks(it),
        token: null,
        most: 1,
      });
    }
  }
  const isMeant = (it: PickerOption) =>
    it.kind === 'take' &&
    (named !== null
      ? it.token === named
      : typedWord !== null
        ? same(it.value, typedWord)
        : it.kind === 'take');
  const first = search === '' ? -1 : options.findIndex(isMeant);
  return { options, first };
}

const listed = (
  groups: ReturnType<typeof tokenChoices>,
  line: (choice: TokenChoice, key: string, note: string | null) => PickerOption,
): PickerOption[] =>
  groups.flatMap(({ name, choices }) => [
    { kind: 'heading' as const, key: `h ${name} ${choices[0]?.token.type}`, label: name },
    ...choices.map(it => line(it, it.token.id, null)),
  ]);

/** Roles that can be taken: those that the scheme binds, all where none is known. */
const rolesFor = (site: Site, scope: Scope | null): readonly Role[] => {
  const all = rolesOf(site);
  return scope ? all.filter(role => roleValue(site, scope.scheme, role.name)) : all;
};

export const canTake = (option: PickerOption | undefined): boolean =>
  option !== undefined && option.kind !== 'heading';
