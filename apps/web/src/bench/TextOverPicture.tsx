import {
  addTint,
  type Id,
  nodeScope,
  type PictureBehind,
  pictureAt,
  printRatio,
  role,
  type Scope,
  type Site,
  type Value,
  viewportOf,
  WIDTHS,
  type Width,
} from '@cove/core';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { PageCanvas } from '../canvas/pageCanvas.ts';
import { ScaledFrame } from '../canvas/ScaledFrame.tsx';
import { textsOver } from '../canvas/textsOver.ts';
import { useSampler } from '../pictures/Sampling.tsx';
import { useCommit, useSession } from '../session/context.tsx';
import { colorOf } from '../tokens/picker/endOf.ts';
import { Button } from '../ui/Button.tsx';
import { useLocked } from '../ui/locked.ts';

/** What is told of one width: the text that can be read worst there. */
interface Reading {
  ratio: number;
  wanted: number;
  least: number | null;
}

const SETTLES = 300;
const ON_SURFACE: Value = role('surface');

/**
 * How well the words of a thing can be read over the picture behind them, at each width as it is cropped there, and the
 * least tint that mends it. The pages that are measured are drawn out of sight and follow every edit once it settles.
 */
export function TextOverPicture({
  site,
  page,
  node,
  behind,
}: {
  site: Site;
  page: Id;
  node: Id;
  behind: PictureBehind;
}) {
  const session = useSession();
  const sampler = useSampler();
  const commit = useCommit();
  const locked = useLocked();
  const [readings, setReadings] = useState<Partial<Record<Width, Reading | null>>>({});
  const canvases = useRef(new Map<Width, PageCanvas>());
  const tint = useMemo((): Value => {
    const now = WIDTHS.map(width => pictureAt(site, behind, width)?.tint).find(it => it != null);
    return now?.color ?? ON_SURFACE;
  }, [site, behind]);

  const measure = useCallback(
    async (width: Width) => {
      const canvas = canvases.current.get(width);
      const now = session.site;
      const scope: Scope | null = nodeScope(now, page, behind.node);
      const value = scope && pictureAt(now, { ...behind, scope }, width);
      const asset = value && now.kinds.asset.get(value.asset);
      const ground = canvas?.findPart(behind.node, behind.part);
      const holder = canvas?.find(node);
      if (!canvas || !asset || !ground || !holder) {
        setReadings(all => ({ ...all, [width]: null }));
        return;
      }
      await canvas.document.fonts.ready;
      const answer = await sampler.sample({
        url: `/api/sites/${session.id}/assets/${asset.file}`,
        texts: textsOver(ground, holder, asset),
        tint: colorOf(now, scope, value.tint?.color ?? tint),
        share: value.tint?.share ?? 0,
      });
      const worst = [...(answer.texts ?? [])].sort((a, b) => a.ratio / a.wanted - b.ratio / b.wanted)[0];
      const leasts = (answer.texts ?? []).map(it => it.least);
      const least = leasts.reduce<number | null>(
        (most, it) => (most === null || it === null ? null : Math.max(most, it)),
        0,
      );
      setReadings(all => ({
        ...all,
        [width]: worst ? { ratio: worst.ratio, wanted: worst.wanted, least } : null,
      }));
    },
    [session, sampler, page, node, behind, tint],
  );

  useEffect(() => {
    let timer = 0;
    const touched = new Set<Id>();
    const stop = session.onTouched((_, ids) => {
      for (const id of ids ?? []) touched.add(id);
      const all = ids === null;
      clearTimeout(timer);
      timer = window.setTimeout(() => {
        for (const [width, canvas] of canvases.current) {
          canvas.show(session.site, all ? null : touched);
          void measure(width);
        }
        touched.clear();
      }, SETTLES);
    });
    for (const width of canvases.current.keys()) void measure(width);
    return () => {
      stop();
      clearTimeout(timer);
    };
  }, [session, measure]);

  const known = WIDTHS.flatMap(width => {
    const it = readings[width];
    return it ? [{ width, ...it }] : [];
  });
  const poor = known.filter(it => it.ratio < it.wanted);
  const least = known.reduce<number | null>(
    (most, it) => (most === null || it.least === null ? null : Math.max(most, it.least)),
    0,
  );
  return (
    <section aria-label="Text over the picture" className="grid gap-1 border-b border-hair px-3.5 py-2.5">
      <h3 className="label-line">Text over the picture</h3>
      {known.length === 0 ? (
        <p className="text-muted">
          {WIDTHS.every(it => it in readings) ? 'There is no text on it.' : 'Loading…'}
        </p>
      ) : (
        <>
          <dl className="grid grid-cols-3">
            {known.map(it => (
              <div key={it.width}>
                <dt className="text-muted">{it.width}</dt>
                <dd className={`font-mono text-[12px] ${it.ratio < it.wanted ? 'font-bold' : ''}`}>
                  {printRatio(it.ratio)}
                  {it.ratio < it.wanted && <span className="font-normal"> of {it.wanted}</span>}
                </dd>
              </div>
            ))}
          </dl>
          {poor.length > 0 &&
            (least === null ? (
              <p role="alert">
                No tint of this colour makes the text readable. Choose another colour, or move the text.
              </p>
            ) : (
              <p role="alert">
                Too low to be readable.{' '}
                {!locked && (
                  <Button
                    kind="link"
                    onClick={() =>
                      commit(
                        addTint(session.site, behind, { color: tint, share: least }),
                        'Add a tint over the picture',
                      )
                    }
                  >
                    Add a tint of {Math.round(least * 100)} %
                  </Button>
                )}
              </p>
            ))}
        </>
      )}
      <div aria-hidden inert className="pointer-events-none fixed top-0 -left-[9000px]">
        {WIDTHS.map(width => (
          <div key={width} style={{ width: viewportOf(site)[width], height: 800 }}>
            <ScaledFrame
              title={`Measured, ${width}`}
              width={viewportOf(site)[width]}
              onReady={(document, view) => {
                const canvas = new PageCanvas(document, view, session.id, page);
                canvases.current.set(width, canvas);
                canvas.show(session.site, null);
                requestAnimationFrame(() => void measure(width));
                return () => {
                  canvases.current.delete(width);
                };
              }}
            />
          </div>
        ))}
      </div>
    </section>
  );
}
