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

/** What a check says of a site that is edited: worked out again only when a record of a kind it depends on has changed. */
export interface CheckRun<Facts> {
  /** The cases with what is known of them; the very same list while nothing changes. */
  found(site: Site, measured?: Measured): readonly Found<Facts>[];
  /** The cases as they are shown. */
  findings(site: Site, measured?: Measured): readonly Finding[];
}

export interface DefinedCheck<Facts> extends Check<Facts> {
  /** A run of its own, which remembers what it found last. */
  begin(): CheckRun<Facts>;
}

/** A check whose facts nobody outside needs to know. */
export type AnyCheck = Pick<
  DefinedCheck<never>,
  'id' | 'title' | 'severity' | 'thresholds' | 'docs' | 'dependsOn'
> & {
  begin(): Pick<CheckRun<never>, 'findings'>;
};

function begin<Facts>(check: Check<Facts>): CheckRun<Facts> {
  let last: { site: Site; measured: Measured; found: readonly Found<Facts>[] } | null = null;
  let shown: { of: readonly Found<Facts>[]; findings: readonly Finding[] } | null = null;
  const found = (site: Site, measured: Measured = NOTHING_MEASURED) => {
    const before = last;
    const isSame =
      before?.measured === measured &&
      check.dependsOn.every(kind => before.site.kinds[kind] === site.kinds[kind]);
    const known = before && isSame ? before.found : check.run(site, measured);
    last = { site, measured, found: known };
    return known;
  };
  return {
    found,
    findings(site, measured) {
      const of = found(site, measured);
      if (shown?.of === of) return shown.findings;
      const findings = of.map(
        (it): Finding => ({
          check: check.id,
          severity: check.severity,
          at: it.at,
          message: check.message(it.facts, site),
          fixes: () => check.fixes?.(it, site) ?? [],
        }),
      );
      shown = { of, findings };
      return findings;
    },
  };
}

export const defineCheck = <Facts>(check: Check<Facts>): DefinedCheck<Facts> => ({
  ...check,
  begin: () => begin(check),
});
