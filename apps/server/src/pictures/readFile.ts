import { FILE_TYPES, type FileType, fail, ok, type Result } from '@cove/core';

const starts = (data: Buffer, ...bytes: number[]): boolean => bytes.every((it, i) => data[i] === it);

/** Whether it is text as UTF-8 has it, with nothing in it that text does not have. */
function isText(data: Buffer): boolean {
  try {
    return !new TextDecoder('utf-8', { fatal: true }).decode(data).includes('\0');
  } catch {
    return false;
  }
}

/**
 * What a file is, told by what it holds and, for text, by the ending of its name. Only kinds that no browser runs are kept,
 * and visitors are given them to take home, never to be shown in the site.
 */
export function readFile(data: Buffer, name: string): Result<FileType> {
  if (data.length > 0) {
    if (starts(data, 0x25, 0x50, 0x44, 0x46, 0x2d)) return ok('application/pdf');
    if (starts(data, 0x50, 0x4b, 0x03, 0x04)) return ok('application/zip');
    const ending = /\.(txt|csv|ics)$/i.exec(name)?.[1]?.toLowerCase();
    const type = Object.entries(FILE_TYPES).find(
      ([mime, it]) => mime.startsWith('text/') && it === ending,
    )?.[0];
    if ((type === 'text/plain' || type === 'text/csv' || type === 'text/calendar') && isText(data))
      return ok(type);
  }
  return fail({
    code: 'bad-file',
    message: 'This is no file that can be offered: take a PDF, a ZIP, or text as .txt, .csv or .ics.',
    expected: 'a PDF, ZIP, TXT, CSV or ICS file',
  });
}
