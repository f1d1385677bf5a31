import {
  type Color,
  type Id,
  isPresetKind,
  nameOf,
  type PartKind,
  partOf,
  printPainted,
  printRatio,
  printSlot,
  propertyOf,
  readableColors,
  type Scope,
  siteContrast,
  type TextOnFill,
  textContrast,
  textsOnFill,
  textsOnPreset,
} from '@cove/core';
import { type ReactNode, useDeferredValue, useMemo } from 'react';
import { useGo } from '../navigation/go.ts';
import { Button } from '../ui/Button.tsx';
import { useLocked } from '../ui/locked.ts';
import type { Setting } from './PropertyList.tsx';
import { useSetSlots } from './useSetSlots.ts';

/** Texts on a fill that are told one by one. */
const MOST = 3;

/** How well the words of a part can be read where it stands, or those that stand on its fill; with what mends it nearest. */
export function TextContrast(setting: Setting) {
  const { site, scope, asked, target } = setting;
  const isText =
    scope && ['heading', 'text', 'label'].includes(partOf(scope.element, asked.part)?.kind ?? '');
  // The bench shows first: what stands behind is looked for once it does.
  const isShown = useDeferredValue(true, false);
  if (asked.state !== 'rest') return null;
  if (!isShown) return isText ? <div className="h-[31px] border-b border-hair" /> : null;
  if (scope) return isText ? <OfWords {...setting} scope={scope} /> : <OfFill {...setting} scope={scope} />;
  const preset = target.type === 'record' ? site.kinds.preset.get(target.id) : undefined;
  const fill = printSlot({ ...asked, property: 'backgroundColor' });
  return preset?.styles[fill] && isPresetKind(asked.part) ? (
    <OfPreset {...setting} preset={preset.id} kind={asked.part} />
  ) : null;
}

type Placed = Setting & { scope: NonNullable<Setting['scope']> };

function useFix({ site, asked, target }: Setting, property: 'color' | 'backgroundColor') {
  const row = propertyOf(property);
  const { set } = useSetSlots({ rows: [row], asked, target, label: row.label });
  return (scope: Scope, from: Color | undefined, holds: (color: Color) => boolean) => {
    const [offer] = from
      ? readableColors(site, scope, from, property === 'color' ? 'text' : 'ground', holds)
      : [];
    return offer && { label: `Use ${offer.label}`, take: () => set(offer.value) };
  };
}

function OfWords(setting: Placed) {
  const { scope, asked } = setting;
  const site = useDeferredValue(setting.site);
  const found = useMemo(
    () => textContrast(site, scope, asked.part, asked.width),
    [site, scope, asked.part, asked.width],
  );
  const fixOf = useFix(setting, 'color');
  if (!found) return null;
  const { text, ground, ratio, wanted } = found;
  const fix =
    ratio < wanted ? fixOf(scope, text, color => siteContrast(site, color, ground) >= wanted) : undefined;
  return (
    <Line sample={{ text, ground }} ratio={ratio} wanted={wanted} fix={fix}>
      Contrast here
    </Line>
  );
}

function OfFill(setting: Placed) {
  const { scope, asked } = setting;
  const site = useDeferredValue(setting.site);
  const texts = useMemo(
    () => textsOnFill(site, { scope, part: asked.part }, asked.width),
    [site, scope, asked.part, asked.width],
  );
  return (
    <OnFill {...setting} texts={texts}>
      {texts.length === 1 ? 'Text on this fill' : `${texts.length} texts on this fill, the lowest`}
    </OnFill>
  );
}

/** A preset shows the texts on all that wears it, since it changes the fill under each of them. */
function OfPreset({ preset, kind, ...setting }: Setting & { preset: Id; kind: PartKind }) {
  const { asked } = setting;
  const site = useDeferredValue(setting.site);
  const texts = useMemo(
    () => textsOnPreset(site, preset, kind, asked.width),
    [site, preset, kind, asked.width],
  );
  return (
    <OnFill {...setting} texts={texts}>
      {texts.length === 1 ? 'Text on what wears it' : `${texts.length} texts on what wears it, the lowest`}
    </OnFill>
  );
}

/** The lowest of the texts on a fill, each that cannot be read, and the nearest fill on which all can. */
function OnFill({
  texts,
  children,
  ...setting
}: Setting & { texts: readonly TextOnFill[]; children: ReactNode }) {
  const { site } = setting;
  const go = useGo();
  const fixOf = useFix(setting, 'backgroundColor');
  const [worst] = texts;
  if (!worst) return null;
  const poor = texts.filter(it => it.ratio < it.wanted);
  const at = worst.filledBy?.scope;
  const fix =
    poor.length > 0 && at
      ? fixOf(at, worst.ground, color => texts.every(it => siteContrast(site, it.text, color) >= it.wanted))
      : undefined;
  return (
    <>
      <Line sample={worst} ratio={worst.ratio} wanted={worst.wanted} fix={fix}>
        {children}
      </Line>
      {poor.length > 0 && (
        <ul className="px-3.5 pb-2 text-small">
          {poor.slice(0, MOST).map(({ node, part, ratio, wanted }) => (
            <li key={`${node} ${part}`} className="flex items-baseline gap-2">
              <button
                type="button"
                className="min-w-0 truncate text-left text-teal hover:underline"
                onClick={() => go(node)}
              >
                {nameOf(site, node)}
              </button>
              <span className="ml-auto shrink-0 font-mono">
                {printRatio(ratio)} of {wanted}
              </span>
            </li>
          ))}
          {poor.length > MOST && <li className="text-muted">and {poor.length - MOST} more</li>}
        </ul>
      )}
    </>
  );
}

function Line({
  sample,
  ratio,
  wanted,
  fix,
  children,
}: {
  sample: { text: Color; ground: Color };
  ratio: number;
  wanted: number;
  fix: { label: string; take(): void } | undefined;
  children: ReactNode;
}) {
  const locked = useLocked();
  const fails = ratio < wanted;
  return (
    <section aria-label="Contrast" className="flex items-center gap-2 border-b border-hair px-3.5 py-1.5">
      <span
        aria-hidden
        data-sample
        className="rounded-sm border border-hair px-1 text-small font-semibold"
        style={{ color: printPainted(sample.text), background: printPainted(sample.ground) }}
      >
        Aa
      </span>
      <span className="min-w-0 text-muted">{children}</span>
      <span className="ml-auto shrink-0 text-right">
        <span className={`font-mono text-[12px] ${fails ? 'font-bold' : ''}`}>{printRatio(ratio)}</span>
        {fails && (
          <>
            {' '}
            <span className="text-small">needs {wanted}</span>
            {fix && !locked && (
              <Button kind="link" className="ml-2 h-5!" onClick={fix.take}>
                {fix.label}
              </Button>
            )}
          </>
        )}
      </span>
    </section>
  );
}
