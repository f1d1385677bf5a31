import { valuesInGuide } from '../guide/index.ts';
import type { Id, Site, TokenRecord } from '../site/index.ts';
import { tokensIn } from '../values/index.ts';
import { block, type CssDeclaration, schemeClasses, tokenProperties, wideTokens } from './css.ts';
import type { ExportFile } from './exportFile.ts';
import { propertyOfToken, roleNames, stepsOf } from './names.ts';

/** What a theme variable makes classes for, by its first word (Tailwind CSS 4, “Theme variables”). */
type Namespace = 'color' | 'font' | 'text' | 'spacing' | 'radius' | 'container' | 'shadow' | 'ease';

/** What a length is for is told by the properties it is used in. */
const NAMESPACE_OF_PROPERTY: readonly (readonly [RegExp, Namespace])[] = [
  [/^fontSize$/, 'text'],
  [/Radius$/, 'radius'],
  [/^(padding|margin|.*[gG]ap|top|right|bottom|left)/, 'spacing'],
  [/^(max|min)?[wW]idth$/, 'container'],
];
const NAMESPACE_OF_TYPE: Partial<Record<TokenRecord['type'], Namespace>> = {
  color: 'color',
  fontFamily: 'font',
  shadow: 'shadow',
  cubicBezier: 'ease',
};

/** Where lengths of the guide are used, the first namespace that fits; none of what borders and the like alone use. */
function lengthNamespaces(site: Site): ReadonlyMap<Id, Namespace> {
  const found = new Map<Id, Namespace>();
  for (const [property, value] of valuesInGuide(site)) {
    const namespace = NAMESPACE_OF_PROPERTY.find(([test]) => test.test(property))?.[1];
    if (!namespace) continue;
    for (const id of tokensIn(value)) if (!found.has(id)) found.set(id, namespace);
  }
  return found;
}

/** Tokens as theme variables, each referring to the custom property of the token, so that both are one value. */
function themeVariables(site: Site): CssDeclaration[] {
  const lengths = lengthNamespaces(site);
  const variables: CssDeclaration[] = [];
  for (const { id, type } of site.kinds.token.values()) {
    const namespace = NAMESPACE_OF_TYPE[type] ?? (type === 'dimension' ? lengths.get(id) : undefined);
    if (!namespace) continue;
    // Its type is said by the namespace; colours of the same name stand in several groups.
    const name = stepsOf(site, id).slice(1).join('-');
    variables.push([`--${namespace}-${name}`, `var(${propertyOfToken(site, id)})`]);
  }
  return variables;
}

/** Roles as colours, of the scheme that is worn around them. */
const roleVariables = (site: Site): CssDeclaration[] =>
  [...roleNames(site).values()].map(name => [`--color-${name}`, `var(--role-${name})`]);

export const theme: ExportFile = {
  id: 'theme',
  label: 'Tailwind CSS theme',
  about: 'A theme block for Tailwind CSS 4: classes for tokens and for the roles of the scheme around them',
  file: 'theme.css',
  type: 'text/css',
  print: site =>
    `${[
      '/* Import behind tailwindcss. Colours of roles follow the scheme class around them. */',
      block(':root', tokenProperties(site)),
      ...wideTokens(site),
      ...schemeClasses(site),
      block('@theme inline', [...themeVariables(site), ...roleVariables(site)]),
    ].join('\n\n')}\n`,
};
