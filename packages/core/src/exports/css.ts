import { literalContext, roleValue } from '../cascade/index.ts';
import type { Gamut } from '../color/index.ts';
import { printDeclaration, propertyOf } from '../properties/index.ts';
import { type Id, type Site, settingsOf, type TextStyleRecord } from '../site/index.ts';
import { parseSlot, type Width } from '../slots/index.ts';
import { NO_REBINDS } from '../tokens/index.ts';
import { type CssContext, printCss, type Value } from '../values/index.ts';
import type { ExportFile } from './exportFile.ts';
import { propertyOfToken, roleNames, schemeNames, schemesOf, textStyleNames, textStylesOf } from './names.ts';

export type CssDeclaration = readonly [name: string, text: string];

/** Prints references as the custom properties of this file; what is derived as the value it ends in. */
export function exportContext(site: Site, gamut: Gamut = 'srgb'): CssContext {
  const literals = literalContext(site, { scheme: '', rebinds: NO_REBINDS }, { gamut });
  const roles = roleNames(site);
  return {
    ...literals,
    token: id => `var(${propertyOfToken(site, id)})`,
    role: name => `var(--role-${roles.get(name) ?? name})`,
    picture: () => 'none',
    pattern: () => 'none',
  };
}

/** Custom properties of all tokens. */
export function tokenProperties(site: Site, gamut: Gamut = 'srgb'): CssDeclaration[] {
  const context = exportContext(site, gamut);
  return [...site.kinds.token.values()].map(({ id, value }) => [
    propertyOfToken(site, id),
    printCss(value, context),
  ]);
}

/** Custom properties of all roles of a scheme, fallbacks followed. */
export function roleProperties(site: Site, scheme: Id): CssDeclaration[] {
  const context = exportContext(site);
  return [...roleNames(site)].flatMap(([role, name]): CssDeclaration[] => {
    const bound = roleValue(site, scheme, role);
    return bound ? [[`--role-${name}`, printCss(bound.value, context)]] : [];
  });
}

export const block = (selector: string, declarations: readonly CssDeclaration[], indent = ''): string =>
  `${indent}${selector} {\n${declarations.map(([name, text]) => `${indent}  ${name}: ${text};`).join('\n')}\n${indent}}`;

/** A class for each scheme; the site's own holds where no other is worn. */
export function schemeClasses(site: Site): string[] {
  const names = schemeNames(site);
  const { defaultScheme } = settingsOf(site);
  return schemesOf(site).map(({ id, face }) => {
    const own = `.scheme-${names.get(id)}`;
    return block(id === defaultScheme ? `:root,\n${own}` : own, [
      ['color-scheme', face],
      ...roleProperties(site, id),
    ]);
  });
}

/** What screens of a wider gamut show otherwise, where the brand wants that. */
export function wideTokens(site: Site): string[] {
  if (!settingsOf(site).wideColors) return [];
  const usual = new Map(tokenProperties(site));
  const wide = tokenProperties(site, 'display-p3').filter(([name, text]) => usual.get(name) !== text);
  return wide.length === 0 ? [] : [`@media (color-gamut: p3) {\n${block(':root', wide, '  ')}\n}`];
}

/** What a text style sets at rest, by width. */
function styleDeclarations(site: Site, style: TextStyleRecord, width: Width): CssDeclaration[] {
  const context = exportContext(site);
  return Object.entries(style.styles).flatMap(([slot, value]: [string, Value]): CssDeclaration[] => {
    const at = parseSlot(slot);
    if (at?.state !== 'rest' || at.width !== width || at.property === 'textStyle') return [];
    const row = propertyOf(at.property);
    return [[row.css, printDeclaration(row, value, context)]];
  });
}

/** A class for each text style, with what it sets on smaller screens. */
export function textStyleClasses(site: Site): string[] {
  const names = textStyleNames(site);
  const { mediumTo, narrowTo } = settingsOf(site);
  const list = textStylesOf(site);
  const classes = (width: Width, indent = '') =>
    list.flatMap(style => {
      const declarations = styleDeclarations(site, style, width);
      return declarations.length === 0 ? [] : [block(`.text-${names.get(style.id)}`, declarations, indent)];
    });
  const below = (width: Width, to: number) => {
    const found = classes(width, '  ');
    return found.length === 0 ? [] : [`@media (max-width: ${to}px) {\n${found.join('\n')}\n}`];
  };
  return [...classes('wide'), ...below('medium', mediumTo), ...below('narrow', narrowTo)];
}

export const css: ExportFile = {
  id: 'css',
  label: 'CSS',
  about: 'Custom properties of every token, a class for each scheme and each text style',
  file: 'guide.css',
  type: 'text/css',
  print: site =>
    `${[
      block(':root', tokenProperties(site)),
      ...wideTokens(site),
      ...schemeClasses(site),
      ...textStyleClasses(site),
    ].join('\n\n')}\n`,
};
