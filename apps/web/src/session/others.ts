import type { Presence } from './streamMessages.ts';

/** How long, in ms, after which somebody who says nothing is taken to have left. */
const SILENCE = 60_000;

/** Who else is at a site, by what they say of themselves now and then. */
export class Others {
  private readonly there = new Map<string, Presence>();
  private readonly leaving = new Map<string, ReturnType<typeof setTimeout>>();

  /** `self` is this tab, which is nobody else. */
  constructor(
    private readonly self: string,
    private readonly onChange: (people: readonly Presence[]) => void,
  ) {}

  /** Takes in what people have said. */
  meet(people: readonly Presence[]): void {
    for (const it of people) {
      clearTimeout(this.leaving.get(it.client));
      if (!it.place || it.client === this.self) {
        this.there.delete(it.client);
        continue;
      }
      this.there.set(it.client, it);
      const left = () => this.meet([{ ...it, place: null }]);
      this.leaving.set(it.client, setTimeout(left, SILENCE));
    }
    this.onChange([...this.there.values()]);
  }

  close(): void {
    for (const timer of this.leaving.values()) clearTimeout(timer);
  }
}
