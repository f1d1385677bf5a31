import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { ROOT } from './paths.mjs';

const CORE = 'packages/core/src/';
const RIGHTS = ['content', 'choice', 'style', 'guide'];

/** Every node of a source. */
function* nodesOf(node) {
  yield node;
  const inner = [];
  ts.forEachChild(node, child => void inner.push(child));
  for (const child of inner) yield* nodesOf(child);
}

/** Whether a node stands in what is given for one of these names. */
function isIn(node, names) {
  for (let at = node.parent; at; at = at.parent)
    if (ts.isPropertyAssignment(at) && names.includes(at.name.getText())) return true;
  return false;
}

/** One error for each right: the one below it, or above it where there is none below. */
function inRights(node) {
  if (!ts.isStringLiteral(node) || !RIGHTS.includes(node.text)) return null;
  if (!isIn(node, ['rights', 'rightToPut'])) return null;
  const at = RIGHTS.indexOf(node.text);
  return `'${RIGHTS[at === 0 ? 1 : at - 1]}'`;
}

/** One error for each kind of record that a reference may lead to: another kind. */
function inReferences(node) {
  if (!ts.isArrayLiteralExpression(node) || !node.elements.every(ts.isStringLiteral)) return null;
  const { parent } = node;
  const given = ts.isConditionalExpression(parent) ? parent.parent : parent;
  return ts.isPropertyAssignment(given) && given.name.getText() === 'kinds' ? "['font']" : null;
}

/** One error for each limit: far more. */
function inLimits(node) {
  if (!ts.isPropertyAssignment(node) || !/^[\d_]+$/.test(node.initializer.getText())) return null;
  return `${node.name.getText()}: 1e12`;
}

/** One error for each refusal: none. */
function inInvariants(node) {
  if (!ts.isObjectLiteralExpression(node)) return null;
  if (!node.properties.some(it => it.name?.getText() === 'code')) return null;
  return ts.isParenthesizedExpression(node.parent) ||
    ts.isReturnStatement(node.parent) ||
    ts.isConditionalExpression(node.parent)
    ? 'null'
    : null;
}

/** Limits of what the server and the interface take are held by their own tests; these are the core's. */
const OF_THE_SERVER =
  /^(computedChange|siteRecords|body|inPassing|passwords|upload|work|bytes|tokens|drawing|shapes|clip|swatches|cells|values|characters)$/;

const KINDS = 'site/kinds/';
const FILES = [
  ...readdirSync(join(ROOT, CORE, KINDS)).map(name => [
    KINDS + name,
    node => inRights(node) ?? inReferences(node) ?? inInvariants(node),
  ]),
  ['limits/limits.ts', inLimits],
  ['site/invariants.ts', inInvariants],
  ['site/chain.ts', inInvariants],
  ['site/nesting.ts', inInvariants],
];

const isServers = node => {
  for (let at = node; at; at = at.parent)
    if (ts.isPropertyAssignment(at) && OF_THE_SERVER.test(at.name.getText())) return true;
  return false;
};

/** All errors that can be planted, one for each rule, in the order in which they stand. */
export function plantable() {
  return FILES.flatMap(([name, errorAt]) => {
    const file = CORE + name;
    const text = readFileSync(join(ROOT, file), 'utf8');
    const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
    return [...nodesOf(source)].flatMap(node => {
      const by = name === 'limits/limits.ts' && isServers(node) ? null : errorAt(node);
      if (by === null) return [];
      const at = node.getStart();
      const { line } = source.getLineAndCharacterOfPosition(at);
      return [
        {
          file,
          at,
          length: node.end - at,
          by,
          line: line + 1,
          was: text.slice(at, node.end).replace(/\s+/g, ' ').slice(0, 60),
        },
      ];
    });
  });
}
