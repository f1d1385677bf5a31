import { getRecord, type Id, nameOf, type Site } from '@cove/core';
import type { Whereabouts } from '../session/streamMessages.ts';
import { stationNamed } from '../stations/index.ts';

/** Where somebody is, in words, and the address of it. */
export function whereabouts(
  site: Site,
  siteId: Id,
  place: Whereabouts | null,
): { words: string; to: string } {
  if (!place) return { words: '', to: `/sites/${siteId}` };
  const { station, page, node } = place;
  if (station !== 'pages' || page === undefined)
    return { words: stationNamed(station).label, to: `/sites/${siteId}/${station}` };
  const at = node !== undefined && node !== page && getRecord(site, node) ? `, ${nameOf(site, node)}` : '';
  return {
    words: `${nameOf(site, page)}${at}`,
    to: `/sites/${siteId}/pages/${page}${node === undefined ? '' : `?node=${node}`}`,
  };
}
