import { describe, expect, it } from '@jest/globals';
import {
  contributionsTo,
  nodeScope,
  placedScope,
  specimenScope,
  threadOf,
  winner,
} from '../src/cascade/index.ts';
import { pagesBelow, setSlot, targetId } from '../src/commands/index.ts';
import { must } from '../src/result/index.ts';
import {
  applyChange,
  type Edit,
  type Place,
  placedId,
  placeKey,
  placeNamed,
  readRecord,
  SETTINGS,
  type Site,
} from '../src/site/index.ts';
import type { Value } from '../src/values/index.ts';
import { elementNamed } from '../src/widgets/index.ts';
import { demoSite } from './support/demo.ts';

const demo = demoSite();
const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const opacity = (value: number): Value => ({ type: 'number', value });
const heading = elementNamed('heading');

const PLACES: readonly Place[] = [
  { type: 'page', page: 'fares' },
  { type: 'branch', page: 'fares' },
  { type: 'section', section: 'crossing' },
  { type: 'area', area: 'footer' },
  { type: 'pageKind', pageKind: 'article' },
  { type: 'scheme', scheme: 'night-run' },
  { type: 'longForm' },
];

/** What holds of a heading's opacity in a scope. */
const held = (site: Site, scope: ReturnType<typeof placedScope>) =>
  winner(contributionsTo(site, scope, 'text').get('opacity'), 'rest', 'wide')?.value ?? null;

describe('the word for a place', () => {
  it.each(PLACES.map(place => [placeKey(place), place] as const))('%s leads back to it', (key, place) => {
    expect(placeNamed(demo, key)).toEqual(place);
  });
  it.each([
    '',
    'page',
    'page-',
    'page-nowhere',
    'branch-crossing',
    'section-fares',
    'area-cellar',
    'kind-',
    '-',
    'long-',
  ])('that stands for none, such as “%s”, leads nowhere', key => expect(placeNamed(demo, key)).toBeNull());
});

describe('a rule for a place', () => {
  it.each(PLACES.map(place => [place.type, place] as const))(
    'on %s is what holds where the bench asks about that place, and nowhere else',
    (_, place) => {
      const site = after(
        demo,
        setSlot(demo, { type: 'default', element: 'heading', place }, 'text/opacity', opacity(0.5)),
      );
      const there = placedScope(site, heading, 'daymark', {}, place);
      expect(held(site, there)).toEqual(opacity(0.5));
      expect(held(site, specimenScope(heading, 'daymark', {}))).toBeNull();
      const others = PLACES.filter(it => placeKey(it) !== placeKey(place));
      // A page is in its own branch, so a rule for the branch holds on it as well.
      const holding = others.filter(it => held(site, placedScope(site, heading, 'daymark', {}, it)) !== null);
      expect(holding.map(it => it.type)).toEqual(
        place.type === 'branch' ? ['page'] : place.type === 'page' ? ['branch'] : [],
      );
    },
  );

  it('on a page wins over one for its branch, and that over one for the site', () => {
    const set = (site: Site, place: Place | null, value: number) =>
      after(
        site,
        setSlot(site, { type: 'default', element: 'heading', place }, 'text/opacity', opacity(value)),
      );
    const site = set(
      set(set(demo, null, 0.9), { type: 'branch', page: 'fares' }, 0.8),
      { type: 'page', page: 'fares' },
      0.7,
    );
    const title = [...site.kinds.widget.values()].find(
      it => it.widget === 'heading' && nodeScope(site, 'fares', it.id) !== null && it.id.startsWith('fare'),
    );
    const scope = title && nodeScope(site, 'fares', title.id);
    if (!scope) throw new Error('no heading on that page');
    const thread = threadOf(site, scope, { part: 'text', state: 'rest', width: 'wide', property: 'opacity' });
    expect(thread.from?.value).toEqual(opacity(0.7));
    expect(thread.overridden.map(it => it.value)).toEqual([opacity(0.8), opacity(0.9)]);
  });

  it('wears the scheme of the section that it is for', () => {
    const scheme = demo.kinds.section.get('crossing')?.scheme;
    expect(placedScope(demo, heading, 'daymark', {}, { type: 'section', section: 'crossing' }).scheme).toBe(
      scheme,
    );
  });

  it('asks about the place as if it were everywhere where it is gone', () => {
    const scope = placedScope(demo, heading, 'daymark', {}, { type: 'page', page: 'sunk' });
    expect(scope).toEqual(specimenScope(heading, 'daymark', {}, { type: 'page', page: 'sunk' }));
  });

  it('is one record for an element and place, whoever makes it', () => {
    const ids = PLACES.map(place => placedId({ kind: 'default', element: 'heading', place }));
    expect(new Set(ids).size).toBe(PLACES.length);
    for (const [i, place] of PLACES.entries()) {
      expect(targetId({ type: 'default', element: 'heading', place })).toBe(ids[i]);
      // The order of the fields, which a database may change, makes no other place of it.
      const turned: unknown = Object.fromEntries(Object.entries(place).reverse());
      const record = must(
        readRecord({ id: ids[i], kind: 'default', element: 'heading', place: turned, styles: {} }),
      );
      expect(record.kind === 'default' && record.place && placeKey(record.place)).toBe(placeKey(place));
    }
  });
});

describe('pages below another', () => {
  it('are told in order, sections left out', () => {
    const top = pagesBelow(demo, SETTINGS);
    expect(top.length).toBeGreaterThan(2);
    expect(top.every(id => demo.kinds.page.has(id))).toBe(true);
    expect(pagesBelow(demo, 'home')).toEqual([]);
  });
});
