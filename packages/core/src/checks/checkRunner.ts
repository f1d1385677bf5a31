import type { Site } from '../site/index.ts';
import type { AnyCheck, Finding, Measured } from './check.ts';

/** Runs several checks on a site that is edited, each with a memory of its own. */
export class CheckRunner<Name extends string> {
  private readonly runs = new Map<Name, ReturnType<AnyCheck['begin']>>();

  constructor(private readonly checks: Readonly<Record<Name, AnyCheck>>) {}

  /** What one check finds; the very same list while nothing it depends on changes. */
  findings(name: Name, site: Site, measured?: Measured): readonly Finding[] {
    const run = this.runs.get(name) ?? this.checks[name].begin();
    this.runs.set(name, run);
    return run.findings(site, measured);
  }
}
