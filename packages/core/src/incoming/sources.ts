import { storable } from '../limits/index.ts';
import { fail, ok, type Problem, type Result } from '../result/index.ts';
import { contextName, inContext, isUsual } from './contexts.ts';
import { readSheet } from './css/sheet.ts';
import { cssDrafts } from './dialects/css.ts';
import { jsonDrafts } from './dialects/json.ts';
import { isResolver, type ResolverSource, resolverDrafts } from './dialects/resolver.ts';
import { lineDrafts, sheetIn } from './dialects/text.ts';
import type { Drafts, Noticed, SourceFile, SourcePlace } from './draft.ts';
import { parseLocatedJson } from './locatedJson.ts';
import { isPlain, type SurveySheet, surveyDrafts } from './survey/survey.ts';
import { isNode, type Steps } from './tree.ts';

export interface OpenedSource {
  name: string;
  drafts: Drafts;
}

const isJson = (text: string): boolean => /^\uFEFF?\s*[{[]/.test(text.slice(0, 1000));

/** One file as JSON with its places, or why it is none. */
function jsonSource({ name, text }: SourceFile): Result<ResolverSource> {
  const json = parseLocatedJson(text);
  if (!json.ok) return json;
  const { value: root, placeOf } = json.value;
  if (!isNode(root))
    return fail({
      code: 'bad-token',
      message: 'A token file is a JSON object.',
      expected: 'groups and tokens',
    });
  if (typeof root.$schema === 'string' && /^https?:\/\/json-schema\.org\//.test(root.$schema))
    return fail({
      code: 'bad-token',
      message: 'This is a schema: it says how files are written, and holds no tokens.',
      expected: 'groups and tokens',
    });
  const at = (it: object): SourcePlace | null => {
    const place = placeOf(it);
    return place && { file: name, line: place.line, column: place.column };
  };
  return ok({ name, text, root, placeOf: at });
}

/** A share of a file's tokens that others have as well, from which it is another face of them. */
const ANOTHER_FACE = 0.6;
const FEW = 3;

/**
 * Files that repeat most tokens of those before them are their other faces, as dark is of light. Those that say by their
 * names that they are the usual ones come first.
 */
function asFaces(sources: readonly OpenedSource[]): OpenedSource[] {
  const known = new Set<string>();
  return [...sources.filter(it => isUsual(it.name)), ...sources.filter(it => !isUsual(it.name))].map(
    ({ name, drafts: it }) => {
      const again = it.drafts.filter(draft => known.has(draft.name));
      for (const draft of it.drafts) known.add(draft.name);
      if (again.length < FEW || again.length < it.drafts.length * ANOTHER_FACE) return { name, drafts: it };
      const made = inContext(it.drafts, contextName(name));
      return { name, drafts: { ...it, drafts: made.drafts, schemes: [...it.schemes, made.scheme] } };
    },
  );
}

/** What each file holds, by its own way of writing; one that holds nothing is told, unless it is the only one. */
export function openSources(
  files: readonly SourceFile[],
  steps: Steps,
): Result<{ sources: readonly OpenedSource[]; findings: readonly Noticed[] }> {
  const findings: Noticed[] = [];
  const opened: OpenedSource[] = [];
  const jsons: ResolverSource[] = [];
  const sheets: SurveySheet[] = [];
  const problems: Problem[] = [];
  const refuse = (file: string, problem: Problem) => {
    problems.push(problem);
    findings.push({
      kind: 'unread',
      name: '',
      message: problem.message,
      place: { file, line: 1, column: 1 },
    });
  };
  for (const file of files) {
    if (isJson(file.text)) {
      const source = jsonSource(file);
      if (source.ok) jsons.push(source.value);
      else refuse(file.name, source.problem);
      continue;
    }
    const written = storable(file.text);
    const text = sheetIn(file.name, written);
    if (text === null) {
      const drafts = lineDrafts(file.name, written);
      if (drafts.ok) opened.push({ name: file.name, drafts: drafts.value });
      else refuse(file.name, drafts.problem);
      continue;
    }
    const sheet = readSheet(text);
    if (!sheet.ok) refuse(file.name, sheet.problem);
    else if (sheet.value.declarations.length === 0 && files.length === 1)
      refuse(file.name, { code: 'no-css', message: 'This holds no declarations.' });
    else sheets.push({ file: file.name, sheet: sheet.value });
  }
  for (const { file, sheet } of sheets)
    if (sheet.declarations.some(it => !isPlain(it)))
      opened.push({ name: file, drafts: cssDrafts(file, sheet) });
  const plain = sheets.filter(it => it.sheet.declarations.some(isPlain));
  if (plain.length > 0) {
    const survey = surveyDrafts(plain);
    if (survey.drafts.length > 0) opened.push({ name: plain[0]?.file ?? '', drafts: survey });
  }
  const documents = jsons.filter(it => isResolver(it.root));
  const others = jsons.filter(it => !isResolver(it.root));
  const named = new Set<string>();
  for (const document of documents) {
    const resolved = resolverDrafts(document, others, steps);
    opened.push({ name: document.name, drafts: resolved.drafts });
    for (const name of resolved.named) named.add(name);
  }
  for (const { name, text, root, placeOf } of others)
    if (!named.has(name)) opened.push({ name, drafts: jsonDrafts(text, root, placeOf, steps) });
  const [problem] = problems;
  if (opened.length === 0 && problem) return fail(problem);
  return ok({ sources: opened.length > 1 ? asFaces(opened) : opened, findings });
}
