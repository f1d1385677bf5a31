import {
  type Id,
  literalOf,
  NO_REBINDS,
  printTyped,
  type ScaleUse,
  type Site,
  type TokenRecord,
} from '@cove/core';
import { DrawnValue } from '../../tokens/picker/DrawnValue.tsx';
import { literalText } from '../../tokens/picker/endOf.ts';
import { EditedToken } from './EditedToken.tsx';

/** Width of the longest bar in px. */
const LONGEST = 76;

/** A token as what it is, with its name and what it comes to; opens where it stands. */
export function DrawnToken({
  site,
  token,
  noun,
  use,
  most,
  open,
  onOpen,
}: {
  site: Site;
  token: TokenRecord;
  /** What one of its group is called: Corner, Line, Space. */
  noun: string;
  use: ScaleUse | null;
  /** The longest in px of those it stands among. */
  most: number;
  open: boolean;
  onOpen(id: Id | null): void;
}) {
  const { token: tokens } = site.kinds;
  const end = literalOf(tokens, NO_REBINDS, token.value);
  const isBar = use === null;
  return (
    <li>
      <EditedToken token={token} open={open} onOpen={onOpen}>
        <button
          type="button"
          aria-label={`${noun} ${token.name}`}
          title={`${token.name} = ${printTyped(token.value, tokens)}`}
          className="flex h-[22px] w-full min-w-0 items-center gap-2 text-left hover:text-teal"
        >
          <span
            className={`flex shrink-0 items-center ${isBar ? '' : 'w-8'}`}
            style={isBar ? { width: LONGEST } : {}}
          >
            <DrawnValue site={site} end={end} use={use} most={most} longest={isBar ? LONGEST : 18} />
          </span>
          <span className="truncate">{token.name}</span>
          {/* Drawn rather than written, since it is no part of the name. */}
          <span
            aria-hidden
            data-value={end ? literalText(end) : ''}
            className="ml-auto shrink-0 font-mono text-[11px] text-muted before:content-[attr(data-value)]"
          />
        </button>
      </EditedToken>
    </li>
  );
}
