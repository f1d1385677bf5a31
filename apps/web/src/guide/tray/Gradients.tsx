import { addToken, type Id, printColor, printCss, type Site, type TokenRecord } from '@cove/core';
import { useCommit } from '../../session/context.tsx';
import { useLocked } from '../../session/rights.tsx';
import { colourOfToken } from './drawn.ts';
import { EditedToken } from './EditedToken.tsx';
import { Group } from './Group.tsx';

/** Grounds that run from one colour to another, drawn as they run. */
export function Gradients({
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
        return color ? printColor(color) : 'transparent';
      },
      role: () => 'transparent',
      derived: () => 'transparent',
    });
  const add = () => {
    const [first, second] = [...site.kinds.token.values()].filter(it => it.type === 'color');
    if (!first || !second) return;
    const made = addToken(site, {
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
    });
    if (commit(made.edits, 'Add a gradient')) onOpen(made.id);
  };
  return (
    <Group label="Gradients" {...(!locked && { onAdd: add })} addLabel="Add a gradient">
      <div className="grid grid-cols-4 gap-1">
        {tokens.map(token => (
          <EditedToken key={token.id} site={site} token={token} open={open === token.id} onOpen={onOpen}>
            <button
              type="button"
              aria-label={`Gradient ${token.name}`}
              title={token.name}
              className="h-8 rounded-sm border border-black/15"
              style={{ background: css(token) }}
            />
          </EditedToken>
        ))}
      </div>
      {tokens.length === 0 && <p className="text-muted">None yet.</p>}
    </Group>
  );
}
