import { type Change, type Edit, targetOf } from './change.ts';
import type { Id, SiteRecord } from './records.ts';

const pathOf = (edit: Edit): string =>
  edit.op === 'set' || edit.op === 'unset' ? `${edit.id} ${edit.path.join(' ')}` : targetOf(edit);

/** Which change last wrote each path, so that an undo never takes back what another did since. */
export class Writers {
  private readonly last = new Map<string, string>();
  /** Who had written a path before a change did: `change path` → change. */
  private readonly before = new Map<string, string | undefined>();
  /** A change that undoes another leaves a path as if its earlier writer had been the last. */
  private readonly standsFor = new Map<string, string | undefined>();

  /** Notes a change; `undoes` is the change that it takes back, if it is an undo or a redo. */
  note({ id, edits }: Change, undoes?: string): void {
    for (const path of new Set(edits.map(pathOf))) {
      this.before.set(`${id} ${path}`, this.last.get(path));
      if (undoes !== undefined) this.standsFor.set(`${id} ${path}`, this.before.get(`${undoes} ${path}`));
      this.last.set(path, id);
    }
  }

  private wrote(change: string, path: string): boolean {
    let writer = this.last.get(path);
    if (writer === undefined) return true;
    while (writer !== undefined && writer !== change) writer = this.standsFor.get(`${writer} ${path}`);
    return writer === change;
  }

  /** The part of an inverse that may be carried out, and how many edits others have overtaken. */
  undoable(
    inverse: readonly Edit[],
    change: string,
    get: (id: Id) => SiteRecord | undefined,
  ): { edits: Edit[]; skipped: number } {
    const edits = inverse.filter(edit => {
      if (edit.op === 'put') return get(edit.record.id) === undefined;
      return get(edit.id) !== undefined && (edit.op === 'remove' || this.wrote(change, pathOf(edit)));
    });
    return { edits, skipped: inverse.length - edits.length };
  }
}
