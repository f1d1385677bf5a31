import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from '@jest/globals';
import { defineConfig, parse } from '@terrazzo/parser';
import { lexer, parse as parseCss, walk } from 'css-tree';
import StyleDictionary from 'style-dictionary';
import { compile } from 'tailwindcss';
import { roleValue } from '../src/cascade/index.ts';
import { printPainted } from '../src/color/index.ts';
import { describeGroup, setNote } from '../src/commands/index.ts';
import { EXPORTS, guideResolver, guideTokens } from '../src/exports/index.ts';
import { rolesOf } from '../src/guide/index.ts';
import { roleColor } from '../src/measure/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type Edit, type Site } from '../src/site/index.ts';
import { literalOf, NO_REBINDS, tokenPath } from '../src/tokens/index.ts';
import { demoSite } from './support/demo.ts';
import { takenFrom } from './support/incoming.ts';
import { tiny } from './support/tiny.ts';

const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const demo = demoSite();
const hull = demo.kinds.token.get('hull');
const noted = after(demo, [
  ...(hull ? setNote(hull, 'The hulls of all boats') : []),
  ...describeGroup(demo, 'Brand', { purpose: 'identity', note: 'Colours of the line' }),
]);
const printed = (id: string, site = noted): string => {
  const file = EXPORTS.find(it => it.id === id);
  if (!file) throw new Error(id);
  return file.print(site);
};
const config = defineConfig({}, { cwd: new URL('file:///') });
const tokensOf = (src: string) => parse([{ filename: new URL('file:///tokens.json'), src }], { config });
const endOf = (id: string) => literalOf(noted.kinds.token, NO_REBINDS, { type: 'token', token: id });

describe('design tokens, against Design Tokens Format Module 2025.10 as @terrazzo/parser 2.7 reads it', () => {
  it('hold every token, with the value that it ends in', async () => {
    const { tokens } = await tokensOf(printed('tokens'));
    let seen = 0;
    for (const { id, type } of noted.kinds.token.values()) {
      const theirs = tokens[tokenPath(noted.kinds.token, id)];
      const ours = endOf(id);
      expect(theirs?.$type).toBe(type);
      if (ours?.type === 'color')
        expect(theirs?.$value).toMatchObject({
          colorSpace: ours.value.space,
          components: [...ours.value.coords],
          hex: printPainted({ ...ours.value, alpha: 1 }),
        });
      if (ours?.type === 'fluid') expect(theirs?.$value).toEqual(ours.max);
      if (ours?.type === 'dimension' || ours?.type === 'number') expect(theirs?.$value).toEqual(ours.value);
      seen++;
    }
    expect(seen).toBe(noted.kinds.token.size);
  });
  it('hold both ends of what grows', async () => {
    const { tokens } = await tokensOf(printed('tokens'));
    expect(tokens['size.text.base']?.$value).toEqual({ value: 1.125, unit: 'rem' });
    expect(tokens['size.text.base-least']?.$value).toEqual({ value: 1, unit: 'rem' });
  });
  it('hold every text style as typography, complete, with what it refers to (section 9.7)', async () => {
    const { tokens } = await tokensOf(printed('tokens'));
    const styles = Object.values(tokens).filter(it => it.$type === 'typography');
    expect(styles).toHaveLength(noted.kinds.textStyle.size);
    expect(tokens['text.heading-1']?.$value).toMatchObject({
      fontFamily: ['Bricolage Grotesque', 'sans-serif'],
      fontSize: tokens['size.text.step-5']?.$value,
    });
  });
  it('say what is noted on groups and tokens (sections 5.2.1 and 6.1)', () => {
    expect(guideTokens(noted)).toMatchObject({
      color: {
        brand: { $description: 'Colours of the line', hull: { $description: 'The hulls of all boats' } },
      },
    });
  });
  it('are read by style-dictionary 4.4 to the same values', async () => {
    const dictionary = new StyleDictionary(
      { tokens: JSON.parse(printed('tokens')), usesDtcg: true, platforms: { plain: { transforms: [] } } },
      { verbosity: 'silent' },
    );
    const { allTokens } = await dictionary.getPlatformTokens('plain');
    const theirs = new Map(allTokens.map(token => [token.path.join('.'), token.$value]));
    const { tokens } = await tokensOf(printed('tokens'));
    for (const path of [
      'color.brand.hull',
      'color.neutral.slate',
      'size.text.step-3',
      'number.text.ratio',
      'duration.motion.quick',
    ]) {
      const ours = tokens[path]?.$value;
      expect(theirs.get(path)).toEqual(
        typeof ours === 'object' && ours !== null && 'colorSpace' in ours
          ? expect.objectContaining({ colorSpace: ours.colorSpace, components: ours.components })
          : ours,
      );
    }
  });
  it('come back as they left: values, derivations, purposes and notes', () => {
    const { edits } = takenFrom(tiny(), printed('tokens'));
    const back = after(tiny(), edits).kinds.token;
    for (const { id, group, name, type, purpose, note } of noted.kinds.token.values()) {
      const twin = [...back.values()].find(it => it.name === name && it.group === group && it.type === type);
      expect({ name, purpose: twin?.purpose, note: twin?.note }).toEqual({ name, purpose, note });
      expect(twin && literalOf(back, NO_REBINDS, twin.value)?.type).toBe(endOf(id)?.type);
    }
  });
});

