import { type FileType, fail, isFileType, ok, type Result } from '@cove/core';
import { typeOfBytes } from '../storage/typeOfBytes';

/**
 * What a file is, told by what it holds and, for text, by the ending of its name. Only kinds that no browser runs are kept,
 * and visitors are given them to take home, never to be shown in the site.
 */
export function readFile(data: Buffer, name: string): Result<FileType> {
  const type = typeOfBytes(data, name);
  return type !== null && isFileType(type)
    ? ok(type)
    : fail({
        code: 'bad-file',
        message: 'This is no file that can be offered: take a PDF, a ZIP, or text as .txt, .csv or .ics.',
        expected: 'a PDF, ZIP, TXT, CSV or ICS file',
      });
}
