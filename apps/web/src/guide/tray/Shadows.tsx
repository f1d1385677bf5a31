import { useLocked } from '../../ui/locked.ts';
import { DrawnToken } from './DrawnToken.tsx';
import { Group } from './Group.tsx';
import { type TokenList, useAddToken } from './tokenList.ts';

const px = (value: number) => ({ value, unit: 'px' as const });

export function Shadows({ site, tokens, open, onOpen }: TokenList) {
  const addToken = useAddToken({ site, onOpen });
  const locked = useLocked();
  const add = () => {
    addToken(
      {
        type: 'shadow',
        group: 'Shadows',
        name: 'New shadow',
        value: {
          type: 'shadow',
          value: [
            {
              x: px(0),
              y: px(4),
              blur: px(14),
              spread: px(-4),
              inset: false,
              color: { type: 'color', value: { space: 'oklch', coords: [0.2, 0, 0], alpha: 0.4 } },
            },
          ],
        },
      },
      'Add a shadow',
    );
  };
  return (
    <Group label="Shadows" {...(!locked && { onAdd: add })} addLabel="Add a shadow">
      <ul>
        {tokens.map(token => (
          <DrawnToken
            key={token.id}
            site={site}
            token={token}
            noun="Shadow"
            use="effect"
            most={1}
            open={open === token.id}
            onOpen={onOpen}
          />
        ))}
      </ul>
      {tokens.length === 0 && <p className="text-muted">None yet.</p>}
    </Group>
  );
}
