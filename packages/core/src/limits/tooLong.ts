import { fail, type Problem } from '../result/index.ts';

/** The refusal of a text that exceeds its budget, to be asked for before anything looks at the text; null where it fits. */
export const tooLong = (text: string, most: number): { ok: false; problem: Problem } | null =>
  text.length <= most
    ? null
    : fail({
        code: 'too-long',
        message: `This is too long: ${text.length.toLocaleString('en')} characters. Up to ${most.toLocaleString('en')} can be read.`,
        found: `${text.length} characters`,
        expected: `at most ${most} characters`,
      });
