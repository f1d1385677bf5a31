import type { Kind, Site } from '../site/index.ts';
import { type AnyCheck, type Finding, type Measured, NOTHING_MEASURED } from './check.ts';

interface Last {
  records: readonly Site['kinds'][Kind][];
  measured: Measured;
  findings: readonly Finding[];
}

/** Runs checks on a site that is edited: each only when a record of a kind it depends on has changed since. */
export class CheckRunner<Name extends string> {
  private readonly last = new Map<Name, Last>();
  /** How often each check was run. */
  readonly runs = new Map<Name, number>();

  constructor(private readonly checks: Readonly<Record<Name, AnyCheck>>) {}

  /** What one check finds; the very same list while nothing it depends on changes. */
  findings(name: Name, site: Site, measured: Measured = NOTHING_MEASURED): readonly Finding[] {
    const check = this.checks[name];
    const records = check.dependsOn.map(kind => site.kinds[kind]);
    const last = this.last.get(name);
    if (last && last.measured === measured && records.every((map, i) => map === last.records[i]))
      return last.findings;
    const findings = check.findings(site, measured);
    this.last.set(name, { records, measured, findings });
    this.runs.set(name, (this.runs.get(name) ?? 0) + 1);
    return findings;
  }
}
