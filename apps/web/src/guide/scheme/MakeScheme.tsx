import {
  applyChange,
  generateScheme,
  type HeadingChoice,
  type Id,
  printPainted,
  roleColor,
  roleIn,
  type Site,
} from '@cove/core';
import { useMemo, useState } from 'react';
import { useCommit } from '../../session/context.tsx';
import { Button } from '../../ui/Button.tsx';
import { NameField } from '../../ui/NameField.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import { HeadingsChoice } from './HeadingsChoice.tsx';
import { SwatchChoice } from './SwatchChoice.tsx';

/** A scheme worked out from the palette: seen before it is taken, with the swatches it had to make. */
export function MakeScheme({ site, onClose, onMade }: { site: Site; onClose(): void; onMade(id: Id): void }) {
  const commit = useCommit();
  const [name, setName] = useState('New scheme');
  const [surface, setSurface] = useState<Id | null>(null);
  const [action, setAction] = useState<Id | null>(null);
  const [headings, setHeadings] = useState<HeadingChoice | null>(null);
  const { made, problem } = useMemo(() => {
    if (surface === null) return { made: null, problem: null };
    const wish = {
      surface,
      ...(headings !== null && { headings }),
      ...(action !== null && { action }),
    };
    const result = generateScheme(site, name, wish);
    if (!result.ok) return { made: null, problem: result.problem.message };
    const applied = applyChange(site, { edits: result.value.edits });
    return applied.ok
      ? { made: { ...result.value, seen: applied.value.site }, problem: null }
      : { made: null, problem: applied.problem.message };
  }, [site, surface, action, headings, name]);
  const css = (role: string) => {
    const color = made && roleColor(made.seen, made.id, role);
    return color ? printPainted(color) : 'transparent';
  };
  const nameOf = (id: Id) => site.kinds.token.get(id)?.name ?? id;
  return (
    <Sheet
      title="A scheme from the palette"
      about="Every role meets its contrast and uses only swatches of its purpose"
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
        <SwatchChoice site={site} label="Surface" bindsTo="surface" value={surface} onChange={setSurface} />
        <SwatchChoice
          site={site}
          label="Action: main buttons and links (chosen by purpose if empty)"
          bindsTo="mainFill"
          value={action}
          onChange={setAction}
        />
        <HeadingsChoice value={headings} onChange={setHeadings} />
        {problem && <p role="alert">{problem}</p>}
        {made && (
          <>
            <div
              className="grid gap-2 rounded-sm p-5 text-[15px]"
              style={{ background: css('surface'), color: css('text') }}
            >
              <p className="text-[22px] font-semibold" style={{ color: css('heading') }}>
                A heading in a few words
              </p>
              <p>
                Running text, and{' '}
                <span className="underline" style={{ color: css('link') }}>
                  a link in it
                </span>
                .
              </p>
              <p style={{ color: css('muted') }}>Muted text for what matters less.</p>
              <p className="flex gap-2">
                {['', 'Hover', 'Pressed'].map(state => (
                  <span
                    key={state}
                    className="rounded px-3 py-1"
                    style={{ background: css(`mainFill${state}`), color: css(`mainLabel${state}`) }}
                  >
                    Main
                  </span>
                ))}
                <span
                  className="rounded border-2 px-3 py-1"
                  style={{ color: css('secondLabel'), borderColor: css('secondLine') }}
                >
                  Second
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
