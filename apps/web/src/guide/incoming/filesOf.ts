import { LIMITS } from '@cove/core';
import type { SourceFile } from '@cove/core/incoming';
import { unzip } from 'fflate';

/** What was opened: the files that could hold tokens, and why others were left. */
export interface OpenedFiles {
  files: readonly SourceFile[];
  problems: readonly string[];
}

/** Characters of all files together that are read. */
const MOST = LIMITS.typed.tokens;
const MOST_FILES = 500;
const COULD_HOLD = /\.(?:json|css|scss|less|html?|txt|tokens)$/i;
/** Folders of a package that hold what was made of its tokens, or no part of it. */
const PASSED_OVER = /(?:^|\/)(?:node_modules|\.git|__MACOSX)\//;

const megabytes = `${MOST / 1_000_000} MB`;

function unpacked(name: string, bytes: Uint8Array): Promise<OpenedFiles> {
  let left = MOST;
  let tooLarge = 0;
  return new Promise(resolve => {
    unzip(
      bytes,
      {
        // What an archive says of its files is known before any of them is unpacked.
        filter: file => {
          if (!COULD_HOLD.test(file.name) || PASSED_OVER.test(file.name)) return false;
          left -= file.originalSize;
          if (left >= 0) return true;
          tooLarge++;
          return false;
        },
      },
      (error, entries) => {
        if (error) {
          resolve({ files: [], problems: [`${name} cannot be unpacked. It may be broken.`] });
          return;
        }
        const decoder = new TextDecoder();
        const files = Object.entries(entries)
          .slice(0, MOST_FILES)
          .map(([path, data]) => ({ name: path, text: decoder.decode(data) }));
        const problems =
          tooLarge > 0
            ? [`${name} holds more than ${megabytes} of text. ${tooLarge} of its files were left out.`]
            : files.length === 0
              ? [`${name} holds no token files, style sheets or pages.`]
              : [];
        resolve({ files, problems });
      },
    );
  });
}

/** Path of a file within the folder that was opened. */
function pathOf(file: File): string {
  const dropped: unknown = Reflect.get(file, 'path');
  const path = file.webkitRelativePath || (typeof dropped === 'string' ? dropped : file.name);
  return path.replace(/^\.?\//, '');
}

/** Reads what was chosen or dropped: files, folders, archives. Nothing that is too large is read at all. */
export async function filesOf(list: readonly File[]): Promise<OpenedFiles> {
  const files: SourceFile[] = [];
  const problems: string[] = [];
  let left: number = MOST;
  for (const file of list) {
    const name = pathOf(file);
    if (PASSED_OVER.test(name)) continue;
    const isArchive = /\.zip$/i.test(name);
    if (!isArchive && !COULD_HOLD.test(name)) {
      if (list.length === 1)
        problems.push(`${name} is neither JSON, nor CSS, nor a page, nor a zip of them.`);
      continue;
    }
    if (file.size > left || files.length >= MOST_FILES) {
      problems.push(
        files.length >= MOST_FILES
          ? `Up to ${MOST_FILES} files can be read together.`
          : `${name} is left out: up to ${megabytes} can be read together.`,
      );
      break;
    }
    if (isArchive) {
      const inside = await unpacked(name, new Uint8Array(await file.arrayBuffer()));
      files.push(...inside.files);
      problems.push(...inside.problems);
      left -= inside.files.reduce((sum, it) => sum + it.text.length, 0);
    } else {
      files.push({ name, text: await file.text() });
      left -= file.size;
    }
  }
  if (files.length === 0 && problems.length === 0 && list.length > 0)
    problems.push('No token files, style sheets or pages were found.');
  return { files: files.sort((a, b) => (a.name < b.name ? -1 : 1)), problems };
}
