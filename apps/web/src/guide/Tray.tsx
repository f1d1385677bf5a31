import {
  byOrder,
  type Color,
  contrast,
  FAMILIES,
  familyNamed,
  groupBy,
  type Id,
  literalOf,
  NO_REBINDS,
  newId,
  parseTokenValue,
  printColor,
  printCss,
  printTyped,
  type Site,
  settingsOf,
  type TokenRecord,
  type TokenType,
  type Value,
} from '@cove/core';
import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { FACES } from '../canvas/styleEngine.ts';
import { useCommit } from '../session/context.tsx';
import { useLocked } from '../session/rights.tsx';
import { Button } from '../ui/Button.tsx';
import { TypedField } from '../ui/TypedField.tsx';
import { lastOrder, TokenEditor } from './TokenEditor.tsx';

interface Props {
  site: Site;
  /** Token whose editor is open. */
  open: Id | null;
  onOpen(id: Id | null): void;
  /** Opens a preset, scheme or text style beside the sheet. */
  onPanel(panel: { preset: Id } | { scheme: Id } | { style: Id }): void;
}

const WHITE: Color = { space: 'srgb', coords: [1, 1, 1], alpha: 1 };

/** A size in px at the widest, for drawing it. */
function drawnSize(site: Site, value: Value): number {
  const end = literalOf(site.kinds.token, NO_REBINDS, value);
  const length = end?.type === 'fluid' ? end.max : end?.type === 'dimension' ? end.value : null;
  return length ? length.value * (length.unit === 'px' ? 1 : 16) : 0;
}

function Group({
  label,
  note,
  children,
  onAdd,
  addLabel,
}: {
  label: string;
  note?: string;
  children: ReactNode;
  onAdd?: () => void;
  addLabel?: string;
}) {
  return (
    <section className="mb-4">
      <h2 className="mb-1 flex items-baseline">
        <span className="label-line mr-auto">{label}</span>
        {note && <span className="font-mono text-[11px] text-muted">{note}</span>}
        {onAdd && (
          <Button kind="link" className="h-5! text-small" onClick={onAdd} aria-label={addLabel}>
            Add
          </Button>
        )}
      </h2>
      {children}
    </section>
  );
}

