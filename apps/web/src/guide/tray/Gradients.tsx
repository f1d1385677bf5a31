import { drawnCss } from '../../drawings/drawn.ts';
import { useLocked } from '../../ui/locked.ts';
import { EditedToken } from './EditedToken.tsx';
import { Group } from './Group.tsx';
import { type TokenList, useAddToken } from './tokenList.ts';

/** Grounds that run from one colour to another, drawn as they run. */
export function Gradients({ site, tokens, open, onOpen }: TokenList) {
  const addToken = useAddToken({ site, onOpen });
  const locked = useLocked();
  const [first, second] = [...site.kinds.token.values()].filter(it => it.type === 'color');
  const add =
    first &&
    second &&
    (() =>
      addToken(
        {
          type: 'gradient',
          group: 'Grounds',
          name: 'New gradient',
          value: {
            type: 'gradient',
            shape: 'linear',
            angle: 160,
            stops: [
              { color: { type: 'token', token: first.id }, at: 0 },
              { color: { type: 'token', token: second.id }, at: 1 },
            ],
          },
        },
        'Add a gradient',
      ));
  return (
    <Group label="Gradients" {...(!locked && add && { onAdd: add })} addLabel="Add a gradient">
      <div className="grid grid-cols-4 gap-1">
        {tokens.map(token => (
          <EditedToken key={token.id} token={token} open={open === token.id} onOpen={onOpen}>
            <button
              type="button"
              aria-label={`Gradient ${token.name}`}
              title={token.name}
              className="h-8 rounded-sm border border-black/15"
              style={{ background: drawnCss(site, token.value) }}
            />
          </EditedToken>
        ))}
      </div>
      {tokens.length === 0 && (
        <p className="text-muted">{add ? 'None yet.' : 'A gradient runs between two swatches.'}</p>
      )}
    </Group>
  );
}
