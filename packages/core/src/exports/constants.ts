import { literalContext, roleValue } from '../cascade/index.ts';
import { printDeclaration, propertyOf } from '../properties/index.ts';
import { type Site, settingsOf } from '../site/index.ts';
import { parseSlot } from '../slots/index.ts';
import { NO_REBINDS } from '../tokens/index.ts';
import { printCss } from '../values/index.ts';
import type { ExportFile } from './exportFile.ts';
import { roleNames, schemeNames, schemesOf, stepsOf, textStyleNames, textStylesOf } from './names.ts';

/** Nested constants: a text, or a group of more. */
interface Tree {
  [name: string]: string | Tree;
}

const camel = (step: string): string =>
  step.replace(/-([a-z0-9])/g, (_, letter: string) => letter.toUpperCase());
const key = (name: string): string => (/^[a-zA-Z_]\w*$/.test(name) ? name : `'${name}'`);
/** A literal of the language, whatever the text holds. */
const quoted = (text: string): string =>
  `'${JSON.stringify(text).slice(1, -1).replaceAll('\\"', '"').replaceAll("'", "\\'")}'`;

function printTree(tree: Tree, indent = ''): string {
  const inner = `${indent}  `;
  const lines = Object.entries(tree).map(
    ([name, it]) => `${inner}${key(name)}: ${typeof it === 'string' ? quoted(it) : printTree(it, inner)},\n`,
  );
  return `{\n${lines.join('')}${indent}}`;
}

/** Every token by type, group and name, as the CSS text it comes to. */
function tokenTree(site: Site): Tree {
  const context = literalContext(site, { scheme: '', rebinds: NO_REBINDS });
  const root: Tree = {};
  for (const { id, value } of site.kinds.token.values()) {
    const steps = stepsOf(site, id).map(camel);
    const name = steps.pop() ?? id;
    let group = root;
    for (const step of steps) {
      const inner = group[step];
      const next: Tree = typeof inner === 'object' ? inner : {};
      group[step] = next;
      group = next;
    }
    group[name] = printCss(value, context);
  }
  return root;
}

function schemeTree(site: Site): Tree {
  const names = schemeNames(site);
  return Object.fromEntries(
    schemesOf(site).map(({ id, face }) => {
      const context = literalContext(site, { scheme: id, rebinds: NO_REBINDS });
      const roles = [...roleNames(site)].flatMap(([role, name]) => {
        const bound = roleValue(site, id, role);
        return bound ? [[camel(name), printCss(bound.value, context)] as const] : [];
      });
      return [camel(names.get(id) ?? id), { face, roles: Object.fromEntries(roles) }];
    }),
  );
}

function textStyleTree(site: Site): Tree {
  const names = textStyleNames(site);
  const context = literalContext(site, { scheme: '', rebinds: NO_REBINDS });
  return Object.fromEntries(
    textStylesOf(site).map(style => [
      camel(names.get(style.id) ?? style.id),
      Object.fromEntries(
        Object.entries(style.styles).flatMap(([slot, value]) => {
          const at = parseSlot(slot);
          if (at?.state !== 'rest' || at.width !== 'wide' || at.property === 'textStyle') return [];
          const row = propertyOf(at.property);
          return [[at.property, printDeclaration(row, value, context)] as const];
        }),
      ),
    ]),
  );
}

export const constants: ExportFile = {
  id: 'constants',
  label: 'TypeScript',
  about: 'Typed constants of every token, scheme and text style, as CSS values',
  file: 'guide.ts',
  type: 'text/typescript',
  print(site) {
    const names = schemeNames(site);
    const own = camel(names.get(settingsOf(site).defaultScheme) ?? '');
    return `${[
      `export const tokens = ${printTree(tokenTree(site))} as const;`,
      `export const schemes = ${printTree(schemeTree(site))} as const;`,
      `export const textStyles = ${printTree(textStyleTree(site))} as const;`,
      `export type SchemeName = keyof typeof schemes;\nexport type RoleName = keyof (typeof schemes)[SchemeName]['roles'];\nexport type TextStyleName = keyof typeof textStyles;`,
      `export const defaultScheme: SchemeName = ${quoted(own)};`,
    ].join('\n\n')}\n`;
  },
};
