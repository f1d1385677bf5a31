import { nameOf, rasterIcons, type Site } from '@cove/core';
import { useGo } from '../../shell/go.ts';
import { Group } from '../tray/Group.tsx';

/** Pictures that stand where an icon should: each leads to its place. */
export function RasterIcons({ site }: { site: Site }) {
  const go = useGo();
  const found = rasterIcons(site);
  if (found.length === 0) return null;
  return (
    <Group label="Pictures in an icon’s place" note={String(found.length)}>
      <p className="text-small text-muted">
        They keep their own colours on every scheme, and blur when enlarged.
      </p>
      <ul aria-label="Pictures in an icon’s place">
        {found.map(({ widget, field, picture }) => (
          <li key={`${widget.id} ${field}`}>
            <button
              type="button"
              className="w-full truncate text-left hover:text-teal hover:underline"
              onClick={() => go(widget.id)}
            >
              {picture.name} in {nameOf(site, widget.id)}
            </button>
          </li>
        ))}
      </ul>
    </Group>
  );
}