describe('schemes, against Design Tokens Resolver Module 2025.10 as @terrazzo/parser 2.7 reads it', () => {
  it('are contexts of one modifier, in each of which every role comes to its swatch', async () => {
    const { resolver } = await parse(
      [{ filename: new URL('file:///guide.resolver.json'), src: printed('resolver') }],
      { config },
    );
    const contexts = Object.keys(
      (guideResolver(noted) as { modifiers: { scheme: { contexts: object } } }).modifiers.scheme.contexts,
    );
    expect(contexts).toEqual(['daymark', 'fog-bank', 'heather', 'night-run']);
    for (const [i, scheme] of ['daymark', 'fog-bank', 'heather-moor', 'night-run'].entries()) {
      const tokens = resolver.apply({ scheme: contexts[i] ?? '' });
      for (const [role, path] of [
        ['surface', 'role.surface'],
        ['mainFillHover', 'role.main-fill-hover'],
        ['dangerText', 'role.danger-text'],
      ] as const) {
        const color = roleColor(noted, scheme, role);
        expect(tokens[path]?.$value).toMatchObject({
          colorSpace: color?.space,
          components: color && [...color.coords],
        });
      }
    }
  });
});

/** Custom properties by the selector they stand under. */
function properties(text: string): Map<string, Map<string, string>> {
  const found = new Map<string, Map<string, string>>();
  for (const [, selector = '', body = ''] of text.matchAll(/^([^{}@\n][^{}@]*?)\s*\{([^{}]*)\}/gm))
    for (const it of selector.split(',').map(part => part.trim())) {
      const own = found.get(it) ?? new Map<string, string>();
      for (const [, name = '', value = ''] of body.matchAll(/([\w-]+):\s*([^;]+);/g)) own.set(name, value);
      found.set(it, own);
    }
  return found;
}

