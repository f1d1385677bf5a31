import {
  applyChange,
  byOrder,
  generateScheme,
  type Id,
  printColor,
  roleColor,
  roleIn,
  type Site,
} from '@cove/core';
import { useMemo, useState } from 'react';
import { useCommit } from '../../session/context.tsx';
import { Button } from '../../ui/Button.tsx';
import { NameField } from '../../ui/NameField.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import { swatchColor } from '../tray/Swatches.tsx';

/** A swatch to be picked from all of the guide. */
function SwatchChoice({
  site,
  label,
  value,
  onChange,
}: {
  site: Site;
  label: string;
  value: Id | null;
  onChange(id: Id): void;
}) {
  const swatches = [...site.kinds.token.values()]
    .filter(it => it.type === 'color' && it.value.type !== 'token')
    .sort(byOrder);
  return (
    <fieldset>
      <legend className="label-line mb-1">{label}</legend>
      <div className="flex flex-wrap gap-1">
        {swatches.map(it => (
          <button
            key={it.id}
            type="button"
            title={it.name}
            aria-label={`${label}: ${it.name}`}
            aria-pressed={value === it.id}
            onClick={() => onChange(it.id)}
            className="size-7 rounded-sm border border-black/15 aria-pressed:outline-2 aria-pressed:outline-offset-1 aria-pressed:outline-teal"
            style={{ background: printColor(swatchColor(site, it)) }}
          />
        ))}
      </div>
    </fieldset>
  );
}

/** A scheme worked out from the palette: seen before it is taken, with the swatches it had to make. */
export function MakeScheme({ site, onClose, onMade }: { site: Site; onClose(): void; onMade(id: Id): void }) {
  const commit = useCommit();
  const [name, setName] = useState('New scheme');
  const [surface, setSurface] = useState<Id | null>(null);
  const [accent, setAccent] = useState<Id | null>(null);
  const made = useMemo(() => {
    if (surface === null) return null;
    const result = generateScheme(site, name, { surface, ...(accent !== null && { accent }) });
    if (!result.ok) return null;
    const applied = applyChange(site, { edits: result.value.edits });
    return applied.ok ? { ...result.value, seen: applied.value.site } : null;
  }, [site, surface, accent, name]);
  const css = (role: string) => {
    const color = made && roleColor(made.seen, made.id, role);
    return color ? printColor(color) : 'transparent';
  };
  const nameOf = (id: Id) => site.kinds.token.get(id)?.name ?? id;
  return (
    <Sheet
      title="A scheme from the palette"
      about="Every text and state is held to its contrast; the brand’s own swatches come first"
      onClose={onClose}
      foot={
        <>
          <Button onClick={onClose}>Cancel</Button>
          <Button
            kind="main"
            disabled={!made}
            onClick={() => made && commit(made.edits, `Make scheme ${name}`) && onMade(made.id)}
          >
            Make it
          </Button>
        </>
      }
    >
      <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
        <NameField label="Scheme" name={name} onRename={setName} />
        <SwatchChoice site={site} label="It stands on" value={surface} onChange={setSurface} />
        <SwatchChoice
          site={site}
          label="Interactive colour (chosen automatically if empty)"
          value={accent}
          onChange={setAccent}
        />
        {made && (
          <>
            <div
              className="grid gap-2 rounded-sm p-5 text-[15px]"
              style={{ background: css('surface'), color: css('text') }}
            >
              <p className="text-[22px] font-semibold" style={{ color: css('heading') }}>
                Four islands, one morning
              </p>
              <p>
                Cars board from berth two.{' '}
                <span className="underline" style={{ color: css('link') }}>
                  See the tides
                </span>
                .
              </p>
              <p style={{ color: css('muted') }}>Times are those of the outer harbour.</p>
              <p className="flex gap-2">
                {['', 'Hover', 'Pressed'].map(state => (
                  <span
                    key={state}
                    className="rounded px-3 py-1"
                    style={{ background: css(`mainFill${state}`), color: css(`mainLabel${state}`) }}
                  >
                    Book
                  </span>
                ))}
                <span
                  className="rounded border-2 px-3 py-1"
                  style={{ color: css('secondLabel'), borderColor: css('secondLine') }}
                >
                  Fares
                </span>
              </p>
              <p className="flex flex-wrap gap-2 text-base">
                {['success', 'warning', 'danger', 'info'].map(status => (
                  <span
                    key={status}
                    className="rounded border px-2"
                    style={{
                      background: css(`${status}Ground`),
                      color: css(`${status}Text`),
                      borderColor: css(`${status}Line`),
                    }}
                  >
                    {roleIn(site, `${status}Text`)?.label.replace(' text', '')}
                  </span>
                ))}
              </p>
            </div>
            {made.made.length === 0 ? (
              <p className="text-muted">Every role uses a palette swatch.</p>
            ) : (
              <div className="min-w-0">
                <p className="label-line mb-1">
                  Where no swatch fits, {made.made.length === 1 ? 'one is' : `${made.made.length} are`} made:
                </p>
                <ul className="thin-scroll max-h-36 overflow-auto">
                  {made.made.map(({ token, of, roles }) => (
                    <li key={token.id} className="flex items-center gap-2 whitespace-nowrap">
                      <span
                        className="size-3.5 shrink-0 rounded-sm border border-black/15"
                        style={{ background: css(roles[0] ?? '') }}
                      />
                      {token.name}
                      <span className="truncate text-muted">
                        {of !== null && !made.made.some(it => it.token.id === of)
                          ? `follows ${nameOf(of)}; `
                          : ''}
                        for {roles.map(role => roleIn(site, role)?.label.toLowerCase() ?? role).join(', ')}
                      </span>
                    </li>
                  ))}
                </ul>
              </div>
            )}
          </>
        )}
      </div>
    </Sheet>
  );
}
