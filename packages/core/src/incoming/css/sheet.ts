/// <reference path="../css-tree-parser.d.ts" />
import type { CssNode, List } from 'css-tree';
import parse from 'css-tree/parser';
import { fail, ok, type Result } from '../../result/index.ts';

export interface CssDeclaration {
  property: string;
  /** As written, without `!important`. */
  text: string;
  line: number;
  column: number;
  /** Selectors of the rule around it, those of outer rules before them; none at the top of an at-rule. */
  selectors: readonly string[];
  /** At-rules around it, outermost first. */
  conditions: readonly { name: string; prelude: string }[];
}

export interface CssSheet {
  declarations: readonly CssDeclaration[];
}

/** Braces, one within another, of a sheet that is read. */
const DEEPEST = 32;

function isTooDeep(text: string): boolean {
  let depth = 0;
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i);
    if (c === 0x7b && ++depth > DEEPEST) return true;
    if (c === 0x7d && depth > 0) depth--;
  }
  return false;
}

const rawOf = (node: CssNode | null): string => (node?.type === 'Raw' ? node.value : '');

function withoutComments(text: string): string {
  let kept = '';
  let at = 0;
  for (let start = text.indexOf('/*'); start >= 0; start = text.indexOf('/*', at)) {
    const end = text.indexOf('*/', start + 2);
    kept += text.slice(at, start);
    at = end < 0 ? text.length : end + 2;
  }
  return at === 0 ? text : kept + text.slice(at);
}

/** Selectors of a list, split at commas outside of brackets. */
function selectorsIn(prelude: string): string[] {
  const found: string[] = [];
  let depth = 0;
  let from = 0;
  for (let i = 0; i <= prelude.length; i++) {
    const c = prelude[i];
    if (c === '(' || c === '[') depth++;
    else if (c === ')' || c === ']') depth--;
    else if (c === undefined || (c === ',' && depth <= 0)) {
      const selector = prelude.slice(from, i).trim();
      if (selector !== '') found.push(selector);
      from = i + 1;
    }
  }
  return found;
}

/** At-rules whose declarations are no styles. */
const NO_STYLES = new Set([
  'font-face',
  'keyframes',
  'page',
  'counter-style',
  'font-palette-values',
  'property',
]);

/** Reads the declarations of a style sheet with all that stands around them. What is broken is passed over, as browsers do. */
export function readSheet(text: string): Result<CssSheet> {
  if (isTooDeep(text))
    return fail({
      code: 'too-deep',
      message: `Braces can stand at most ${DEEPEST} deep, one within another.`,
      expected: `at most ${DEEPEST} levels`,
    });
  const tree = parse(text, {
    positions: true,
    parseAtrulePrelude: false,
    parseRulePrelude: false,
    parseValue: false,
    parseCustomProperty: false,
  });
  const declarations: CssDeclaration[] = [];
  const initial: CssDeclaration[] = [];
  const walk = (
    children: List<CssNode>,
    selectors: readonly string[],
    conditions: CssDeclaration['conditions'],
  ): void => {
    children.forEach(node => {
      if (node.type === 'Declaration')
        declarations.push({
          property: node.property.startsWith('--') ? node.property : node.property.toLowerCase(),
          text: withoutComments(rawOf(node.value)).trim(),
          line: node.loc?.start.line ?? 1,
          column: node.loc?.start.column ?? 1,
          selectors,
          conditions,
        });
      else if (node.type === 'Rule') {
        const own = selectorsIn(rawOf(node.prelude));
        // A nested rule with `&` says something of the rule around it.
        const nested = own.map(it => (it.includes('&') ? it.replace(/&/g, selectors[0] ?? ':root') : it));
        walk(node.block.children, nested, conditions);
      } else if (node.type === 'Atrule' && node.block) {
        const name = node.name.toLowerCase().replace(/^-[a-z]+-/, '');
        const registered = name === 'property' ? rawOf(node.prelude).trim() : '';
        if (registered.startsWith('--')) {
          // What a property is where nothing sets it (CSS Properties and Values API 1, section 2.4).
          node.block.children.forEach(it => {
            if (it.type === 'Declaration' && it.property === 'initial-value')
              initial.push({
                property: registered,
                text: withoutComments(rawOf(it.value)).trim(),
                line: it.loc?.start.line ?? 1,
                column: it.loc?.start.column ?? 1,
                selectors: [],
                conditions: [],
              });
          });
          return;
        }
        if (NO_STYLES.has(name)) return;
        walk(node.block.children, selectors, [...conditions, { name, prelude: rawOf(node.prelude) }]);
      }
    });
  };
  if (tree.type === 'StyleSheet') walk(tree.children, [], []);
  // Whatever sets one stands over its initial value.
  return ok({ declarations: [...initial, ...declarations] });
}
