import {
  editOf,
  parseValueOf,
  printTyped,
  type Site,
  setFluidRange,
  settingsOf,
  type TokenRecord,
  type Value,
} from '@cove/core';
import { drawnSize } from '../../drawings/drawn.ts';
import { useCommit } from '../../session/context.tsx';
import { TypedField } from '../../ui/TypedField.tsx';
import { EditedToken } from './EditedToken.tsx';
import { Group } from './Group.tsx';

/** Ratios between neighbouring notes, by which type scales are usually named (common practice, no source). */
const RATIOS: readonly (readonly [number, string])[] = [
  [1.125, 'calm'],
  [1.2, 'even'],
  [1.25, 'clear'],
  [1.333, 'strong'],
  [Math.SQRT2, 'bold'],
  [1.5, 'loud'],
];

/** The viewport widths between which every fluid size grows. */
function FluidRange({ site }: { site: Site }) {
  const commit = useCommit();
  const { fluidFrom: from, fluidTo: to } = settingsOf(site);
  const ends = [
    { label: 'Grows from', px: from, range: (px: number) => ({ from: px, to }) },
    { label: 'Grows up to', px: to, range: (px: number) => ({ from, to: px }) },
  ];
  return (
    <div className="mb-1.5 grid grid-cols-2 gap-2" title="Viewport widths between which fluid sizes grow">
      {ends.map(({ label, px, range }) => (
        <TypedField
          key={label}
          label={label}
          text={`${px}px`}
          parse={text => setFluidRange(site, range(Number(text.trim().replace(/px$/i, ''))))}
          onCommit={edits => commit(edits, 'Change where sizes grow')}
          className="[&_input]:border-hair"
        />
      ))}
    </div>
  );
}

/** One base size and one ratio move all steps; each is drawn at the narrowest and at the widest. */
export function Scale({
  site,
  open,
  onOpen,
}: {
  site: Site;
  open: string | null;
  onOpen(id: string | null): void;
}) {
  const commit = useCommit();
  const settings = settingsOf(site);
  const { token: tokens } = site.kinds;
  const base = tokens.get(settings.textBase);
  const ratio = tokens.get(settings.textRatio);
  if (!base || !ratio) return null;
  const set = (token: TokenRecord, value: Value) =>
    commit([editOf(token).set('value', value)], `Change ${token.name}`);
  const steps = [...tokens.values()]
    .filter(it => it.type === 'dimension' && it.group === base.group)
    .sort((a, b) => drawnSize(site, b.value) - drawnSize(site, a.value));
  const at = ratio.value.type === 'number' ? ratio.value.value : 0;
  const px = (n: number) => Number(n.toFixed(n < 100 ? 1 : 0));
  return (
    <Group label="Scale" note={RATIOS.find(([n]) => Math.abs(n - at) < 0.005)?.[1] ?? ''}>
      <div className="mb-1.5 grid grid-cols-[1fr_56px] gap-2">
        <TypedField
          label="Base size"
          text={printTyped(base.value, tokens)}
          parse={text => parseValueOf(site, base, text)}
          onCommit={value => set(base, value)}
          className="[&_input]:border-hair"
        />
        <TypedField
          label="Ratio"
          text={printTyped(ratio.value, tokens)}
          parse={text => parseValueOf(site, ratio, text)}
          onCommit={value => set(ratio, value)}
          className="[&_input]:border-hair"
        />
      </div>
      <FluidRange site={site} />
      <ul aria-label="Steps of the scale">
        {steps.map(token => {
          const [least, most] = [drawnSize(site, token.value, 'min'), drawnSize(site, token.value)];
          return (
            <li key={token.id} className="flex items-baseline gap-2">
              <EditedToken token={token} open={open === token.id} onOpen={onOpen}>
                <button
                  type="button"
                  aria-label={`Text size ${token.name}`}
                  title={`${token.name} = ${printTyped(token.value, tokens)}`}
                  className="flex min-w-0 flex-1 items-baseline gap-2 overflow-hidden text-left hover:text-teal"
                >
                  <span
                    className="w-9 shrink-0 text-right leading-none font-semibold text-muted before:content-['a']"
                    style={{ fontSize: Math.min(34, least * 0.62) }}
                  />
                  <span
                    className="w-11 shrink-0 leading-none font-semibold before:content-['A']"
                    style={{ fontSize: Math.min(46, most * 0.62) }}
                  />
                  <span className="truncate">{token.name}</span>
                </button>
              </EditedToken>
              <span className="shrink-0 font-mono text-[11px] text-muted">
                {least === most ? px(most) : `${px(least)}–${px(most)}`}
              </span>
            </li>
          );
        })}
      </ul>
    </Group>
  );
}
