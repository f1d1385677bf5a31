import { contributionsTo, literalContext, outside, type Scope, sourcesOf, winner } from '../cascade/index.ts';
import { PROPERTIES, type PropertyName, printDeclaration, propertyOf } from '../properties/index.ts';
import { type Site, type State, type Styles, WIDTHS, type Width } from '../site/index.ts';
import type { Rebinds } from '../tokens/index.ts';
import type { CssContext } from '../values/index.ts';
import { statesOf } from '../widgets/index.ts';

/** CSS text by situation: `state@width/property`. At rest everything, in other states what differs from rest. */
export type Look = ReadonlyMap<string, string>;

export const lookKey = (state: State, width: Width, property: PropertyName): string =>
  `${state}@${width}/${property}`;

const INHERITED = PROPERTIES.filter(row => row.inherited).map(row => row.name);
const NONE: Look = new Map();

/**
 * How the parts of things look where they stand, every reference followed, what is inherited included. Situations that
 * come to the same are worked out once, so a large site costs as much as it has different looks.
 */
export class Looks {
  private readonly ids = new Map<string, number>();
  private readonly byScope = new WeakMap<Scope, number>();
  private readonly styles = new Map<Styles | Rebinds, number>();
  private readonly looks = new Map<string, Look>();
  private readonly contexts = new Map<string, CssContext>();

  constructor(readonly site: Site) {}

  private number(it: Styles | Rebinds): number {
    const known = this.styles.get(it) ?? this.styles.size;
    this.styles.set(it, known);
    return known;
  }

  /** The same number for situations that look the same: of the same sources, in a surrounding that looks the same. */
  situation(scope: Scope): number {
    const known = this.byScope.get(scope);
    if (known !== undefined) return known;
    const around = scope.parent ? `${this.situation(scope.parent.scope)}.${scope.parent.part}` : '';
    const sources = sourcesOf(this.site, scope)
      .filter(it => it.on)
      .map(it => `${it.rank}:${this.number(it.styles)}`);
    const words = `${around} ${scope.element.name} ${scope.scheme} ${this.number(scope.rebinds)} ${sources.join(' ')}`;
    const id = this.ids.get(words) ?? this.ids.size;
    this.ids.set(words, id);
    this.byScope.set(scope, id);
    return id;
  }

  private context(scope: Scope): CssContext {
    const key = `${scope.scheme} ${this.number(scope.rebinds)}`;
    let context = this.contexts.get(key);
    if (!context) {
      context = literalContext(this.site, scope);
      this.contexts.set(key, context);
    }
    return context;
  }

  of(scope: Scope, part: string): Look {
    const key = `${this.situation(scope)} ${part}`;
    const known = this.looks.get(key);
    if (known) return known;
    const around = outside({ scope, part, state: 'rest' });
    const outer = around ? this.of(around.scope, around.part) : NONE;
    const contributions = contributionsTo(this.site, scope, part);
    const context = this.context(scope);
    const look = new Map<string, string>();
    for (const width of WIDTHS) {
      for (const property of INHERITED) {
        const above = outer.get(lookKey('rest', width, property));
        if (above !== undefined) look.set(lookKey('rest', width, property), above);
      }
      for (const [property, list] of contributions) {
        const row = propertyOf(property);
        const rest = winner(list, 'rest', width);
        if (rest) look.set(lookKey('rest', width, property), printDeclaration(row, rest.value, context));
        for (const state of statesOf(scope.element, part)) {
          const best = winner(list, state, width);
          if (best && best !== rest)
            look.set(lookKey(state, width, property), printDeclaration(row, best.value, context));
        }
      }
    }
    this.looks.set(key, look);
    return look;
  }
}
