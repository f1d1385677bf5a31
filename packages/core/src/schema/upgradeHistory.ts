import { LIMITS } from '../limits/index.ts';
import type { HistoryStep, KeptHistory } from '../site/history.ts';
import { readEdits } from '../site/readChange.ts';
import { RecordsSince } from './recordsSince.ts';
import { FIRST_SCHEMA, SCHEMA, upgradeEdits } from './schema.ts';
import type { FindRecord } from './upgrade.ts';

/** A step as it is kept: without a number it has the first schema. */
export type StoredStep = HistoryStep & { readonly schema?: number };

/** A history as it is kept. Each step bears a schema of its own, since a step once written is not written again. */
export interface StoredHistory extends Omit<KeptHistory, 'undo' | 'redo'> {
  /** That of the paths that others wrote. */
  readonly schema?: number;
  readonly undo: readonly StoredStep[];
  readonly redo: readonly StoredStep[];
}

/** A step as one of now; null where it can no longer be read. */
function upgradeStep({ schema = FIRST_SCHEMA, ...step }: StoredStep, find: FindRecord): HistoryStep | null {
  if (schema === SCHEMA) return step;
  const inverse = readEdits(upgradeEdits(step.inverse, schema, find), LIMITS.computedChange.edits);
  return inverse.ok ? { ...step, inverse: inverse.value } : null;
}

/** The paths that others wrote, under the names that they have now; those of slots that are no more are left out. */
const upgradeOvertaken = (
  { overtaken, schema = FIRST_SCHEMA }: StoredHistory,
  find: FindRecord,
): KeptHistory['overtaken'] =>
  schema === SCHEMA
    ? overtaken
    : overtaken.flatMap(([path, n]): (readonly [string, number])[] => {
        const [id = '', ...steps] = path.split(' ');
        if (steps.length === 0 || steps.at(-1) === '*') return [[path, n]];
        const read = readEdits(upgradeEdits([{ op: 'unset', id, path: steps }], schema, find));
        const [edit] = read.ok ? read.value : [];
        return edit && 'path' in edit ? [[[id, ...edit.path].join(' '), n]] : [];
      });

/** A history that was kept under whichever schema, as one of now, and the names of the steps that can no longer be read. */
export function upgradeHistory(
  stored: StoredHistory,
  find: FindRecord,
): { history: KeptHistory; unreadable: readonly string[] } {
  const unreadable: string[] = [];
  /** The last is taken first, and each is meant for what those before it have left. */
  const upgraded = (steps: readonly StoredStep[]) => {
    const records = new RecordsSince(find);
    return steps
      .toReversed()
      .flatMap((step): HistoryStep[] => {
        const now = upgradeStep(step, records.find);
        if (!now) unreadable.push(step.label);
        records.note(now?.inverse ?? []);
        return now ? [now] : [];
      })
      .reverse();
  };
  const { undo, redo, count } = stored;
  const history = {
    undo: upgraded(undo),
    redo: upgraded(redo),
    overtaken: upgradeOvertaken(stored, find),
    count,
  };
  return { history, unreadable };
}
