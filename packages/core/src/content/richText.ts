import { isObject } from '../values/json.ts';
import { type LinkTarget, readLink } from './link.ts';
import { MAX_RUN, readPlain } from './plain.ts';

export interface TextRun {
  text: string;
  strong?: true;
  emphasis?: true;
  code?: true;
  marked?: true;
  link?: LinkTarget;
}
/** Paragraphs of runs; one value, so that a later writer replaces the whole of it. */
export type RichText = readonly (readonly TextRun[])[];

function readRun(it: unknown): TextRun | null {
  if (!isObject(it)) return null;
  const text = readPlain(it.text, MAX_RUN);
  const link = it.link === undefined ? undefined : readLink(it.link);
  if (text === null || link === null) return null;
  return {
    text,
    ...(it.strong === true && { strong: true }),
    ...(it.emphasis === true && { emphasis: true }),
    ...(it.code === true && { code: true }),
    ...(it.marked === true && { marked: true }),
    ...(link && { link }),
  };
}

export function readRichText(it: unknown): RichText | null {
  if (!Array.isArray(it) || it.length > 500) return null;
  const paragraphs: TextRun[][] = [];
  for (const paragraph of it) {
    if (!Array.isArray(paragraph)) return null;
    const runs = paragraph.map(readRun);
    const good = runs.filter(run => run !== null);
    if (good.length !== runs.length) return null;
    paragraphs.push(good);
  }
  return paragraphs;
}

/** Of what a widget holds, only a rich text is a list. */
export const isRichText = (it: unknown): it is RichText => Array.isArray(it);
export const richText = (...paragraphs: string[]): RichText => paragraphs.map(text => [{ text }]);
export const plainOf = (text: RichText): string =>
  text.map(runs => runs.map(run => run.text).join('')).join('\n');

const sameMarks = ({ text: _, ...a }: TextRun, { text: __, ...b }: TextRun): boolean =>
  JSON.stringify(Object.entries(a).sort()) === JSON.stringify(Object.entries(b).sort());

/** Two texts in one line, as few runs as say it. */
export function inOneLine(first: RichText, second: RichText): RichText {
  const runs: TextRun[] = [];
  for (const run of [...first.flat(), ...second.flat()]) {
    const last = runs.at(-1);
    if (run.text === '') continue;
    if (last && sameMarks(last, run)) runs[runs.length - 1] = { ...last, text: last.text + run.text };
    else runs.push(run);
  }
  return [runs];
}

/** The links in a text, in the order in which they stand. */
export const linksIn = (text: RichText): LinkTarget[] =>
  text.flatMap(runs => runs.flatMap(run => run.link ?? []));

/** The same text with other links in it; the very one where none differs. */
export function withTextLinks(text: RichText, other: (link: LinkTarget) => LinkTarget): RichText {
  let changed = false;
  const after = text.map(runs =>
    runs.map(run => {
      const link = run.link && other(run.link);
      if (!link || link === run.link) return run;
      changed = true;
      return { ...run, link };
    }),
  );
  return changed ? after : text;
}
