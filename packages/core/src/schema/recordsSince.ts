import { isObject } from '../site/fields.ts';
import type { FindRecord } from './upgrade.ts';

/** Records as they are once some edits were made: what these put is there, what they take away is not. */
export class RecordsSince {
  private readonly known = new Map<string, object | undefined>();

  constructor(private readonly before: FindRecord) {}

  readonly find: FindRecord = id => (this.known.has(id) ? this.known.get(id) : this.before(id));

  note(edits: readonly unknown[]): void {
    for (const it of edits) {
      if (!isObject(it)) continue;
      if (it.op === 'remove' && typeof it.id === 'string') this.known.set(it.id, undefined);
      if (it.op === 'put' && isObject(it.record) && typeof it.record.id === 'string')
        this.known.set(it.record.id, it.record);
    }
  }
}
