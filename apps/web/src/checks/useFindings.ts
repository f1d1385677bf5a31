import { CHECKS, type CheckName, CheckRunner, type Finding, type Site } from '@cove/core';
import { useState } from 'react';

/** What a check finds in the site; it runs only when something it depends on has changed. */
export function useFindings(name: CheckName, site: Site): readonly Finding[] {
  const [runner] = useState(() => new CheckRunner(CHECKS));
  return runner.findings(name, site);
}
