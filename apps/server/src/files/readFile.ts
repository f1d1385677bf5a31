import { type FileType, fail, isFileType, ok, type Result } from '@cove/core';
import { typeOfBytes } from '../storage/typeOfBytes';

/**
 * What a file is, told by what it holds and, for text, by the ending of its name. Only kinds that no browser runs are kept,
 * and visitors play them or take them home.
 */
export function readFile(data: Buffer, name: string): Result<FileType> {
  const type = typeOfBytes(data, name);
  return type !== null && isFileType(type)
    ? ok(type)
    : fail({
        code: 'bad-file',
        message:
          'This is no file that can be offered: take a PDF, a ZIP, text as .txt, .csv or .ics, a film as MP4 or WebM, sound as MP3, M4A, Ogg or WAV, or captions as WebVTT.',
        expected: 'a PDF, ZIP, TXT, CSV, ICS, MP4, WebM, MP3, M4A, Ogg, WAV or VTT file',
      });
}
