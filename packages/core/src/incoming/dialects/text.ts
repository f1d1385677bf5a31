import { ok, type Result } from '../../result/index.ts';
import { OURS, type PastedSwatch, pasteSwatches } from '../../tokens/index.ts';
import { stylesOfHtml } from '../css/html.ts';
import type { Draft, Drafts } from '../draft.ts';

/** A style sheet, what stands in a rule of one, or the styles of a page; null for a list of colours. */
export function sheetIn(file: string, text: string): string | null {
  if (/\.html?$/i.test(file) || /^\s*<(?:!doctype|html)\b/i.test(text)) return stylesOfHtml(text);
  const open = text.indexOf('{');
  if (/\.(?:s?css|less)$/i.test(file) || (open >= 0 && text.indexOf('}', open) > 0)) return text;
  const lines = text.split('\n').filter(it => it.trim() !== '');
  return lines.length > 0 && lines.every(it => it.trimStart().startsWith('--')) ? `:root{${text}}` : null;
}

/** Lines of colours, with or without names, as people have them at hand. */
export function lineDrafts(file: string, text: string): Result<Drafts> {
  const read = pasteSwatches(text);
  if (!read.ok) return read;
  const { swatches, unread } = read.value;
  const place = (line: number) => ({ file, line, column: 1 });
  const written = ({ op, from, by }: NonNullable<PastedSwatch['derived']>): string =>
    `${op}(${[...from.map(i => `{${swatches[i]?.name ?? ''}}`), ...by].join(', ')})`;
  const drafts = swatches.map(
    ({ name, color, line, follows, derived }): Draft => ({
      group: [],
      key: name,
      name,
      type: 'color',
      inherited: null,
      value:
        follows === null
          ? { colorSpace: color.space, components: [...color.coords], alpha: color.alpha }
          : `{${swatches[follows]?.name ?? ''}}`,
      within: null,
      description: '',
      deprecated: null,
      extensions: derived ? { [OURS]: { derived: written(derived) } } : {},
      place: () => place(line),
    }),
  );
  return ok({
    dialect: 'A list of colours',
    drafts,
    schemes: [],
    findings: unread.map(({ line, text: words }) => ({
      kind: 'unread',
      name: '',
      message: `“${words.length > 60 ? `${words.slice(0, 60)}…` : words}” holds no colour.`,
      place: place(line),
    })),
    isFormat: false,
    root: null,
    hasPointers: false,
  });
}
