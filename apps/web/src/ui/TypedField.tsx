import { parseArithmetic, type Result } from '@cove/core';
import { type AriaAttributes, type KeyboardEvent, type RefObject, useId, useState } from 'react';
import { useLocked } from './locked.ts';
import { TheirsNote } from './TheirsNote.tsx';
import { type Typing, useTyping } from './useTyping.ts';

interface Props<T> {
  label: string;
  /** The id that a label elsewhere names; left out, the field has a label of its own. */
  id?: string;
  /** What the field shows while it is worked in and nothing is typed yet. */
  text: string;
  /** A shorter spelling for when it is only looked at. */
  display?: string;
  parse(text: string): Result<T>;
  /** A finished value: Enter, leaving the field, or a step with the arrow keys. */
  onCommit(value: T): void;
  onFocus?(): void;
  onBlur?(): void;
  className?: string;
  hideLabel?: boolean;
  mono?: boolean;
}

/** What a field is that a list of choices belongs to. */
export interface Combobox {
  aria: AriaAttributes & { role: 'combobox' };
  input: RefObject<HTMLInputElement | null>;
  /** True where a key was the list's. */
  onKeyDown(event: KeyboardEvent<HTMLInputElement>): boolean;
  onClick(): void;
  onType(): void;
  /** What sums such as `+2` and steps start from, where that is not the text itself. */
  base: string;
  /** A step that leads to another choice; false where numbers step. */
  step(by: 1 | -1): boolean;
}

const FIRST_NUMBER = /-?\d+\.?\d*|-?\.\d+/;

/** Moves the first number of a text, by tenths with Alt and by tens with Shift; null where there is none. */
export function stepText(text: string, by: number): string | null {
  const match = FIRST_NUMBER.exec(text);
  if (!match || /^#/.test(text)) return null;
  const next = Number((Number(match[0]) + by).toFixed(4));
  return text.slice(0, match.index) + next + text.slice(match.index + match[0].length);
}

/** `+2`, `-0.5`, `*1.5` after what is there already: worked out on its first number, in its unit. */
export function relativeText(typed: string, current: string): string {
  const relative = /^\s*([+*/]|-(?=\s))\s*(\d+\.?\d*|\.\d+)\s*$/.exec(typed);
  const number = FIRST_NUMBER.exec(current);
  if (!relative || !number) return typed;
  const value = parseArithmetic(`${number[0]}${relative[1]}${relative[2]}`);
  return value === null
    ? typed
    : current.slice(0, number.index) + value + current.slice(number.index + number[0].length);
}

/** A field that keeps what was typed until it can be read, and says what it expected. */
export function TypedField<T>(props: Props<T>) {
  const typing = useTyping(props.label, props.text);
  return <TypedInput {...props} typing={typing} />;
}

/** The same for whoever looks on while one types. */
export function TypedInput<T>({
  typing,
  combobox,
  label,
  id: outer,
  text,
  display = text,
  parse,
  onCommit,
  onFocus,
  onBlur,
  className = '',
  hideLabel = false,
  mono = true,
}: Props<T> & { typing: Typing; combobox?: Combobox }) {
  const own = useId();
  const id = outer ?? own;
  const locked = useLocked();
  const { typed, theirs, type, settle, keep } = typing;
  const [said, setProblem] = useState<string | null>(null);
  const [inside, setInside] = useState(false);
  // What was wrong with words that are gone is of no interest.
  const problem = typed === null ? null : said;

  const finish = (source: string) => {
    const wanted = relativeText(source, combobox?.base ?? text);
    setProblem(null);
    if (wanted === text) {
      settle();
      return;
    }
    const result = parse(wanted);
    if (!result.ok) {
      type(source);
      setProblem(result.problem.message);
      return;
    }
    keep(() => {
      settle();
      onCommit(result.value);
    });
  };

  return (
    <div className={`min-w-0 ${className}`}>
      {outer === undefined && (
        <label htmlFor={id} className={hideLabel ? 'sr-only' : 'label-line mb-0.5 block'}>
          {label}
        </label>
      )}
      <input
        id={id}
        aria-label={outer === undefined ? undefined : label}
        ref={combobox?.input}
        {...combobox?.aria}
        value={typed ?? (inside ? text : display)}
        title={text}
        onClick={combobox?.onClick}
        readOnly={locked}
        spellCheck={false}
        autoComplete="off"
        aria-invalid={problem !== null}
        aria-describedby={problem ? `${id}-problem` : undefined}
        className={`h-6 w-full min-w-0 rounded-sm border bg-transparent px-1 ${mono ? 'font-mono text-[12px]' : ''} ${problem ? 'border-madder' : locked ? 'border-transparent!' : 'border-transparent hover:border-hair focus:border-hair'}`}
        // What is not being typed is taken back by the program, also while the field has the focus.
        data-settled={typed === null || undefined}
        onChange={event => {
          type(event.target.value);
          combobox?.onType();
        }}
        onFocus={() => {
          setInside(true);
          onFocus?.();
        }}
        onBlur={event => {
          setInside(false);
          if (typed !== null) finish(event.target.value);
          onBlur?.();
        }}
        onKeyDown={event => {
          if (locked || combobox?.onKeyDown(event)) return;
          if (event.key === 'Enter') finish(event.currentTarget.value);
          if (event.key === 'Escape' && typed !== null) {
            event.stopPropagation();
            settle();
            setProblem(null);
          }
          if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
          const size = event.shiftKey ? 10 : event.altKey ? 0.1 : 1;
          if (typed === null && combobox?.step(event.key === 'ArrowUp' ? 1 : -1)) {
            event.preventDefault();
            return;
          }
          const from = typed ?? combobox?.base ?? event.currentTarget.value;
          const next = stepText(from, event.key === 'ArrowUp' ? size : -size);
          if (next === null) return;
          event.preventDefault();
          finish(next);
        }}
      />
      <TheirsNote theirs={theirs} onTake={settle} />
      {problem && (
        <p id={`${id}-problem`} role="alert" className="px-1 pt-0.5 text-small text-madder">
          {problem}
        </p>
      )}
    </div>
  );
}
