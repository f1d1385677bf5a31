import {
  type GuideData,
  literalOf,
  NO_REBINDS,
  PURPOSE_LABELS,
  PURPOSES,
  printPainted,
  roleColor,
  type Site,
  siteOf,
} from '@cove/core';
import { type BrandSwatch, readRatio } from '@cove/core/starters';
import { useMemo } from 'react';
import { FACES } from '../../canvas/styleEngine.ts';
import { useStyleText } from '../../ui/useStyleText.ts';
import type { useBrand } from './useBrand.ts';

type BrandState = ReturnType<typeof useBrand>;

/** What was read so far: colours with their purposes, families in their own letters, sizes, and two of the schemes they come to. */
export function BrandRead({ state, siteName }: { state: BrandState; siteName: string }) {
  const { brand, unread, guide } = state;
  const count =
    brand.swatches.length +
    [brand.heading, brand.text, brand.code, brand.base, brand.ratio, brand.corners, brand.space].filter(
      it => it !== null,
    ).length;
  return (
    <section aria-label="Read so far" className="grid gap-2">
      <h2 className="flex items-baseline">
        <span className="label-line mr-auto">Read so far</span>
        <span className="text-small text-muted">
          {count === 0 ? 'Nothing yet' : `${count} value${count === 1 ? '' : 's'}`}
        </span>
      </h2>
      {brand.swatches.length > 0 && (
        <ul className="grid grid-cols-4 gap-x-px gap-y-2">
          {brand.swatches.map(it => (
            <Swatch key={it.name} swatch={it} onPurpose={purpose => state.setPurpose(it.name, purpose)} />
          ))}
        </ul>
      )}
      <p className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
        {brand.heading && (
          <span className="text-[16px] font-semibold" style={{ fontFamily: `"${brand.heading}"` }}>
            {brand.heading}
          </span>
        )}
        {brand.text && (
          <span className="text-[15px]" style={{ fontFamily: `"${brand.text}"` }}>
            {brand.text}
          </span>
        )}
        {brand.code && <code>{brand.code}</code>}
        {brand.base && <code>{brand.base}</code>}
        {brand.ratio !== null && readRatio(String(brand.ratio)).ok && <code>× {brand.ratio}</code>}
        {brand.corners && <code>{brand.corners} corners</code>}
        {brand.space && <code>{brand.space} spacing</code>}
      </p>
      {unread.length > 0 && (
        <div role="alert">
          <ul className="grid gap-0.5 text-small text-madder">
            {unread.slice(0, MOST_UNREAD).map(it => (
              <li key={`${it.line} ${it.text}`}>
                {it.line > 0 && `Line ${it.line}: `}
                <code>{it.text.slice(0, 40)}</code> {it.message}
              </li>
            ))}
            {unread.length > MOST_UNREAD && <li>and {unread.length - MOST_UNREAD} more</li>}
          </ul>
        </div>
      )}
      {guide && <Schemes guide={guide} name={siteName} />}
    </section>
  );
}
const MOST_UNREAD = 4;

function Swatch({
  swatch,
  onPurpose,
}: {
  swatch: BrandSwatch;
  onPurpose(purpose: BrandSwatch['purpose']): void;
}) {
  return (
    <li className="min-w-0">
      <span className="block h-8" style={{ background: swatch.color }} title={swatch.color} />
      <span className="block truncate pt-0.5" title={swatch.name}>
        {swatch.name}
      </span>
      <select
        aria-label={`Purpose of ${swatch.name}`}
        value={swatch.purpose}
        onChange={event => {
          const purpose = PURPOSES.find(it => it === event.target.value);
          if (purpose) onPurpose(purpose);
        }}
        className="-ml-1 w-full min-w-0 bg-transparent text-small text-muted"
      >
        {PURPOSES.map(it => (
          <option key={it} value={it}>
            {PURPOSE_LABELS[it]}
          </option>
        ))}
      </select>
    </li>
  );
}

/** The first light scheme and the first dark one, with what stands on them. */
function Schemes({ guide, name }: { guide: GuideData; name: string }) {
  const site = useMemo(
    (): Site =>
      siteOf([
        ...guide.records,
        {
          id: 'settings',
          kind: 'settings',
          name: guide.name,
          language: 'en',
          home: 'home',
          ...guide.settings,
        },
      ]),
    [guide],
  );
  useStyleText(FACES);
  const schemes = [...site.kinds.scheme.values()];
  const shown = [schemes.find(it => it.face === 'light'), schemes.find(it => it.face === 'dark')];
  const family = (voice: string) => {
    const token = [...site.kinds.token.values()].find(it => it.type === 'fontFamily' && it.name === voice);
    const end = token && literalOf(site.kinds.token, NO_REBINDS, token.value);
    return end?.type === 'fontFamily' ? end.value.map(it => `"${it}"`).join(', ') : 'inherit';
  };
  const corner = [...site.kinds.token.values()].find(it => it.group === 'Corners' && it.name === 'Small');
  const radius =
    corner?.value.type === 'dimension' ? `${corner.value.value.value}${corner.value.value.unit}` : '4px';
  return (
    <>
      <div className="grid grid-cols-2 overflow-hidden rounded-sm border border-hair">
        {shown.map(scheme => {
          if (!scheme) return null;
          const css = (role: string) => {
            const color = roleColor(site, scheme.id, role);
            return color ? printPainted(color) : 'transparent';
          };
          return (
            <div
              key={scheme.id}
              className="min-w-0 p-3"
              style={{ background: css('surface'), color: css('text') }}
            >
              <p
                className="truncate text-[16px] font-semibold"
                style={{ color: css('heading'), fontFamily: family('Heading') }}
              >
                {name}
              </p>
              <p className="py-1" style={{ fontFamily: family('Text') }}>
                A line of text and{' '}
                <span style={{ color: css('link'), textDecoration: 'underline' }}>a link</span>.
              </p>
              <span
                className="inline-block px-2.5 py-1 font-semibold"
                style={{
                  background: css('mainFill'),
                  color: css('mainLabel'),
                  borderRadius: radius,
                  fontFamily: family('Heading'),
                }}
              >
                Action
              </span>
            </div>
          );
        })}
      </div>
      <p className="text-small text-muted">
        {schemes.length} schemes made from them; every text meets its contrast.
      </p>
    </>
  );
}
