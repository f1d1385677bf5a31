import { drawnSvg, literalOf, NO_REBINDS, printPainted, type Site } from '@cove/core';

/** An icon or mark as it is drawn on pages; swatches are shown as what they end in. */
export function DrawnIcon({ site, name, size = 22 }: { site: Site; name: string; size?: number }) {
  const drawn = drawnSvg(site, name);
  if (!drawn) return null;
  const paint = (css: string) => {
    const id = /^var\(--t-(.+)\)$/.exec(css)?.[1];
    if (id === undefined) return css;
    const end = literalOf(site.kinds.token, NO_REBINDS, { type: 'token', token: id });
    return end?.type === 'color' ? printPainted(end.value) : 'currentcolor';
  };
  return (
    <svg
      aria-hidden
      viewBox={`0 0 ${drawn.width} ${drawn.height}`}
      style={{
        height: size,
        width: (size * drawn.width) / drawn.height,
        maxWidth: `min(${size * 3}px, 100%)`,
      }}
      strokeWidth={2}
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      {drawn.paths.map(({ d, fill, stroke, width }) => (
        <path
          key={d}
          d={d}
          fill={paint(fill)}
          stroke={paint(stroke)}
          {...(width !== null && { strokeWidth: width })}
        />
      ))}
    </svg>
  );
}
