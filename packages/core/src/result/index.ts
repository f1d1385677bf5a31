/** Why something was not done: expected failures are values, not exceptions. */
export interface Problem {
  /** Stable kebab-case name of the kind of failure. */
  code: string;
  /** One sentence for people: what happened, and what to do. */
  message: string;
  /** Id of the record at fault, where there is one. */
  record?: string;
  /** Path inside the record, joined by `.`. */
  path?: string;
  found?: string;
  expected?: string;
}

export type Result<T> = { ok: true; value: T } | { ok: false; problem: Problem };

export const ok = <T>(value: T): Result<T> => ({ ok: true, value });
export const fail = (problem: Problem): { ok: false; problem: Problem } => ({ ok: false, problem });

/** Turns an expected failure into an exception, for places where it would be our own mistake. */
export function must<T>(result: Result<T>): T {
  if (result.ok) return result.value;
  const { code, message, record, path, found } = result.problem;
  throw new Error(
    [code, message, record && `record ${record}`, path && `path ${path}`, found && `found ${found}`]
      .filter(Boolean)
      .join('; '),
  );
}