describe('the CSS file', () => {
  const text = printed('css');
  const blocks = properties(text);
  const follow = (value: string, scheme: string): string => {
    const name = /^var\((--[\w-]+)\)$/.exec(value)?.[1];
    if (!name) return value;
    return follow(blocks.get(scheme)?.get(name) ?? blocks.get(':root')?.get(name) ?? 'missing', scheme);
  };
  it('has a custom property for every token and a class for every scheme, all roles as they are painted', () => {
    for (const { id } of noted.kinds.token.values())
      expect(blocks.get(':root')?.has(`--${tokenPath(noted.kinds.token, id).replaceAll('.', '-')}`)).toBe(
        true,
      );
    for (const [scheme, name] of [
      ['daymark', '.scheme-daymark'],
      ['night-run', '.scheme-night-run'],
    ] as const)
      for (const role of rolesOf(noted)) {
        const color = roleValue(noted, scheme, role.name) && roleColor(noted, scheme, role.name);
        const css = `--role-${role.name.replace(/([a-z])([A-Z])/g, '$1-$2').toLowerCase()}`;
        if (color) expect(follow(`var(${css})`, name)).toBe(printPainted(color));
      }
  });
  it('has no value that the lexer of css-tree refuses', () => {
    const wrong: string[] = [];
    let looked = 0;
    walk(parseCss(text, { positions: true }), node => {
      if (node.type !== 'Declaration' || node.property.startsWith('--') || node.value.type !== 'Value')
        return;
      // What refers to a custom property is valid whatever it holds (CSS Variables 1, section 3).
      if (/var\(/.test(text.slice(node.loc?.start.offset ?? 0, node.loc?.end.offset ?? 0))) return;
      looked++;
      const { error } = lexer.matchProperty(node.property, node.value);
      if (error && !/var\(/.test(error.message)) wrong.push(`${node.property}: ${error.message}`);
    });
    expect(wrong).toEqual([]);
    expect(looked).toBeGreaterThan(20);
  });
  it('gives wide screens the wide colour, beside the one that every screen shows, where the brand wants that', () => {
    const wide = after(noted, [
      { op: 'set', id: 'settings', path: ['wideColors'], value: true },
      {
        op: 'set',
        id: 'rope',
        path: ['value'],
        value: { type: 'color', value: { space: 'oklch', coords: [0.547, 0.18, 200], alpha: 1 } },
      },
    ]);
    expect(printed('css')).not.toContain('color-gamut');
    expect(printed('css', wide)).toMatch(
      /@media \(color-gamut: p3\) \{\n {2}:root \{\n[^}]*--color-brand-rope: color\(display-p3 /,
    );
  });
});

describe('the theme block, against Tailwind CSS 4, which makes the classes that it promises', () => {
  it('has classes for swatches, roles, voices, sizes, corners and shadows', async () => {
    const compiler = await compile(`${printed('theme')}\n@tailwind utilities;`);
    const css = compiler.build([
      'bg-brand-hull',
      'text-heading',
      'bg-main-fill-hover',
      'font-voices-heading',
      'text-text-step-3',
      'rounded-corners-card',
      'p-space-three',
      'max-w-page-text-measure',
      'shadow-shadows-lift',
      'ease-motion-ashore',
    ]);
    for (const [name, value] of [
      ['bg-brand-hull', 'background-color: var(--color-brand-hull)'],
      ['text-heading', 'color: var(--role-heading)'],
      ['bg-main-fill-hover', 'background-color: var(--role-main-fill-hover)'],
      ['font-voices-heading', 'font-family: var(--voice-voices-heading)'],
      ['text-text-step-3', 'font-size: var(--size-text-step-3)'],
      ['rounded-corners-card', 'border-radius: var(--size-corners-card)'],
      ['p-space-three', 'padding: var(--size-space-three)'],
      ['max-w-page-text-measure', 'max-width: var(--size-page-text-measure)'],
      ['ease-motion-ashore', 'var(--easing-motion-ashore)'],
    ] as const) {
      expect(css).toContain(`.${name}`);
      expect(css).toContain(value);
    }
    expect(css).toContain('.shadow-shadows-lift');
  });
});

describe('TypeScript constants', () => {
  it('compile under strict, and hold the values of tokens, schemes and text styles', () => {
    const folder = mkdtempSync(join(tmpdir(), 'cove-constants-'));
    writeFileSync(join(folder, 'guide.ts'), printed('constants'));
    writeFileSync(
      join(folder, 'use.ts'),
      `import { defaultScheme, type RoleName, schemes, type SchemeName, textStyles, tokens } from './guide.ts';
const hull: '#2a3a5f' = tokens.color.brand.hull;
const role: RoleName = 'mainFillHover';
const name: SchemeName = 'nightRun';
console.log(JSON.stringify([hull, schemes[name].roles[role], schemes[defaultScheme].face, textStyles.heading1.fontFamily]));
// @ts-expect-error there is no such scheme
const none: SchemeName = 'nowhere';
export { none };
`,
    );
    const tsc = join(import.meta.dirname, '../../../node_modules/typescript7/bin/tsc');
    const strict = [
      '--strict',
      '--target',
      'esnext',
      '--module',
      'esnext',
      '--rewriteRelativeImportExtensions',
      '--types',
      '',
    ];
    execFileSync(process.execPath, [tsc, ...strict, '--outDir', folder, join(folder, 'use.ts')], {
      stdio: 'pipe',
    });
    writeFileSync(join(folder, 'package.json'), '{"type":"module"}');
    const said = execFileSync(process.execPath, [join(folder, 'use.js')], { encoding: 'utf8' });
    const hover = roleColor(noted, 'night-run', 'mainFillHover');
    expect(JSON.parse(said)).toEqual([
      '#2a3a5f',
      hover && printPainted(hover),
      'light',
      expect.stringContaining('Bricolage Grotesque'),
    ]);
  });
});
