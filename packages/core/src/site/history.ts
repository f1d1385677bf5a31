import { type Change, type Edit, targetOf } from './change.ts';
import type { Id, SiteRecord } from './records.ts';

/** Which change last wrote each path, so that an undo never takes back what another did since. */
export class Writers {
  private readonly last = new Map<string, string>();

  private static key(edit: Edit): string {
    return edit.op === 'set' || edit.op === 'unset'
      ? `${edit.id} ${edit.path.join(' ')}`
      : `${targetOf(edit)}`;
  }

  note({ id, edits }: Change): void {
    for (const edit of edits) this.last.set(Writers.key(edit), id);
  }

  /** The part of an inverse that may be carried out, and how many edits others have overtaken. */
  undoable(
    inverse: readonly Edit[],
    change: string,
    get: (id: Id) => SiteRecord | undefined,
  ): { edits: Edit[]; skipped: number } {
    const edits = inverse.filter(edit => {
      if (edit.op === 'put') return get(edit.record.id) === undefined;
      if (edit.op === 'remove') return get(edit.id) !== undefined;
      const writer = this.last.get(Writers.key(edit));
      return get(edit.id) !== undefined && (writer === undefined || writer === change);
    });
    return { edits, skipped: inverse.length - edits.length };
  }
}
