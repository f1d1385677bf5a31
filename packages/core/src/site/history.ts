import { type Edit, targetOf } from './change.ts';
import { isObject } from './fields.ts';
import type { Id, SiteRecord } from './records.ts';

/** A change made here, and what takes it back. */
export interface HistoryStep {
  /** Counts steps; a step keeps its number. */
  n: number;
  change: string;
  inverse: readonly Edit[];
  label: string;
}

export type Direction = 'undo' | 'redo';

/** A history as it can be kept and read again. */
export interface KeptHistory {
  undo: readonly HistoryStep[];
  redo: readonly HistoryStep[];
  /** Paths that others wrote, with the number of the last step made before that. */
  overtaken: readonly (readonly [string, number])[];
  count: number;
}

const NOTHING: KeptHistory = { undo: [], redo: [], overtaken: [], count: 0 };

/** A path and those it lies in: `id`, `id field`, `id field key`. */
function pathsTo(edit: Edit): string[] {
  const id = targetOf(edit);
  if (edit.op === 'put' || edit.op === 'remove') return [id];
  const [field, key] = edit.path;
  return key === undefined ? [id, `${id} ${field}`] : [id, `${id} ${field}`, `${id} ${field} ${key}`];
}
/** The place that an edit puts something into. */
function parentGiven(edit: Edit): Id | undefined {
  const at: unknown =
    edit.op === 'put' && 'at' in edit.record
      ? edit.record.at
      : edit.op === 'set' && edit.path[0] === 'at'
        ? edit.value
        : undefined;
  return isObject(at) && typeof at.parent === 'string' ? at.parent : undefined;
}

/** Marks that something inside a path was written, though not the whole of it. */
const inside = (path: string) => `${path} *`;

/**
 * What one person did, to be taken back and done again. Since it is taken back in the order in which it was made, what
 * stands at a path is one’s own unless somebody else has written there since; such paths are left alone.
 */
export class History {
  readonly undo: HistoryStep[];
  readonly redo: HistoryStep[];
  private readonly overtaken: Map<string, number>;
  private count: number;

  constructor({ undo, redo, overtaken, count }: KeptHistory = NOTHING) {
    this.undo = [...undo];
    this.redo = [...redo];
    this.overtaken = new Map(overtaken);
    this.count = count;
  }

  kept(): KeptHistory {
    const { undo, redo, overtaken, count } = this;
    return { undo: [...undo], redo: [...redo], overtaken: [...overtaken], count };
  }

  /** Notes a new change; what was taken back before it can no longer be done again. */
  made(change: string, inverse: readonly Edit[], label: string): void {
    this.undo.push({ n: ++this.count, change, inverse, label });
    this.redo.length = 0;
  }

  /** Notes that a step was taken back, or done again, by a change of its own. */
  turned(direction: Direction, step: HistoryStep, change: string, inverse: readonly Edit[]): void {
    const to = direction === 'undo' ? this.redo : this.undo;
    to.push({ n: ++this.count, change, inverse, label: step.label });
  }

  /** Forgets a change that was refused. */
  forget(change: string): void {
    for (const steps of [this.undo, this.redo]) {
      const index = steps.findIndex(step => step.change === change);
      if (index >= 0) steps.splice(index, 1);
    }
  }

  /** Notes what somebody else wrote. */
  noteOthers(edits: readonly Edit[]): void {
    if (this.undo.length + this.redo.length === 0) return;
    for (const edit of edits) {
      const paths = pathsTo(edit);
      const last = paths.pop();
      if (last !== undefined) this.overtaken.set(last, this.count);
      for (const path of paths) this.overtaken.set(inside(path), this.count);
      const parent = parentGiven(edit);
      if (parent !== undefined) this.overtaken.set(inside(parent), this.count);
    }
  }

  private isOvertaken(edit: Edit, { n }: HistoryStep): boolean {
    const paths = pathsTo(edit);
    const whole = paths.at(-1) ?? '';
    return [...paths, inside(whole)].some(path => (this.overtaken.get(path) ?? -1) >= n);
  }

  /** The part of a step that may be carried out, and how many of its edits others have overtaken. */
  applicable(step: HistoryStep, get: (id: Id) => SiteRecord | undefined): { edits: Edit[]; skipped: number } {
    // What the step itself brings back or takes away counts for the rest of it.
    const altered = new Map<Id, boolean>();
    const edits = step.inverse.filter(edit => {
      const id = targetOf(edit);
      const isThere = altered.get(id) ?? get(id) !== undefined;
      if (edit.op === 'put') {
        if (!isThere) altered.set(id, true);
        return !isThere;
      }
      const holds = isThere && !this.isOvertaken(edit, step);
      if (holds && edit.op === 'remove') altered.set(id, false);
      return holds;
    });
    return { edits, skipped: step.inverse.length - edits.length };
  }
}
