import { fail, type Problem } from '../result/index.ts';

/** The refusal of a text that exceeds its budget, to be asked for before anything looks at the text; null where it fits. */
export const tooLong = (
  { length }: { length: number },
  most: number,
): { ok: false; problem: Problem } | null =>
  length <= most
    ? null
    : fail({
        code: 'too-long',
        message: `This is too long: ${length.toLocaleString('en')} characters. Up to ${most.toLocaleString('en')} can be read.`,
        found: `${length} characters`,
        expected: `at most ${most} characters`,
      });
