import { LIMITS } from '../limits/index.ts';
import { workOut } from '../values/index.ts';
import type { Found } from './reader.ts';
import { BadToken, isNode } from './tree.ts';

/** What a token comes to as a number with its unit, and how many tokens it is worked out through. */
interface Known {
  text: string;
  depth: number;
  isMixed: boolean;
}

/** How tokens are found by what refers to them. */
interface Tokens {
  /** Throws where there is none. */
  named(reference: string, from: Found): Found;
  valueOf(it: Found): unknown;
}

const REFERENCE = /\{[^{}]+\}/g;

/** Amounts of tokens that are sums of others, each worked out once. */
export class Amounts {
  /** A null is being worked out. */
  private readonly known = new Map<Found, Known | null>();
  private nesting = 0;

  constructor(private readonly tokens: Tokens) {}

  /** What a text of a token comes to, all it refers to put in; null where it is no sum. */
  sum(text: string, of: Found): Known | null {
    let depth = 0;
    let isMixed = false;
    const plain = text.replace(REFERENCE, reference => {
      const inner = this.of(this.tokens.named(reference, of));
      depth = Math.max(depth, inner.depth);
      isMixed ||= inner.isMixed;
      return inner.text;
    });
    const worked = workOut(plain);
    return worked && { text: worked.text, depth: depth + 1, isMixed: isMixed || worked.isMixed };
  }

  private of(it: Found): Known {
    const known = this.known.get(it);
    if (known) return known;
    if (known === null) throw new BadToken([], 'This token refers to itself.');
    this.known.set(it, null);
    this.nesting++;
    try {
      if (this.nesting > LIMITS.following) throw tooLong();
      const value = this.tokens.valueOf(it);
      const text = isNode(value) ? `${String(value.value)}${String(value.unit ?? '')}` : String(value);
      const found = this.sum(text, it);
      if (!found) throw new BadToken([], `${it.draft.name} is no number or length.`);
      if (found.depth > LIMITS.following) throw tooLong();
      this.known.set(it, found);
      return found;
    } catch (error) {
      // It may do on a shorter way.
      this.known.delete(it);
      throw error;
    } finally {
      this.nesting--;
    }
  }
}

const tooLong = () => new BadToken([], `More than ${LIMITS.following} tokens refer to one another.`);
