import { roleValue } from '../../cascade/index.ts';
import { contrast } from '../../color/index.ts';
import { roleNames } from '../../exports/names.ts';
import { faceOf } from '../../guide/index.ts';
import type { IncomingScheme } from '../../incoming/incoming.ts';
import { namesTaken, uniqueName } from '../../lists/index.ts';
import {
  type Edit,
  editOf,
  type Id,
  putRecord,
  type SchemeRecord,
  type Site,
  type TokenRecord,
} from '../../site/index.ts';
import { literalOf, NO_REBINDS, slug } from '../../tokens/index.ts';
import { generateScheme } from '../guide/schemes.ts';
import { keyAtEnd } from '../order/order.ts';

type ToGuide = (id: Id) => Id;
type Bound = readonly (readonly [role: string, token: Id])[];

/** Roles that a source binds itself, as the guide calls them; those it does not know are passed over. */
function boundRoles(site: Site, { roles }: IncomingScheme, toGuide: ToGuide): Bound {
  const names = new Map(Array.from(roleNames(site), ([role, written]) => [written, role]));
  return roles.flatMap(([written, id]) => {
    const role = names.get(written);
    return role === undefined ? [] : [[role, toGuide(id)] as const];
  });
}

/** Roles of a scheme that a source binds otherwise. */
export const rolesDiffering = (
  site: Site,
  there: SchemeRecord,
  scheme: IncomingScheme,
  toGuide: ToGuide,
): Bound =>
  boundRoles(site, scheme, toGuide).filter(([role, id]) => {
    // A role that says nothing takes another's colour, and files write what it takes.
    const now = roleValue(site, there.id, role)?.value;
    return now?.type !== 'token' || now.token !== id;
  });

/** Words in the names of colours for what they do; the first that is found is taken. */
const MEANINGS = {
  surface: [
    /^(?:.*-)?(?:background|bg|surface|canvas|paper)(?:-(?:default|base|body|page|primary|1))?$/,
    /background|\bbg\b|surface|canvas|paper/,
  ],
  action: [
    /^(?:.*-)?(?:action|primary|accent|brand|interactive)(?:-(?:default|base|500|600))?$/,
    /action|primary|accent|link/,
  ],
  text: [
    /^(?:.*-)?(?:text|foreground|fg|ink|on-background)(?:-(?:default|base|body|primary|1))?$/,
    /(?:^|-)(?:text|foreground|fg|ink)(?:-|$)/,
  ],
  muted: [
    /(?:^|-)(?:muted|secondary|subtle)(?:-|$).*(?:text|foreground|fg)|(?:text|foreground|fg)-(?:muted|secondary|subtle)/,
  ],
  line: [/(?:^|-)(?:border|line|divider|outline|stroke)(?:-|$)/],
} as const;
type Meaning = keyof typeof MEANINGS;

/** What can be read (WCAG 2.2, 1.4.3). */
const READABLE = 4.5;

/** A scheme of colours that say by their names what they do; the solver works out the rest of it. */
function byMeaning(site: Site, { name, colors }: IncomingScheme, toGuide: ToGuide): Edit[] {
  const { token: tokens } = site.kinds;
  const end = (id: Id) => {
    const value = literalOf(tokens, NO_REBINDS, { type: 'token', token: id });
    return value?.type === 'color' ? value.value : null;
  };
  const pairs = colors.flatMap(([usual, there]) => {
    const named = tokens.get(toGuide(usual));
    return named ? [{ words: slug(`${named.group} ${named.name}`), id: toGuide(there) }] : [];
  });
  const meaning = (what: Meaning): Id[] => [
    ...new Set(MEANINGS[what].flatMap(words => pairs.filter(it => words.test(it.words)).map(it => it.id))),
  ];
  const opaque = (ids: readonly Id[]) => ids.filter(id => end(id)?.alpha === 1);
  const extreme = (): Id[] => {
    const all = opaque(pairs.map(it => it.id));
    const isDark = /dark|night|dim|black/i.test(name);
    const level = (id: Id) => {
      const color = end(id);
      return color ? contrast(color, { space: 'srgb', coords: [0, 0, 0], alpha: 1 }) : 0;
    };
    return all.sort((a, b) => (isDark ? level(a) - level(b) : level(b) - level(a)));
  };
  const surfaces = [...opaque(meaning('surface')), ...extreme()].slice(0, 6);
  const actions = [...opaque(meaning('action')).slice(0, 3), undefined];
  for (const surface of surfaces)
    for (const action of actions) {
      const made = generateScheme(site, name, { surface, ...(action !== undefined && { action }) });
      if (made.ok) return withOwn(made.value.edits, surface);
    }
  return [];

  /** Text, muted text and lines are those of the source, where its text can be read on its surface. */
  function withOwn(edits: readonly Edit[], surface: Id): Edit[] {
    const ground = end(surface);
    const own = (['text', 'muted', 'line'] as const).flatMap(role => {
      const [id] = opaque(meaning(role));
      const color = id === undefined ? null : end(id);
      const fits = color && ground && (role === 'line' || contrast(color, ground) >= READABLE);
      return id !== undefined && fits ? [[role, { type: 'token', token: id }] as const] : [];
    });
    return edits.map(edit => {
      if (edit.op !== 'put' || edit.record.kind !== 'scheme') return edit;
      const solved = Object.entries(edit.record.solved ?? {}).filter(
        ([role]) => !own.some(([it]) => it === role),
      );
      return putRecord({
        ...edit.record,
        roles: { ...edit.record.roles, ...Object.fromEntries(own) },
        solved: Object.fromEntries(solved),
      });
    });
  }
}

/** A new scheme of the roles that its source binds; none where nothing says what it stands on. */
function byRoles(site: Site, scheme: IncomingScheme, toGuide: ToGuide): Edit[] {
  const { token: tokens, scheme: schemes } = site.kinds;
  const bound = boundRoles(site, scheme, toGuide);
  const surface = bound.find(([role]) => role === 'surface')?.[1];
  const end = surface === undefined ? null : literalOf(tokens, NO_REBINDS, { type: 'token', token: surface });
  if (end?.type !== 'color') return [];
  const isColor = (it: TokenRecord | undefined) => it?.type === 'color';
  const record: SchemeRecord = {
    id: scheme.id,
    kind: 'scheme',
    name: uniqueName(scheme.name, namesTaken(schemes.values())),
    face: faceOf(end.value),
    order: keyAtEnd(schemes.values()),
    roles: Object.fromEntries(
      bound.flatMap(([role, id]) =>
        isColor(tokens.get(id)) ? [[role, { type: 'token', token: id }] as const] : [],
      ),
    ),
  };
  return [putRecord(record)];
}

/** What makes a scheme of a context, or brings the scheme of its name to what it says. The colours are in the guide by now. */
export function schemeEdits(
  site: Site,
  scheme: IncomingScheme,
  there: SchemeRecord | null,
  toGuide: ToGuide,
): Edit[] {
  if (there)
    return rolesDiffering(site, there, scheme, toGuide).map(([role, id]) =>
      editOf(there).setIn('roles', role, { type: 'token', token: id }),
    );
  return scheme.roles.length > 0 ? byRoles(site, scheme, toGuide) : byMeaning(site, scheme, toGuide);
}
