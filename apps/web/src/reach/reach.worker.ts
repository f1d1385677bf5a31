import {
  applyChange,
  compareSites,
  forecast,
  impactOf,
  keepsLook,
  newlyUnreadable,
  overridesOf,
  planGuide,
  promote,
  reachIndex,
  type Site,
  siblingsFor,
  siteOf,
  takeableFoundation,
  takeGuide,
  usesOf,
  withRecords,
} from '@cove/core';
import type { FromReach, GuideOffer, GuideWish, ToReach } from './messages.ts';

/** Holds the site as the tab has it, and works out what reaches where and what an edit would alter. */
let site: Site | null = null;
const answer = (message: FromReach) => postMessage(message);

/** Ready-made guides are solved here, when one is asked for. */
async function offer(of: Site, { guide, face, parts }: GuideWish): Promise<GuideOffer> {
  const { READY_GUIDES, readyGuide } = await import('@cove/core/starters');
  const spec = typeof guide === 'string' ? READY_GUIDES.find(it => it.id === guide) : null;
  const data = typeof guide === 'string' ? spec && readyGuide(spec) : guide;
  if (!data) throw new Error(`no guide ${String(guide)}`);
  const plan = planGuide(of, data, face);
  const taken =
    parts === undefined
      ? null
      : new Set(
          typeof parts === 'string'
            ? plan.parts.flatMap(it => (takeableFoundation(of, it) === parts ? [it.id] : []))
            : parts,
        );
  return {
    edits: takeGuide(of, plan, taken ?? undefined),
    parts: plan.parts,
    taken,
    kept: plan.kept.length,
  };
}

/** Of edits that are not made yet, or of those that were made and are taken back here to see what was there before. */
function effectOf(now: Site, { ask, edits, inverse }: Extract<ToReach, { type: 'effect' }>): FromReach {
  const isMade = inverse.length > 0;
  const other = applyChange(now, { edits: isMade ? inverse : edits });
  if (!other.ok) return { ask, problem: other.problem };
  const [before, after] = isMade ? [other.value.site, now] : [now, other.value.site];
  return {
    ask,
    effect: { impact: compareSites(before, after), unreadable: newlyUnreadable(before, after) },
  };
}

addEventListener('message', ({ data }: MessageEvent<ToReach>) => {
  if (data.type === 'all') {
    site = siteOf(data.records);
    return;
  }
  if (!site) return;
  switch (data.type) {
    case 'touched':
      site = withRecords(site, new Map(data.records));
      break;
    case 'reach':
      answer({
        ask: data.ask,
        reach: new Map(
          Array.from(reachIndex(site), ([id, { uses, pages }]) => [id, { uses, pages: pages.length }]),
        ),
      });
      break;
    case 'uses':
      answer({
        ask: data.ask,
        uses: usesOf(site, data.id).map(({ node, page }) => ({ node: node?.id ?? null, page })),
      });
      break;
    case 'overrides':
      answer({ ask: data.ask, overrides: overridesOf(site, data.page) });
      break;
    case 'plan':
      void offer(site, data.guide).then(made => answer({ ask: data.ask, offer: made }));
      break;
    case 'effect':
      answer(effectOf(site, data));
      break;
    case 'forecast': {
      const made = forecast(site, data.edits);
      answer(made.ok ? { ask: data.ask, forecast: made.value } : { ask: data.ask, problem: made.problem });
      break;
    }
    case 'promotions': {
      const now = site;
      const { id, slots, to } = data;
      answer({
        ask: data.ask,
        promotions: to.map(it => {
          const made = promote(now, id, slots, it);
          if (!made.ok || !keepsLook(now, id, slots, made.value)) return null;
          return { siblings: siblingsFor(now, id, slots, it) };
        }),
      });
      break;
    }
    case 'impact': {
      const impact = impactOf(site, data.edits);
      answer(
        impact.ok ? { ask: data.ask, impact: impact.value } : { ask: data.ask, problem: impact.problem },
      );
      break;
    }
  }
});
