import {
  type Asked,
  isLoose,
  nearestToken,
  ok,
  parsePropertyValue,
  printSlot,
  type Result,
  type PropertyRow as Row,
  type Scope,
  type Site,
  type StyleTarget,
  type TokenRecord,
  threadOf,
  type Value,
} from '@cove/core';
import { endOf, shownText } from '../tokens/picker/endOf.ts';
import { stepped } from '../tokens/picker/stepped.ts';
import { useLocked } from '../ui/locked.ts';
import { useSetSlots } from './useSetSlots.ts';

/** What a row of the bench is about. */
export interface Property {
  site: Site;
  scope: Scope | null;
  row: Row;
  /** Longhands that are set together with it: the other sides, the other corners. */
  also: readonly Row[];
  /** What it is called here. */
  label: string;
  /** What is shown where those hold something else. */
  mixed: string | undefined;
  asked: Omit<Asked, 'property'>;
  target: StyleTarget;
  /** What holds now; null where nobody says anything. */
  value: Value | null;
  /** True where it is set on the very subject, in this state and width. */
  knot: boolean;
}

/** A property on the bench: how its value is read, shown and stepped, what it comes to, and what could tie it to the guide. */
export function useProperty({ site, scope, row, also, label, mixed, asked, target, value, knot }: Property) {
  const locked = useLocked();
  const rows = [row, ...also];
  const { set, show, remove } = useSetSlots({ rows, asked, target, label });
  const parse = (text: string): Result<Value | null> =>
    text.trim() === '' ? ok(null) : parsePropertyValue(text, row, site.kinds.token, site.kinds.role);
  const text = shownText(site, value, words => {
    const read = parse(words);
    return read.ok ? read.value : null;
  });
  const step = (by: number) => (mixed === undefined ? stepped(site, value, text, by, parse) : null);
  const isLooseHere = knot && mixed === undefined && value !== null && isLoose(value);
  const near = isLooseHere && !locked ? nearestToken(site, row.name, value) : null;
  const beneath =
    knot && scope
      ? (threadOf(site, scope, { ...asked, property: row.name }).overridden.find(it => it.why === 'origin')
          ?.value ?? null)
      : null;
  return {
    set,
    show,
    remove,
    parse,
    text,
    /** What the value comes to where it stands; null where it leads nowhere, or where several differ. */
    end: mixed === undefined ? endOf(site, scope, value) : null,
    /** What would hold without the knot. */
    beneath,
    isLoose: isLooseHere,
    /** The token that comes nearest to a loose value. */
    near: (near === null ? undefined : site.kinds.token.get(near)) satisfies TokenRecord | undefined,
    slot: printSlot({ ...asked, property: row.name }),
    slots: rows.map(it => printSlot({ ...asked, property: it.name })),
    /** Follows a drag on the label: shows each step, keeps the last one. */
    onStep:
      row.control !== 'choice' && (step(1) !== null || step(-1) !== null)
        ? (by: number, phase: 'drag' | 'done' | 'off') => {
            const next = by === 0 ? null : step(by);
            if (phase === 'drag') show(next);
            else {
              show(null);
              if (phase === 'done' && next) set(next);
            }
          }
        : null,
  };
}
