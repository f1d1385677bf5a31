import type { DefinedCheck, Site } from '@cove/core';
import { useState } from 'react';

/** What a check finds in the site, and what it knows of each case; it runs only when something it depends on has changed. */
export function useCheck<Facts>(check: DefinedCheck<Facts>, site: Site) {
  const [run] = useState(() => check.begin());
  return { found: run.found(site), findings: run.findings(site) };
}