/** Foundations, drawn as what they are; each opens where it stands and alters the whole sheet under the hand. */
export function Tray({ site, open, onOpen, onPanel }: Props) {
  const commit = useCommit();
  const locked = useLocked();
  const tokens = [...site.kinds.token.values()].sort(byOrder);
  const ofType = (type: TokenType) => tokens.filter(token => token.type === type);
  const swatches = groupBy(ofType('color'), token => token.group);
  const sizes = groupBy(ofType('dimension'), token => token.group);
  const settings = settingsOf(site);
  const base = site.kinds.token.get(settings.textBase);
  const ratio = site.kinds.token.get(settings.textRatio);
  const steps = (sizes.get('Text') ?? []).sort((a, b) => drawnSize(site, b.value) - drawnSize(site, a.value));
  const set = (token: TokenRecord, value: Value) =>
    commit([{ op: 'set', id: token.id, path: ['value'], value }], `Change ${token.name}`);

  const addSwatch = (group: string) => {
    const record: TokenRecord = {
      id: newId('t'),
      kind: 'token',
      type: 'color',
      name: 'New swatch',
      group,
      order: lastOrder(site),
      value: { type: 'color', value: { space: 'oklch', coords: [0.6, 0.1, 220], alpha: 1 } },
    };
    if (commit([{ op: 'put', record }], 'Add a swatch')) onOpen(record.id);
  };

  const editable = (token: TokenRecord, trigger: ReactNode) => (
    <Popover.Root key={token.id} open={open === token.id} onOpenChange={is => onOpen(is ? token.id : null)}>
      <Popover.Trigger asChild>{trigger}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="right"
          align="start"
          sideOffset={12}
          collisionPadding={8}
          aria-label={`Token ${token.name}`}
          className="thin-scroll z-30 max-h-[85vh] w-[290px] overflow-auto rounded-md border border-hair bg-paper p-3.5 text-base text-ink shadow-lg"
        >
          <TokenEditor site={site} token={token} onGone={() => onOpen(null)} onMade={onOpen} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );

  const textBytes = [
    ...new Set(
      ofType('fontFamily').flatMap(({ value }) =>
        value.type === 'fontFamily' ? value.value.filter(name => familyNamed(name)?.file) : [],
      ),
    ),
  ].length;

  return (
    <aside
      aria-label="Foundations"
      className="thin-scroll overflow-auto border-r border-hair bg-paper px-3.5 py-3.5"
    >
      <style>{FACES}</style>
      {[...swatches].map(([group, list]) => (
        <Group
          key={group}
          label={group}
          {...(!locked && { onAdd: () => addSwatch(group) })}
          addLabel={`Add a swatch to ${group}`}
        >
          <div className="grid grid-cols-4 overflow-hidden border border-black/15">
            {list.map(token => {
              const end = literalOf(site.kinds.token, NO_REBINDS, token.value);
              const color = end?.type === 'color' ? end.value : WHITE;
              const light = contrast(color, WHITE) < 3;
              return editable(
                token,
                <button
                  type="button"
                  title={`${token.name} = ${printTyped(token.value, site.kinds.token)}`}
                  aria-label={`Swatch ${token.name}`}
                  className={`flex h-[50px] min-w-0 flex-col justify-end p-1 text-left text-[10.5px] leading-tight outline-offset-[-3px]! ${light ? 'text-[#1b1b1b]' : 'text-white'}`}
                  style={{ background: printColor(color) }}
                >
                  {token.value.type === 'derived' && (
                    <span aria-hidden className="mb-auto self-end opacity-70">
                      ~
                    </span>
                  )}
                  <span className="line-clamp-2">{token.name}</span>
                </button>,
              );
            })}
          </div>
        </Group>
      ))}

      <Group label="Voices" note={`${textBytes} famil${textBytes === 1 ? 'y' : 'ies'}`}>
        <ul className="grid gap-2">
          {ofType('fontFamily').map(token => {
            const names = token.value.type === 'fontFamily' ? token.value.value : [];
            return (
              <li key={token.id}>
                <label className="block">
                  <span
                    className="block truncate text-[19px] leading-tight"
                    style={{ fontFamily: names.map(name => `"${name}"`).join(', ') }}
                  >
                    {names[0]}
                  </span>
                  <span className="flex items-center gap-2 text-muted">
                    {token.name}
                    <select
                      aria-label={`Family of ${token.name}`}
                      value={names[0] ?? ''}
                      disabled={locked}
                      onChange={event => {
                        const family = familyNamed(event.target.value);
                        if (family)
                          set(token, {
                            type: 'fontFamily',
                            value:
                              family.name === family.generic ? [family.name] : [family.name, family.generic],
                          });
                      }}
                      className="ml-auto h-6 w-[124px] rounded-sm border border-hair bg-paper"
                    >
                      {FAMILIES.map(family => (
                        <option key={family.name} value={family.name}>
                          {family.file ? family.name : 'System'}
                        </option>
                      ))}
                    </select>
                  </span>
                </label>
              </li>
            );
          })}
        </ul>
      </Group>

      {base && ratio && (
        <Group label="Scale">
          <div className="mb-1 grid grid-cols-2 gap-2">
            <TypedField
              label="Base size"
              text={printTyped(base.value, site.kinds.token)}
              parse={text => parseTokenValue(text, 'dimension', site.kinds.token)}
              onCommit={value => set(base, value)}
              className="[&_input]:border-hair"
            />
            <TypedField
              label="Ratio"
              text={printTyped(ratio.value, site.kinds.token)}
              parse={text => parseTokenValue(text, 'number', site.kinds.token)}
              onCommit={value => set(ratio, value)}
              className="[&_input]:border-hair"
            />
          </div>
          <div className="flex items-baseline gap-1.5 overflow-hidden font-semibold">
            {steps.map(token =>
              editable(
                token,
                <button
                  type="button"
                  aria-label={`Text size ${token.name}`}
                  title={`${token.name}: ${drawnSize(site, token.value).toFixed(1)} px at the widest`}
                  style={{ fontSize: Math.min(46, drawnSize(site, token.value) * 0.72), lineHeight: 1.1 }}
                >
                  A
                </button>,
              ),
            )}
          </div>
        </Group>
      )}

      {[...sizes]
        .filter(([group]) => group !== 'Text')
        .map(([group, list]) => (
          <Group key={group} label={group}>
            {group === 'Corners' ? (
              <div className="flex gap-2">
                {list.map(token =>
                  editable(
                    token,
                    <button
                      type="button"
                      aria-label={`Corner ${token.name}`}
                      title={`${token.name} = ${printTyped(token.value, site.kinds.token)}`}
                      className="size-8 border border-r-0 border-b-0 border-ink"
                      style={{ borderTopLeftRadius: drawnSize(site, token.value) }}
                    />,
                  ),
                )}
              </div>
            ) : (
              <div className="flex items-end gap-1.5">
                {list.map(token =>
                  editable(
                    token,
                    <button
                      type="button"
                      aria-label={`${group} ${token.name}`}
                      title={`${token.name} = ${printTyped(token.value, site.kinds.token)}`}
                      className="flex h-12 min-w-5 flex-1 items-end"
                    >
                      <span
                        className="block w-full bg-muted"
                        style={{
                          height: Math.max(
                            2,
                            Math.min(
                              46,
                              drawnSize(site, token.value) *
                                (drawnSize(site, token.value) > 200 ? 0.04 : 0.42),
                            ),
                          ),
                        }}
                      />
                    </button>,
                  ),
                )}
              </div>
            )}
          </Group>
        ))}

      {ofType('shadow').length > 0 && (
        <Group label="Shadows">
          <div className="flex gap-3 pb-2">
            {ofType('shadow').map(token => {
              const css = printCss(token.value, {
                fluid: { from: 360, to: 1280 },
                viewportUnit: '1vw',
                token: id => printColor(colourOf(site, id)),
                role: () => 'currentcolor',
                derived: () => 'transparent',
              });
              return editable(
                token,
                <button
                  type="button"
                  aria-label={`Shadow ${token.name}`}
                  className="size-9 rounded-sm border border-hair bg-paper"
                  style={{ boxShadow: css }}
                />,
              );
            })}
          </div>
        </Group>
      )}

      <Group label="Schemes" note={String(site.kinds.scheme.size)}>
        <Names items={[...site.kinds.scheme.values()].sort(byOrder)} onOpen={id => onPanel({ scheme: id })} />
      </Group>
      <Group label="Text styles" note={String(site.kinds.textStyle.size)}>
        <Names
          items={[...site.kinds.textStyle.values()].sort(byOrder)}
          onOpen={id => onPanel({ style: id })}
        />
      </Group>
      <Group label="Presets" note={String(site.kinds.preset.size)}>
        {site.kinds.preset.size === 0 ? (
          <p className="text-muted">None yet. Make one on the Pages station from what a widget has set.</p>
        ) : (
          <Names
            items={[...site.kinds.preset.values()].sort(byOrder)}
            onOpen={id => onPanel({ preset: id })}
          />
        )}
      </Group>
    </aside>
  );
}

function colourOf(site: Site, id: Id): Color {
  const end = literalOf(site.kinds.token, NO_REBINDS, { type: 'token', token: id });
  return end?.type === 'color' ? end.value : WHITE;
}

/** Names in a row, each of which opens. */
function Names({ items, onOpen }: { items: readonly { id: Id; name: string }[]; onOpen(id: Id): void }) {
  return (
    <ul className="flex flex-wrap gap-x-2.5 leading-relaxed">
      {items.map(({ id, name }) => (
        <li key={id}>
          <button type="button" className="hover:text-teal hover:underline" onClick={() => onOpen(id)}>
            {name}
          </button>
        </li>
      ))}
    </ul>
  );
}
