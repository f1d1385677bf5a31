import { STATIONS as NAMES, type StationName } from '@cove/core';
import { guide } from './guide.ts';
import { pages } from './pages.ts';
import { release } from './release.ts';
import type { Station } from './station.ts';

const BY_NAME: { readonly [Name in StationName]: Station<Name> } = { guide, pages, release };

/** All stations, in the order in which a site is made at them. */
export const STATIONS: readonly Station[] = NAMES.map(name => BY_NAME[name]);

export const stationNamed = (name: StationName): Station => BY_NAME[name];

/** The station of an address such as `/sites/SITE/pages/home`; none for another one. */
export const stationAt = (pathname: string): Station | undefined =>
  STATIONS.find(it => it.name === pathname.split('/')[3]);
