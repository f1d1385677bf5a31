import { LIMITS } from '../limits/index.ts';
import type { HistoryStep, KeptHistory } from '../site/history.ts';
import { readEdits } from '../site/readChange.ts';
import { SCHEMA, upgradeEdits } from './schema.ts';
import type { FindRecord } from './upgradeWith.ts';

/** A step of undo that was kept under an earlier schema, as one of now; null where it can no longer be read. */
export function upgradeStep(step: HistoryStep, from: number, find: FindRecord): HistoryStep | null {
  if (from === SCHEMA) return step;
  const inverse = readEdits(upgradeEdits(step.inverse, from, find), LIMITS.computedChange.edits);
  return inverse.ok ? { ...step, inverse: inverse.value } : null;
}

/** The paths that others wrote, under the names that they have now; those of slots that are no more are left out. */
export const upgradeOvertaken = (
  overtaken: KeptHistory['overtaken'],
  from: number,
  find: FindRecord,
): KeptHistory['overtaken'] =>
  from === SCHEMA
    ? overtaken
    : overtaken.flatMap(([path, n]): (readonly [string, number])[] => {
        const [id = '', ...steps] = path.split(' ');
        if (steps.length === 0 || steps.at(-1) === '*') return [[path, n]];
        const read = readEdits(upgradeEdits([{ op: 'unset', id, path: steps }], from, find));
        const [edit] = read.ok ? read.value : [];
        return edit && 'path' in edit ? [[[id, ...edit.path].join(' '), n]] : [];
      });
