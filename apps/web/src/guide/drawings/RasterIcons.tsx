import { CHECKS, type Site } from '@cove/core';
import { useCheck } from '../../checks/useCheck.ts';
import { useGo } from '../../navigation/go.ts';
import { Group } from '../tray/Group.tsx';

/** Pictures that stand where an icon should: each leads to its place. */
export function RasterIcons({ site }: { site: Site }) {
  const go = useGo();
  const { findings: found } = useCheck(CHECKS.rasterIcons, site);
  if (found.length === 0) return null;
  return (
    <Group label={CHECKS.rasterIcons.title} note={String(found.length)}>
      <p className="text-small text-muted">
        They keep their own colours on every scheme, and blur when enlarged.
      </p>
      <ul aria-label={CHECKS.rasterIcons.title}>
        {found.map(({ at, message }) => (
          <li key={`${at.record} ${at.path}`}>
            <button
              type="button"
              className="w-full truncate text-left hover:text-teal hover:underline"
              onClick={() => go(at.record)}
            >
              {message}
            </button>
          </li>
        ))}
      </ul>
    </Group>
  );
}
