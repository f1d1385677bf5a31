import { impactOf, reachIndex, type Site, siteOf, usesOf, withRecords } from '@cove/core';
import type { FromReach, ToReach } from './messages.ts';

/** Holds the site as the tab has it, and works out what reaches where and what an edit would alter. */
let site: Site | null = null;
const answer = (message: FromReach) => postMessage(message);

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
    case 'impact': {
      const impact = impactOf(site, data.edits);
      answer(
        impact.ok ? { ask: data.ask, impact: impact.value } : { ask: data.ask, problem: impact.problem },
      );
      break;
    }
  }
});
