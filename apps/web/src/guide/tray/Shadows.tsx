import { addToken, type Id, printColor, printCss, type Site, type TokenRecord } from '@cove/core';
import { useCommit } from '../../session/context.tsx';
import { useLocked } from '../../session/rights.tsx';
import { colourOfToken } from './drawn.ts';
import { EditedToken } from './EditedToken.tsx';
import { Group } from './Group.tsx';

const px = (value: number) => ({ value, unit: 'px' as const });

export function Shadows({
  site,
  tokens,
  open,
  onOpen,
}: {
  site: Site;
  tokens: readonly TokenRecord[];
  open: Id | null;
  onOpen(id: Id | null): void;
}) {
  const commit = useCommit();
  const locked = useLocked();
  const css = ({ value }: TokenRecord) =>
    printCss(value, {
      fluid: { from: 360, to: 1280 },
      viewportUnit: '1vw',
      token: id => {
        const color = colourOfToken(site, id);
        return color ? printColor(color) : 'currentcolor';
      },
      role: () => 'currentcolor',
      derived: () => 'transparent',
    });
  const add = () => {
    const { edits, id } = addToken(site, {
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
    });
    if (commit(edits, 'Add a shadow')) onOpen(id);
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
              style={{ boxShadow: css(token) }}
            />
          </EditedToken>
        ))}
        {tokens.length === 0 && <p className="text-muted">None yet.</p>}
      </div>
    </Group>
  );
}
