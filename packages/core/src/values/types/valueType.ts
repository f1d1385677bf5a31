import type { Gamut } from '../../color/index.ts';
import type { FluidRange } from '../fluid.ts';
import type { LiteralType, Value, ValueType } from '../value.ts';

export type ValueOf<T extends ValueType> = Value & { type: T };

/** An object out of JSON, of which nothing is known yet. */
export type Json = Readonly<Record<string, unknown>>;

/** What a value is printed with. */
export interface CssContext {
  fluid: FluidRange;
  /** The screens that it is printed for. */
  gamut: Gamut;
  /** What a reference prints as: `var(--…)`, or the value it ends in. */
  token(id: string): string;
  role(name: string): string;
  derived(value: ValueOf<'derived'>): string;
  picture(asset: string): string;
  pattern(value: ValueOf<'pattern'>): string;
  /** The unit length of one per cent of the viewport: `1vw`, or a variable of the sheet's column. */
  viewportUnit: string;
}

/** All that the program knows of one type of value. What stands inside another is read and printed by whoever asks. */
export interface ValueKind<V extends Value> {
  /** Reads it out of stored or sent JSON, copying only what is known; null where it is none. */
  read(it: Json, color: (it: unknown) => Value | null): V | null;
  /** CSS text. */
  print(value: V, context: CssContext, inside: (value: Value) => string): string;
  /** How it is written where people type it, where that is no CSS. */
  typed?(value: V, inside: (value: Value) => string): string;
  /** Colours that stand inside it. */
  colors?(value: V): readonly Value[];
  /** The same with other colours inside; the very object where none differs. */
  withColors?(value: V, other: (color: Value) => Value): V;
  /** Whether it could have been taken from a scale or a palette and was not; `inside` says so of a colour within. */
  isLoose?(value: V, inside: (value: Value) => boolean): boolean;
}

/** A value that says itself what it is, and so can be typed and be a token. */
export interface LiteralKind<V extends Value & { type: LiteralType }> extends ValueKind<V> {
  /** Reads it as it is typed; `color` reads a colour inside it, which may be a reference. */
  parse(text: string, color: (text: string) => Value | null): V | null;
}
