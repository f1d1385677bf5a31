import { readPlain } from '../content/index.ts';
import { LIMITS } from '../limits/index.ts';
import { isId } from '../values/index.ts';
import { isOrderKey } from './order.ts';

/** Characters of a key of a map: an id, a slot, the place of a declaration. */
const LONGEST_KEY = 200;

/** Thrown inside a record reader and caught by it alone. */
export class BadField extends Error {
  constructor(
    readonly path: string,
    readonly found: unknown,
    readonly expected: string,
  ) {
    super(`${path}: expected ${expected}`);
  }
}

export const isObject = (it: unknown): it is Readonly<Record<string, unknown>> =>
  typeof it === 'object' && it !== null && !Array.isArray(it);

/** What was found, as text for a message. */
export const shortened = (found: unknown): string => {
  const text = typeof found === 'string' ? found : (JSON.stringify(found) ?? 'nothing');
  return text.length > 120 ? `${text.slice(0, 117)}…` : text;
};

/** Reads the fields of one JSON object, and knows at the end which were not asked for. */
export class Fields {
  private readonly asked = new Set<string>(['id', 'kind']);

  constructor(
    private readonly source: Readonly<Record<string, unknown>>,
    private readonly prefix = '',
  ) {}

  private take(name: string): unknown {
    this.asked.add(name);
    return Object.hasOwn(this.source, name) ? this.source[name] : undefined;
  }

  read<T>(name: string, expected: string, reader: (it: unknown) => T | null): T {
    const found = this.take(name);
    const value = reader(found);
    if (value === null) throw new BadField(this.prefix + name, found, expected);
    return value;
  }

  text(name: string, max = 200): string {
    return this.read(name, `text of at most ${max} characters`, it => {
      const text = readPlain(it);
      return text !== null && text.length <= max ? text : null;
    });
  }

  id(name: string): string {
    return this.read(name, 'an id', it => (isId(it) ? it : null));
  }

  idOrNull(name: string): string | null {
    return this.take(name) === null ? null : this.id(name);
  }

  order(name: string): string {
    return this.read(name, 'an order key', it => (typeof it === 'string' && isOrderKey(it) ? it : null));
  }

  oneOf<const T extends string>(name: string, options: readonly T[]): T {
    return this.read(
      name,
      `one of ${options.join(', ')}`,
      it => options.find(option => option === it) ?? null,
    );
  }

  /** A field that may be left out; then the record has none either. */
  maybe<K extends string, T>(name: K, reader: (fields: Fields, name: K) => T): { [P in K]?: T } {
    this.asked.add(name);
    if (!Object.hasOwn(this.source, name)) return {};
    const found: { [P in K]?: T } = {};
    found[name] = reader(this, name);
    return found;
  }

  integer(name: string, min: number, max: number): number {
    return this.read(name, `a whole number from ${min} to ${max}`, it =>
      typeof it === 'number' && Number.isInteger(it) && it >= min && it <= max ? it : null,
    );
  }

  number(name: string, min: number, max: number): number {
    return this.read(name, `a number from ${min} to ${max}`, it =>
      typeof it === 'number' && it >= min && it <= max ? it : null,
    );
  }

  object<T>(name: string, reader: (fields: Fields) => T): T {
    const found = this.take(name);
    if (!isObject(found)) throw new BadField(this.prefix + name, found, 'an object');
    const fields = new Fields(found, `${this.prefix}${name}.`);
    const value = reader(fields);
    fields.finish();
    return value;
  }

  /** A flat map; the reader throws BadField or answers null for a bad entry. */
  map<T>(name: string, reader: (key: string, it: unknown, path: string) => T): Readonly<Record<string, T>> {
    const found = this.take(name);
    if (!isObject(found)) throw new BadField(this.prefix + name, found, 'a map');
    const keys = Object.keys(found);
    if (keys.length > LIMITS.record.entries)
      throw new BadField(
        this.prefix + name,
        `${keys.length} entries`,
        `at most ${LIMITS.record.entries} entries`,
      );
    for (const key of keys)
      if (key.length > LONGEST_KEY)
        throw new BadField(
          `${this.prefix}${name}`,
          key,
          `a map whose keys have at most ${LONGEST_KEY} characters`,
        );
    return Object.fromEntries(
      keys.map(key => [key, reader(key, found[key], `${this.prefix}${name}.${key}`)]),
    );
  }

  /** A map that is left out where it is empty, so that a record has one spelling. */
  maybeMap<K extends string, T>(
    name: K,
    reader: (key: string, it: unknown, path: string) => T,
  ): { [P in K]?: Readonly<Record<string, T>> } {
    const found = this.maybe(name, (fields, it) => fields.map(it, reader));
    return Object.keys(found[name] ?? {}).length > 0 ? found : {};
  }

  finish(): void {
    for (const key of Object.keys(this.source))
      if (!this.asked.has(key)) throw new BadField(this.prefix + key, this.source[key], 'no such field');
  }
}
