import { convert } from '../color/index.ts';
import { PURPOSES, type Purpose, STATUSES, type Status } from '../roles/index.ts';
import type { Id, TokenGroupRecord, TokenRecord } from '../site/records.ts';
import type { Site } from '../site/site.ts';
import { literalOf, NO_REBINDS, type Tokens } from '../tokens/graph.ts';

/** A purpose, and where it is known from: the swatch itself, its group, what it follows, its name or its colour. */
export interface KnownPurpose {
  purpose: Purpose;
  from: 'swatch' | 'group' | 'followed' | 'name' | 'color';
}

type Groups = ReadonlyMap<Id, TokenGroupRecord>;
const NO_GROUPS: Groups = new Map();

/** Words that people name swatches and groups by; common practice, no source. */
const WORDS: Readonly<Record<Exclude<Purpose, 'none'>, RegExp>> = {
  success: /\b(success|positive|confirm(ed|ation)?|valid|ok)\b/i,
  warning: /\b(warn(ing)?|caution|attention)\b/i,
  danger: /\b(danger|error|negative|critical|destructive|alert|invalid)\b/i,
  info: /\b(info|information|informative)\b/i,
  action: /\b(action|interactive|links?|buttons?|cta|click(able)?)\b/i,
  accent: /\b(accents?|highlight)\b/i,
  neutral: /\b(neutrals?|gr[ea]ys?|white|black|ink|paper)\b/i,
  identity: /\b(brand|identity|logo|primary)\b/i,
};
const STATUS_GROUP = /\b(status|state|feedback|semantic|notice)s?\b/i;
/** OKLCH hues of what the four statuses usually are; common practice, no source. */
export const STATUS_HUES: Readonly<Record<Status, number>> = {
  success: 150,
  warning: 75,
  danger: 25,
  info: 245,
};

export const purposeInName = (name: string): Purpose | undefined =>
  PURPOSES.find(it => it !== 'none' && WORDS[it].test(name.replace(/[-_]+/g, ' ')));

export const hueApart = (a: number, b: number): number => Math.abs(((a - b + 540) % 360) - 180);

const statusOfHue = (hue: number): Status =>
  [...STATUSES].sort((a, b) => hueApart(hue, STATUS_HUES[a]) - hueApart(hue, STATUS_HUES[b]))[0] ?? 'info';

/** Below this OKLCH chroma a colour is taken for a neutral; what is nearly white or black may have somewhat more. */
export const isNeutralColor = (lightness: number, chroma: number): boolean =>
  chroma < (lightness > 0.93 || lightness < 0.28 ? 0.06 : 0.04);

const named = new WeakMap<Groups, ReadonlyMap<string, TokenGroupRecord>>();
/** What is said of a group of tokens, by its name. */
export function groupsByName(groups: Groups): ReadonlyMap<string, TokenGroupRecord> {
  let found = named.get(groups);
  if (!found) {
    found = new Map([...groups.values()].map(it => [it.name, it]));
    named.set(groups, found);
  }
  return found;
}
export const groupNamed = ({ kinds }: Site, name: string): TokenGroupRecord | undefined =>
  groupsByName(kinds.tokenGroup).get(name);

/** What a swatch is for: as it says itself, as its group says, as its name or its group's name does, as what it follows, by its colour. */
export function purposeIn(tokens: Tokens, groups: Groups, token: TokenRecord): KnownPurpose {
  const passed = new Set<Id>();
  let at: TokenRecord = token;
  for (;;) {
    const found = saidOf(tokens, groups, at);
    if (found) return at === token ? found : { purpose: found.purpose, from: 'followed' };
    passed.add(at.id);
    const [next] =
      at.value.type === 'token'
        ? [at.value.token]
        : at.value.type === 'derived'
          ? at.value.derivation.from
          : [];
    const followed = next === undefined || passed.has(next) ? undefined : tokens.get(next);
    if (!followed) break;
    at = followed;
  }
  const end = literalOf(tokens, NO_REBINDS, at.value);
  if (end?.type !== 'color') return { purpose: 'none', from: 'color' };
  const [lightness, chroma] = convert(end.value, 'oklch').coords;
  const purpose = isNeutralColor(lightness, chroma) ? 'neutral' : 'identity';
  return { purpose, from: at === token ? 'color' : 'followed' };
}

/** What is said of a swatch where it stands, without looking at what it follows or at its colour. */
function saidOf(tokens: Tokens, groups: Groups, token: TokenRecord): KnownPurpose | null {
  if (token.purpose) return { purpose: token.purpose, from: 'swatch' };
  const group = groupsByName(groups).get(token.group)?.purpose;
  if (group) return { purpose: group, from: 'group' };
  const own = purposeInName(token.name);
  if (own) return { purpose: own, from: 'name' };
  if (STATUS_GROUP.test(token.group)) {
    const end = literalOf(tokens, NO_REBINDS, token.value);
    if (end?.type === 'color')
      return { purpose: statusOfHue(convert(end.value, 'oklch').coords[2]), from: 'group' };
  }
  const around = purposeInName(token.group);
  return around ? { purpose: around, from: 'group' } : null;
}

export const purposeOf = ({ kinds }: Site, token: TokenRecord): KnownPurpose =>
  purposeIn(kinds.token, kinds.tokenGroup, token);

export { type Groups, NO_GROUPS };
