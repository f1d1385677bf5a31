import { readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import { LIMITS } from '../src/index.ts';

const PAGE = readFileSync(new URL('../../../docs/security.md', import.meta.url), 'utf8');

/** Every number of a table of limits, with the way to it. */
function* numbersIn(table: object, way = ''): Generator<readonly [string, number]> {
  for (const [name, value] of Object.entries(table))
    if (typeof value === 'number') yield [`${way}${name}`, value];
    else yield* numbersIn(value, `${way}${name}.`);
}

describe('docs/security.md', () => {
  it.each([...numbersIn(LIMITS)])('tells the limit %s, %d', (_, value) => {
    expect(PAGE).toMatch(new RegExp(`(?<![\\d,])${value.toLocaleString('en')}(?![\\d,]*\\d)`));
  });
});
