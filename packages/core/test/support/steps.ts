import { Session } from 'node:inspector';

interface Coverage {
  result: { url: string; functions: { ranges: { count: number }[] }[] }[];
}

const session = new Session();

function post<T>(method: string, parameters: object = {}): T {
  let answer: T | undefined;
  let failed: Error | null = null;
  // In-process sessions answer before they return.
  session.post(method, parameters, (error, result) => {
    failed = error;
    answer = result as T;
  });
  if (failed) throw failed;
  return answer as T;
}

type Sized = { length: number };
/** What a method passes over, told from what it is called on, with what, what it answers, and where it began. */
type Passes = (self: Sized, args: readonly unknown[], answer: unknown, from: number) => number;

const whole: Passes = self => self.length;
/** As far as what is looked for, or to the end. */
const upTo: Passes = (self, [, from = 0], answer) =>
  (typeof answer === 'number' && answer >= 0 ? answer + 1 : self.length) - Number(from);
const answered: Passes = (_, __, answer) => (typeof answer === 'string' ? answer.length : 0);
/** To the end of what matches, or of the text, from where the last match ended; a sticky search looks at one place alone. */
const subject: Passes = (self: unknown, [text], answer, from) => {
  const end =
    Array.isArray(answer) && from > 0
      ? Number(Reflect.get(answer, 'index')) + String(answer[0]).length
      : String(text).length;
  return !answer && self instanceof RegExp && self.sticky ? 1 : end - from;
};
/** Where a search that goes on begins; 0 for every other. */
const beginning = (self: unknown): number =>
  self instanceof RegExp && (self.global || self.sticky) ? self.lastIndex : 0;

/** Methods whose work grows with what they are called on, though no code of ours runs for each entry. */
const BUILT_IN: readonly [object, Readonly<Record<string, Passes>>][] = [
  [
    Array.prototype,
    {
      includes: whole,
      indexOf: upTo,
      slice: whole,
      concat: whole,
      splice: whole,
      unshift: whole,
      shift: whole,
      join: whole,
      reverse: whole,
      sort: whole,
      flat: whole,
    },
  ],
  [
    String.prototype,
    {
      includes: whole,
      indexOf: upTo,
      slice: answered,
      split: whole,
      trim: whole,
      replace: whole,
      search: whole,
    },
  ],
  [RegExp.prototype, { exec: subject, test: subject }],
];

type Method = (...args: readonly unknown[]) => unknown;
const isMethod = (it: unknown): it is Method => typeof it === 'function';

/** Counts what built-in methods pass over while something runs. */
function countingBuiltIns(run: () => unknown): number {
  let passed = 0;
  const restore: (() => void)[] = [];
  const replace = (holder: object, name: string | symbol, by: (original: Method) => unknown) => {
    const original: unknown = Reflect.get(holder, name);
    if (!isMethod(original)) throw new Error(`no method ${String(name)}`);
    const define = (value: unknown) =>
      Object.defineProperty(holder, name, { value, writable: true, configurable: true });
    define(by(original));
    restore.push(() => define(original));
  };
  for (const [holder, methods] of BUILT_IN)
    for (const [name, passes] of Object.entries(methods))
      replace(
        holder,
        name,
        original =>
          function (this: Sized, ...args: unknown[]): unknown {
            const from = beginning(this);
            const answer: unknown = Reflect.apply(original, this, args);
            passed += passes(this, args, answer, from);
            return answer;
          },
      );
  replace(
    Array.prototype,
    Symbol.iterator,
    original =>
      function (this: Sized): unknown {
        passed += this.length;
        return Reflect.apply(original, this, []);
      },
  );
  try {
    run();
  } finally {
    for (const undo of restore) undo();
  }
  return passed;
}

let isCounting = false;

/**
 * How many steps of the core something takes: how often each of its blocks runs, as V8 counts them for coverage, and what
 * built-in methods pass over. The same on every machine and at every hour, so that growth can be asserted.
 */
export function stepsOf(run: () => unknown): number {
  if (!isCounting) {
    session.connect();
    post('Profiler.enable');
    post('Profiler.startPreciseCoverage', { callCount: true, detailed: true });
    isCounting = true;
  }
  // What ran before is not counted.
  post('Profiler.takePreciseCoverage');
  let steps = countingBuiltIns(run);
  const { result } = post<Coverage>('Profiler.takePreciseCoverage');
  for (const { url, functions } of result)
    if (url.includes('/packages/core/src/'))
      for (const { ranges } of functions) for (const { count } of ranges) steps += count;
  return steps;
}

/** How many times as many steps four times the input takes: 4 is proportional, 16 is quadratic. */
export function growth(
  make: (size: number) => () => unknown,
  size: number,
): { small: number; large: number; factor: number } {
  // Once before, so that what is made once is made.
  make(size)();
  const small = stepsOf(make(size));
  const large = stepsOf(make(size * 4));
  return { small, large, factor: large / small };
}
