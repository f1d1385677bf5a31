import type { Edit, Id, Kind, Site } from '../site/index.ts';

/** How much it matters: what visitors cannot use, what they would notice, what the maker should know. */
export const SEVERITIES = ['fault', 'warning', 'note'] as const;
export type Severity = (typeof SEVERITIES)[number];

/** Where something was found: a record, and what of it. */
export interface FoundAt {
  readonly record: Id;
  /** Fields joined by `.`, such as `roles.text` or `styles.box/gap`. */
  readonly path?: string;
  /** The page it was found on, where it is found on one alone. */
  readonly page?: Id;
}

/** What would mend it. */
export interface Fix {
  readonly label: string;
  readonly edits: readonly Edit[];
}

/** What a check knows of one case; `Facts` is what its messages are made of. */
export interface Found<Facts> {
  readonly at: FoundAt;
  readonly facts: Facts;
}

/** What only a browser can tell; the runner is given what was measured so far. */
export interface Measured {
  /** How well words can be read over the picture behind them, at one width. */
  readonly overPictures: readonly {
    readonly node: Id;
    readonly page: Id;
    readonly width: string;
    readonly ratio: number;
    readonly wanted: number;
  }[];
}
export const NOTHING_MEASURED: Measured = { overPictures: [] };

/** One thing that is looked at in every site. */
export interface Check<Facts> {
  readonly id: string;
  readonly title: string;
  readonly severity: Severity;
  /** Numbers it decides by. */
  readonly thresholds: Readonly<Record<string, number>>;
  /** What it is for, where its numbers come from, and what to do. */
  readonly docs: string;
  /** Kinds of record whose edits may alter what is found; nothing else may. */
  readonly dependsOn: readonly Kind[];
  run(site: Site, measured: Measured): readonly Found<Facts>[];
  /** One sentence: what is so, and where it is not said by the place, where. */
  message(facts: Facts, site: Site): string;
  /** Ways to mend it, the likeliest first. */
  fixes?(found: Found<Facts>, site: Site): readonly Fix[];
}

/** One case, as it is shown. */
export interface Finding {
  readonly check: string;
  readonly severity: Severity;
  readonly at: FoundAt;
  readonly message: string;
  /** Worked out when it is asked for. */
  readonly fixes: () => readonly Fix[];
}

/** A check whose facts nobody outside needs to know. */
export interface AnyCheck extends Omit<Check<never>, 'run' | 'message' | 'fixes'> {
  findings(site: Site, measured: Measured): readonly Finding[];
}

export const defineCheck = <Facts>(check: Check<Facts>): AnyCheck & Check<Facts> => ({
  ...check,
  findings: (site, measured) =>
    check.run(site, measured).map(found => ({
      check: check.id,
      severity: check.severity,
      at: found.at,
      message: check.message(found.facts, site),
      fixes: () => check.fixes?.(found, site) ?? [],
    })),
});
