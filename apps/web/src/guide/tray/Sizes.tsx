import { literalOf, NO_REBINDS, type ScaleUse, type Value } from '@cove/core';
import { lengthsOf } from '../../tokens/picker/endOf.ts';
import { useLocked } from '../../ui/locked.ts';
import { DrawnToken } from './DrawnToken.tsx';
import { Group } from './Group.tsx';
import { type TokenList, useAddToken } from './tokenList.ts';

/** What the sizes of a group are drawn as. */
export type Drawing = 'bars' | 'corners' | 'lines';
const USES: Readonly<Record<Drawing, ScaleUse | null>> = {
  bars: null,
  corners: 'corner',
  lines: 'lineWidth',
};

interface Props extends TokenList {
  group: string;
  drawing: Drawing;
  /** What one of the group is called: Corner, Line, Space. */
  noun: string;
  /** What a new one begins with. */
  start: Value;
}

/** A group of sizes as small drawn objects with their names and values, each of which opens where it stands. */
export function Sizes({ site, group, tokens, drawing, noun, start, open, onOpen }: Props) {
  const addToken = useAddToken({ site, onOpen });
  const locked = useLocked();
  const most = Math.max(
    1,
    ...tokens.map(it => {
      const end = literalOf(site.kinds.token, NO_REBINDS, it.value);
      return (end && lengthsOf(end)?.[1]) ?? 0;
    }),
  );
  const add = () =>
    addToken(
      { type: 'dimension', group, name: `New ${noun.toLowerCase()}`, value: start },
      `Add a ${noun.toLowerCase()}`,
    );
  return (
    <Group label={group} {...(!locked && { onAdd: add })} addLabel={`Add to ${group}`}>
      <ul>
        {tokens.map(token => (
          <DrawnToken
            key={token.id}
            site={site}
            token={token}
            noun={noun}
            use={USES[drawing]}
            most={most}
            open={open === token.id}
            onOpen={onOpen}
          />
        ))}
      </ul>
      {tokens.length === 0 && <p className="text-muted">None yet.</p>}
    </Group>
  );
}
