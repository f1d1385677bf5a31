import {
  addTextStyle,
  byOrder,
  type Id,
  literalOf,
  moveTextStyle,
  NO_REBINDS,
  type Site,
  type TextStyleRecord,
} from '@cove/core';
import type { KeyboardEvent } from 'react';
import { familyCss } from '../../drawings/drawn.ts';
import { useReachOfAll } from '../../reach/useReach.ts';
import { useCommit } from '../../session/context.tsx';
import { Button } from '../../ui/Button.tsx';
import { useLocked } from '../../ui/locked.ts';
import { isOffScale } from './offScale.ts';

/** Every text style, set in its own letters. */
export function TextStyles({ site, onOpen }: { site: Site; onOpen(id: Id): void }) {
  const reach = useReachOfAll();
  const commit = useCommit();
  const locked = useLocked();
  const list = [...site.kinds.textStyle.values()].sort(byOrder);
  const add = () => {
    const { edits, id } = addTextStyle(site, 'New text style');
    if (commit(edits, 'Add a text style')) onOpen(id);
  };
  const onKeyDown = (event: KeyboardEvent, id: Id, index: number) => {
    const by = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
    if (!event.altKey || by === 0 || locked) return;
    event.preventDefault();
    commit(moveTextStyle(site, id, Math.max(0, index + by)), 'Move a text style');
  };
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
    <>
      <ul aria-label="Text styles">
        {list.map((style, i) => (
          <li key={style.id} className="flex items-baseline gap-2">
            <button
              type="button"
              aria-label={`Text style ${style.name}`}
              aria-keyshortcuts="Alt+ArrowUp Alt+ArrowDown"
              onClick={() => onOpen(style.id)}
              onKeyDown={event => onKeyDown(event, style.id, i)}
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
      {!locked && (
        <Button kind="link" className="h-6! text-small" onClick={add}>
          New text style
        </Button>
      )}
    </>
  );
}
