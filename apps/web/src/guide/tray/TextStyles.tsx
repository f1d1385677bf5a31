import { byOrder, type Id, literalOf, NO_REBINDS, type Site, type TextStyleRecord } from '@cove/core';
import { useReachOfAll } from '../../reach/useReach.ts';
import { familyCss } from './drawn.ts';
import { isOffScale } from './offScale.ts';

/** Every text style, set in its own letters. */
export function TextStyles({ site, onOpen }: { site: Site; onOpen(id: Id): void }) {
  const reach = useReachOfAll();
  const look = (style: TextStyleRecord) => {
    const end = (slot: string) => {
      const value = style.styles[slot];
      return value && literalOf(site.kinds.token, NO_REBINDS, value);
    };
    const [family, weight, slant] = [end('/fontFamily'), end('/fontWeight'), end('/fontStyle')];
    return {
      fontFamily: family ? familyCss(family) : undefined,
      fontWeight: weight?.type === 'number' ? weight.value : undefined,
      fontStyle: slant?.type === 'keyword' ? slant.value : undefined,
    };
  };
  return (
    <ul aria-label="Text styles">
      {[...site.kinds.textStyle.values()].sort(byOrder).map(style => (
        <li key={style.id} className="flex items-baseline gap-2">
          <button
            type="button"
            aria-label={`Text style ${style.name}`}
            onClick={() => onOpen(style.id)}
            className="min-w-0 truncate text-left text-[15px] hover:text-teal"
            style={look(style)}
          >
            {style.name}
          </button>
          {isOffScale(site, style) && <span className="shrink-0 text-small text-muted">off the scale</span>}
          <span className="ml-auto shrink-0 font-mono text-[11px] text-muted">
            {reach.get(style.id)?.uses ?? 0}
          </span>
        </li>
      ))}
    </ul>
  );
}
