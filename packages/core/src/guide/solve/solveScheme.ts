import type { Gamut } from '../../color/index.ts';
import { type Reason, ROLES, STATUSES } from '../../roles/index.ts';
import { newId } from '../../site/id.ts';
import type { HeadingChoice } from '../../site/kinds/scheme.ts';
import type { Id, SchemeRecord, TokenRecord } from '../../site/records.ts';
import type { Tokens } from '../../tokens/graph.ts';
import type { Groups } from '../purposes.ts';
import { actionOf } from './action.ts';
import { bindClickable, bindOtherButtons } from './clickable.ts';
import { SchemeDraft } from './draft.ts';
import { bindGrounds } from './grounds.ts';
import { bindLines } from './lines.ts';
import { bindStatusTexts } from './statuses.ts';
import { bindTexts } from './texts.ts';

export interface SchemeWish {
  /** The swatch it stands on. */
  surface: Id;
  /** The swatch of what can be clicked; chosen by its purpose where left out. */
  action?: Id;
  /** What headings take; a colour of the brand where one reads well, if left out. */
  headings?: HeadingChoice;
  /** Roles that are bound already and stay so. */
  keep?: Readonly<Record<string, Id>>;
}

/** What a scheme is worked out from besides its wish. */
export interface Palette {
  tokens: Tokens;
  groups?: Groups;
  /** The screens that the site is printed for. */
  gamuts?: readonly Gamut[];
}

/** A swatch that had to be made, since none of the palette served. */
export interface MadeSwatch {
  token: Omit<TokenRecord, 'order'>;
  /** The swatch it follows; null for one made from nothing. */
  of: Id | null;
  /** The roles it was made for. */
  roles: readonly string[];
}

export interface SolvedScheme {
  face: SchemeRecord['face'];
  roles: SchemeRecord['roles'];
  /** Why each role is bound as it is; roles that were kept are not among them. */
  solved: Readonly<Record<string, Reason>>;
  made: readonly MadeSwatch[];
}

/** Roles stand in a record as they do in the table, however they were worked out. */
function inOrder<T>(map: Readonly<Record<string, T>>): Record<string, T> {
  const place = new Map(ROLES.map(({ name }, i) => [name, i]));
  const at = (name: string) => place.get(name) ?? ROLES.length;
  return Object.fromEntries(Object.entries(map).sort(([a], [b]) => at(a) - at(b)));
}

/**
 * Roles for a scheme on one swatch, from the palette: on every ground that the table of roles names, what is read has at
 * least 4.5:1 and what is seen to use a control 3:1 as it is painted (WCAG 2.2, 1.4.3 and 1.4.11), running text and headings
 * 7:1 where that can be. No role takes a swatch of a purpose that it does not take. Swatches of the palette come first;
 * where none serves, the fittest is moved in lightness, as a swatch that follows it. Throws where the surface shows no opaque
 * colour.
 */
export function solveScheme(
  palette: Palette,
  wish: SchemeWish,
  nextId: () => Id = () => newId('t'),
): SolvedScheme {
  const draft = new SchemeDraft(palette, wish, nextId);
  draft.bind('surface', () => [draft.surface, 'asked']);
  const action = actionOf(draft);
  // All grounds come before what stands on them.
  bindGrounds(draft, action);
  bindTexts(draft);
  bindClickable(draft, action);
  bindOtherButtons(draft);
  bindLines(draft, action);
  for (const status of STATUSES) bindStatusTexts(draft, status);
  return {
    face: draft.dark ? 'dark' : 'light',
    roles: inOrder(draft.roles),
    solved: inOrder(draft.solved),
    made: draft.made,
  };
}
