import { nameOf, printRatio, type RoleContrast, roleFixes, roleIn, type Site } from '@cove/core';
import { useMemo } from 'react';
import { useCommit } from '../session/context.tsx';
import { Button } from '../ui/Button.tsx';
import { useLocked } from '../ui/locked.ts';

/** A role of a scheme that cannot be read, with what mends it nearest where that may be done now. */
export function FailureLine({
  site,
  failure,
  fixable,
}: {
  site: Site;
  failure: RoleContrast;
  fixable: boolean;
}) {
  const commit = useCommit();
  const locked = useLocked();
  const { scheme, role, on, ratio, wanted } = failure;
  const label = (name: string) => roleIn(site, name)?.label ?? name;
  const [fix] = useMemo(
    () => (fixable && !locked ? roleFixes(site, scheme, role) : []),
    [fixable, locked, site, scheme, role],
  );
  return (
    <li className="text-small">
      {label(role)} on {label(on).toLowerCase()} of {nameOf(site, scheme)}:{' '}
      <span className="font-mono">{printRatio(ratio)}</span>, needs {wanted}.{' '}
      {fix && (
        <Button
          kind="link"
          className="h-auto! text-small"
          onClick={() => commit(fix.edits, `Change a role of ${nameOf(site, scheme)}`)}
        >
          {fix.label}
        </Button>
      )}
    </li>
  );
}
