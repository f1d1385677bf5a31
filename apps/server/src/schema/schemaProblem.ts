import { type Problem, SCHEMA } from '@cove/core';

/** What a page is told that was made by another version of the program. */
export const RENEWED: Problem = {
  code: 'renewed',
  message:
    'The program has been renewed since this page was opened. Reload the page; what waits is kept, and sent then.',
};

/** Why a site of some schema cannot be read or altered by this version of the program; null where it can. */
export function schemaProblem(schema: number): Problem | null {
  if (schema === SCHEMA) return null;
  if (schema > SCHEMA) return RENEWED;
  return {
    code: 'not-upgraded',
    message:
      'This site could not be brought to the shape that this version of the program works with. It is kept as it was; the server’s log says what stood in the way.',
    found: `schema ${schema}`,
    expected: `schema ${SCHEMA}`,
  };
}
