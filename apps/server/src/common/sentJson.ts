import { type JsonBudget, LIMITS, mayHoldUnstorable, scanJson, unstorableIn } from '@cove/core';
import { ProblemException } from './problem';

const bad = (message: string) =>
  new ProblemException({ code: 'bad-json', message, expected: 'a JSON object' });

/**
 * The JSON object that was sent. Counted before it is parsed, so that neither its depth nor its entries cost more than they
 * may; text that cannot be stored is refused with the name of its field.
 */
export function parseSentJson(sent: Uint8Array, budget: JsonBudget = LIMITS.json): Record<string, unknown> {
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(sent);
  } catch {
    throw bad('The body is not UTF-8.');
  }
  const counted = scanJson(text, budget);
  if (!counted.ok) throw new ProblemException(counted.problem);
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw bad('The body is not JSON.');
  }
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    throw bad('The body is not a JSON object.');
  const field = mayHoldUnstorable(text) ? unstorableIn(value) : null;
  if (field !== null)
    throw new ProblemException({
      code: 'bad-text',
      message: `${field} holds a character that cannot be stored: NUL, or half of a pair.`,
      path: field,
      expected: 'well-formed text',
    });
  return { ...value };
}
