import { roleValue } from '../cascade/index.ts';
import { type Id, type Site, settingsOf, type TextStyleRecord } from '../site/index.ts';
import { parseSlot } from '../slots/index.ts';
import {
  type DesignTokens,
  designValue,
  type Json,
  literalOf,
  NO_REBINDS,
  OURS,
  printTyped,
  toDesignTokens,
  tokenPath,
} from '../tokens/index.ts';
import { type Length, REM, type Value } from '../values/index.ts';
import type { ExportFile } from './exportFile.ts';
import { roleNames, schemeNames, schemesOf, textStyleNames, textStylesOf } from './names.ts';

/** Properties that `typography` has. */
const CARRIED = ['fontFamily', 'fontSize', 'fontWeight', 'letterSpacing', 'lineHeight'] as const;

/** What text is that says nothing: the base size, the usual weight and line height of browsers. */
const PLAIN = { fontWeight: 400, lineHeight: 1.5 } as const;

/** Values of a text style at rest and wide, by property. */
const restStyles = (style: TextStyleRecord): ReadonlyMap<string, Value> =>
  new Map(
    Object.entries(style.styles).flatMap(([slot, value]) => {
      const at = parseSlot(slot);
      return at && at.state === 'rest' && at.width === 'wide' ? [[at.property, value] as const] : [];
    }),
  );

const inRem = ({ value, unit }: Length): number | null =>
  unit === 'rem' ? value : unit === 'px' ? value / REM : null;
const rem = (value: number): Json => ({ value: Number(value.toFixed(4)), unit: 'rem' });

/** Sizes of a text style in rem, of a growing one the greater end; relative ones from what is around them. */
function remOf(site: Site, value: Value | undefined, around: number): number | null {
  const end = value && literalOf(site.kinds.token, NO_REBINDS, value);
  const length = end?.type === 'fluid' ? end.max : end?.type === 'dimension' ? end.value : null;
  if (!length) return null;
  return length.unit === 'em'
    ? length.value * around
    : length.unit === '%'
      ? (length.value / 100) * around
      : inRem(length);
}

/** A text style as `typography` (Format Module 2025.10, section 9.7); all that it says besides stands under `$extensions`. */
function typography(site: Site, style: TextStyleRecord, baseFamily: Value | undefined): Json {
  const { token: tokens } = site.kinds;
  const { textBase } = settingsOf(site);
  const said = restStyles(style);
  const base: Value = { type: 'token', token: textBase };
  const around = remOf(site, base, 1) ?? 1;
  const reference = (value: Value | undefined): string | null =>
    value?.type === 'token' && tokens.has(value.token) ? `{${tokenPath(tokens, value.token)}}` : null;
  const size = said.get('fontSize');
  const own = remOf(site, size, around) ?? around;
  const fontSize = reference(size) ?? (size === undefined ? (reference(base) ?? rem(around)) : rem(own));
  const plain = (property: 'fontFamily' | 'fontWeight' | 'lineHeight') => {
    const value = said.get(property) ?? (property === 'fontFamily' ? baseFamily : undefined);
    const named = reference(value);
    const end = value && literalOf(tokens, NO_REBINDS, value);
    return named ?? (end && designValue(end, tokens));
  };
  const spacing = remOf(site, said.get('letterSpacing'), own) ?? 0;
  const carried = CARRIED.filter(it => said.has(it));
  const more = Object.entries(style.styles).filter(([slot, value]) => {
    const at = parseSlot(slot);
    if (at?.width !== 'wide' || at.state !== 'rest' || !CARRIED.some(it => it === at.property)) return true;
    // A size that is relative, or grows, is written as what it comes to.
    return value.type === 'fluid' || (value.type === 'dimension' && inRem(value.value) === null);
  });
  return {
    $type: 'typography',
    $value: {
      fontFamily: plain('fontFamily') ?? ['sans-serif'],
      fontSize,
      fontWeight: plain('fontWeight') ?? PLAIN.fontWeight,
      letterSpacing: rem(spacing),
      lineHeight: plain('lineHeight') ?? PLAIN.lineHeight,
    },
    ...(style.note && { $description: style.note }),
    $extensions: {
      [OURS]: {
        // The format asks for all of them; the others say what holds anyway.
        said: carried,
        ...(more.length > 0 && {
          styles: Object.fromEntries(more.map(([slot, it]) => [slot, printTyped(it, tokens)])),
        }),
      },
    },
  };
}

/** The family of running text: what a style has that names none. */
function familyOfText(site: Site): Value | undefined {
  const page =
    site.kinds.default.get('default-page') ??
    [...site.kinds.default.values()].find(it => it.element === 'page' && !it.place);
  const named = page?.styles['box/textStyle'];
  const style = named?.type === 'textStyle' ? site.kinds.textStyle.get(named.style) : undefined;
  return style && restStyles(style).get('fontFamily');
}

/** All tokens and text styles of a guide (Format Module 2025.10). */
export function guideTokens(site: Site): DesignTokens {
  const { token, tokenGroup } = site.kinds;
  const names = textStyleNames(site);
  const family = familyOfText(site);
  const styles = textStylesOf(site).map(it => [names.get(it.id) ?? it.id, typography(site, it, family)]);
  return {
    ...toDesignTokens(token, tokenGroup.values()),
    ...(styles.length > 0 && { text: Object.fromEntries(styles) }),
  };
}

/** Every role of a scheme as a token that refers to its swatch. */
export function schemeTokens(site: Site, scheme: Id): DesignTokens {
  const { token: tokens } = site.kinds;
  const roles = [...roleNames(site)].flatMap(([role, name]) => {
    const bound = roleValue(site, scheme, role)?.value;
    return bound?.type === 'token' && tokens.has(bound.token)
      ? [[name, { $type: 'color', $value: `{${tokenPath(tokens, bound.token)}}` }] as const]
      : [];
  });
  return { role: Object.fromEntries(roles) };
}

/** The guide as a document of the Resolver Module 2025.10: its tokens as a set, its schemes as contexts of one modifier. */
export function guideResolver(site: Site): Json {
  const names = schemeNames(site);
  const { name, defaultScheme } = settingsOf(site);
  const contexts = schemesOf(site).map(({ id }) => [names.get(id) ?? id, [schemeTokens(site, id)]] as const);
  return {
    name,
    version: '2025.10',
    description: `The style guide of ${name}.`,
    sets: { guide: { sources: [guideTokens(site)] } },
    modifiers: {
      scheme: {
        description: 'Which colour does what on light, tinted and dark surfaces.',
        contexts: Object.fromEntries(contexts),
        default: names.get(defaultScheme) ?? defaultScheme,
      },
    },
    resolutionOrder: [{ $ref: '#/sets/guide' }, { $ref: '#/modifiers/scheme' }],
  };
}

/** Nothing in it could be taken for markup, whoever shows it where. */
const printJson = (it: unknown): string => `${JSON.stringify(it, null, 2).replaceAll('<', '\\u003c')}\n`;

export const designTokens: ExportFile = {
  id: 'tokens',
  label: 'Design tokens',
  about: 'Every token and text style as W3C design tokens (DTCG 2025.10)',
  file: 'tokens.json',
  type: 'application/json',
  print: site => printJson(guideTokens(site)),
};

export const resolver: ExportFile = {
  id: 'resolver',
  label: 'Tokens with schemes',
  about: 'The same, with schemes as contexts of a modifier (DTCG Resolver Module 2025.10)',
  file: 'tokens.resolver.json',
  type: 'application/json',
  print: site => printJson(guideResolver(site)),
};
