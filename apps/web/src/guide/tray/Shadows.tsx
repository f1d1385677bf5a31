import { drawnCss } from '../../drawings/drawn.ts';
import { useLocked } from '../../ui/locked.ts';
import { EditedToken } from './EditedToken.tsx';
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
      <div className="flex flex-wrap gap-3 pb-2">
        {tokens.map(token => (
          <EditedToken key={token.id} site={site} token={token} open={open === token.id} onOpen={onOpen}>
            <button
              type="button"
              aria-label={`Shadow ${token.name}`}
              title={token.name}
              className="size-9 rounded-sm border border-hair bg-paper"
              style={{ boxShadow: drawnCss(site, token.value) }}
            />
          </EditedToken>
        ))}
        {tokens.length === 0 && <p className="text-muted">None yet.</p>}
      </div>
    </Group>
  );
}
