import { answer, server } from '../api/client.ts';
import { RequestProblem } from '../api/requestProblem.ts';
import { type AwayReason, awayReason } from './away.ts';
import type { Waiting } from './waiting.ts';

/** How long, in ms, after each failure in a row until it is tried again. */
const RETRY = [500, 1000, 2000, 5000];
/** How often a change that the server fails at is sent before it is set aside. */
const MOST_FAILURES = 3;

/** Whose changes are sent. */
export interface Sending {
  /** What waits, in order. */
  waiting(): readonly Waiting[];
  /** The server has it: its number, and the numbers of its edits that met nothing. */
  accepted(change: Waiting, seq: number, dropped: readonly number[]): void;
  /** The server will not have it. */
  refused(change: Waiting, why: string): void;
  /** Whether the server is there, and why not; null where it is, or where nobody knows why. */
  reached(away: AwayReason | null): void;
  /** Nothing was sent, and it is tried again. */
  failed(): void;
}

/** Sends the changes of a site one after the other, again where the server is away. */
export class Sender {
  private isSending = false;
  private isClosed = false;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private failedAt: { id: string; times: number } | null = null;
  /** Numbers of changes that the server has accepted and whose turn has not come, since earlier ones are missing. */
  private readonly answered = new Map<string, number>();
  private failures = 0;

  constructor(
    private readonly site: string,
    private readonly of: Sending,
  ) {}

  /** Whether the last attempts failed. */
  get isAway(): boolean {
    return this.failures > 0;
  }

  /** The number that the server gave a change whose turn has not come. */
  numberOf({ id }: Waiting): number | undefined {
    return this.answered.get(id);
  }

  /** What was sent has come back otherwise: the server is there. */
  isBack(): void {
    this.failures = 0;
  }

  /** Forgets changes that wait no longer. */
  settle(changes: Iterable<{ id: string }>): void {
    for (const { id } of changes) this.answered.delete(id);
  }

  async send(): Promise<void> {
    if (this.isSending || this.isClosed) return;
    const change = this.of.waiting().find(({ id }) => !this.answered.has(id));
    if (!change) return;
    clearTimeout(this.timer);
    this.isSending = true;
    try {
      const { seq, dropped } = await answer(
        server.POST('/api/sites/{site}/changes', {
          params: { path: { site: this.site } },
          body: change.asMade ?? change,
        }),
      );
      this.failures = 0;
      this.of.reached(null);
      this.answered.set(change.id, seq);
      this.of.accepted(change, seq, dropped);
    } catch (error) {
      this.notSent(change, error);
    } finally {
      this.isSending = false;
    }
    if (this.failures === 0) void this.send();
  }

  private notSent(change: Waiting, error: unknown): void {
    const away = awayReason(error);
    const why = error instanceof RequestProblem ? this.whyRefused(change, error, away) : null;
    if (why !== null) {
      // A refusal is an answer: the server is there.
      this.failures = 0;
      this.of.reached(null);
      this.of.refused(change, why);
      return;
    }
    this.failures++;
    this.of.reached(away);
    this.of.failed();
    this.timer = setTimeout(() => void this.send(), RETRY[Math.min(this.failures, RETRY.length) - 1]);
  }

  private whyRefused(change: Waiting, error: RequestProblem, away: AwayReason | null): string | null {
    if (away === null) return `Taken back: ${error.problem.message}`;
    if (!this.failsAgain(change, error)) return null;
    const named = error.request ? ` (request ${error.request})` : '';
    return `Set aside: the server failed at this change ${MOST_FAILURES} times${named}. What came after it goes on.`;
  }

  /** Whether the server has failed at a change so often that there is no use in sending it again: then others go on. */
  private failsAgain({ id }: Waiting, { status, problem }: RequestProblem): boolean {
    if (status !== 500 && problem.code !== 'too-slow') return false;
    const times = this.failedAt?.id === id ? this.failedAt.times + 1 : 1;
    this.failedAt = { id, times };
    return times >= MOST_FAILURES;
  }

  close(): void {
    this.isClosed = true;
    clearTimeout(this.timer);
  }
}
