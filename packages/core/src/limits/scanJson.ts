import { fail, ok, type Result } from '../result/index.ts';
import { LIMITS } from './limits.ts';

export interface JsonBudget {
  depth: number;
  values: number;
  /** Entries of the outermost lists and objects, and of those directly in them, where they have a limit of their own. */
  outer?: number;
}

export interface JsonCount {
  /** Levels of lists and objects. */
  depth: number;
  /** Entries of all lists and objects together, counted by their commas and opening brackets. */
  values: number;
}

const QUOTE = 0x22;
const BACKSLASH = 0x5c;
const COMMA = 0x2c;
const OPEN_LIST = 0x5b;
const CLOSE_LIST = 0x5d;
const OPEN_OBJECT = 0x7b;
const CLOSE_OBJECT = 0x7d;

/** Where the string that begins at `from` ends: at its quote, or with the text. */
export function endOfString(text: string, from: number): number {
  for (let end = text.indexOf('"', from + 1); end >= 0; end = text.indexOf('"', end + 1)) {
    let escapes = 0;
    while (text.charCodeAt(end - 1 - escapes) === BACKSLASH && end - 1 - escapes > from) escapes++;
    if (escapes % 2 === 0) return end;
  }
  return text.length;
}

/**
 * Counts what a JSON text holds without parsing it, one look at each character, and refuses it at the first that exceeds
 * the budget: so what parsing it would cost is known before it is paid. Whether it is JSON is for the parser to say.
 */
export function scanJson(text: string, budget: JsonBudget = LIMITS.json): Result<JsonCount> {
  let depth = 0;
  let deepest = 0;
  let values = 0;
  let outer = 0;
  const mostOuter = budget.outer ?? budget.values;
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i);
    switch (c) {
      case QUOTE:
        i = endOfString(text, i);
        break;
      case OPEN_LIST:
      case OPEN_OBJECT:
        depth++;
        values++;
        if (depth > deepest) deepest = depth;
        break;
      case CLOSE_LIST:
      case CLOSE_OBJECT:
        depth--;
        break;
      case COMMA:
        values++;
        if (depth <= 2) outer++;
        break;
    }
    if (deepest > budget.depth)
      return fail({
        code: 'too-deep',
        message: `This JSON nests lists and objects more than ${budget.depth} levels deep.`,
        found: `more than ${budget.depth} levels, at character ${i + 1}`,
        expected: `at most ${budget.depth} levels`,
      });
    if (values > budget.values || outer > mostOuter)
      return fail({
        code: 'too-many',
        message: `This has more than ${(outer > mostOuter ? mostOuter : budget.values).toLocaleString('en')} entries.`,
        found: `more than ${outer > mostOuter ? mostOuter : budget.values} entries, at character ${i + 1}`,
        expected: `at most ${outer > mostOuter ? mostOuter : budget.values} entries`,
      });
  }
  return ok({ depth: deepest, values });
}
