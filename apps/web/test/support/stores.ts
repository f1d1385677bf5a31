import { type HistoryStore, type KeptAt, keptHistory } from '../../src/session/historyStore.ts';
import type { PendingStore } from '../../src/session/pendingStore.ts';
import type { MadeChange } from '../../src/session/streamMessages.ts';

/** What a browser keeps for one tab, in memory: as text, so that nothing is shared with the tab by accident. */
export class TabStores {
  private pendingText = '[]';
  private historyText = 'null';

  get waiting(): MadeChange[] {
    return JSON.parse(this.pendingText);
  }

  /** A history as an earlier program has left it, read by nobody yet. */
  keepHistory(kept: object): void {
    this.historyText = JSON.stringify(kept);
  }

  readonly pending: PendingStore = {
    load: async () => this.waiting,
    save: async pending => {
      this.pendingText = JSON.stringify(pending);
    },
    close: () => {},
  };

  readonly history: HistoryStore = {
    load: async (): Promise<KeptAt | null> => JSON.parse(this.historyText),
    save: (seq, history) => {
      this.historyText = JSON.stringify({ seq, history: keptHistory(history) });
    },
    close: () => {},
  };
}
