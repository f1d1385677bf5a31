import { printTyped, type TokenRecord, type Value } from '@cove/core';
import { drawnSize } from '../../drawings/drawn.ts';
import { useLocked } from '../../ui/locked.ts';
import { EditedToken } from './EditedToken.tsx';
import { Group } from './Group.tsx';
import { type TokenList, useAddToken } from './tokenList.ts';

/** How a token is drawn; the tallest bar is 44 px high. */
export type Drawing = 'bars' | 'corners' | 'lines';

interface Props extends TokenList {
  group: string;
  drawing: Drawing;
  /** What one of the group is called: Corner, Line, Space. */
  noun: string;
  /** What a new one begins with. */
  start: Value;
}

const TALLEST = 44;

/** A group of sizes as small drawn objects, each of which opens where it stands. */
export function Sizes({ site, group, tokens, drawing, noun, start, open, onOpen }: Props) {
  const addToken = useAddToken({ site, onOpen });
  const locked = useLocked();
  const most = Math.max(1, ...tokens.map(it => drawnSize(site, it.value)));
  const scale = Math.min(0.42, TALLEST / most);
  const draw = (token: TokenRecord) => {
    const size = drawnSize(site, token.value);
    if (drawing === 'corners')
      return (
        <span
          className="block size-8 border border-r-0 border-b-0 border-ink"
          style={{ borderTopLeftRadius: Math.min(32, size) }}
        />
      );
    if (drawing === 'lines')
      return <span className="block w-full bg-ink" style={{ height: Math.max(1, size) }} />;
    return <span className="block w-full bg-muted" style={{ height: Math.max(2, size * scale) }} />;
  };
  const add = () =>
    addToken(
      { type: 'dimension', group, name: `New ${noun.toLowerCase()}`, value: start },
      `Add a ${noun.toLowerCase()}`,
    );
  return (
    <Group label={group} {...(!locked && { onAdd: add })} addLabel={`Add to ${group}`}>
      <div className="flex items-end gap-1.5">
        {tokens.map(token => (
          <EditedToken key={token.id} site={site} token={token} open={open === token.id} onOpen={onOpen}>
            <button
              type="button"
              aria-label={`${noun} ${token.name}`}
              title={`${token.name} = ${printTyped(token.value, site.kinds.token)}`}
              className={`flex min-w-5 items-end hover:opacity-70 ${drawing === 'corners' ? 'h-9' : drawing === 'lines' ? 'h-5 flex-1 items-center!' : 'h-11 flex-1'}`}
            >
              {draw(token)}
            </button>
          </EditedToken>
        ))}
        {tokens.length === 0 && <p className="text-muted">None yet.</p>}
      </div>
    </Group>
  );
}
