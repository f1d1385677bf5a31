import { type Place, pagesBelow, placeKey, type Site, schemesInOrder } from '@cove/core';
import { Select } from '../ui/Select.tsx';

type Choice = readonly [key: string, label: string, place: Place];

/** Places of every site that are no things of it, by the words they are chosen by. */
const EVERYWHERE: readonly Choice[] = [
  ['area-header', 'in the header', { type: 'area', area: 'header' }],
  ['area-main', 'between header and footer', { type: 'area', area: 'main' }],
  ['area-sidebar', 'in the sidebar', { type: 'area', area: 'sidebar' }],
  ['area-footer', 'in the footer', { type: 'area', area: 'footer' }],
  ['kind-article', 'on every article', { type: 'pageKind', pageKind: 'article' }],
  ['kind-category', 'on every category page', { type: 'pageKind', pageKind: 'category' }],
  ['kind-search', 'on the search page', { type: 'pageKind', pageKind: 'search' }],
  ['kind-notFound', 'on the not-found page', { type: 'pageKind', pageKind: 'notFound' }],
  ['long', 'in long-form text', { type: 'longForm' }],
];

const same = (a: Place, b: Place): boolean => placeKey(a) === placeKey(b);

/** Where a rule holds: everywhere, in an area, on a kind of page or a branch, in long-form text, or on one scheme alone. */
export function PlaceChoice({
  site,
  place,
  has,
  onChange,
}: {
  site: Site;
  place: Place | null;
  /** Whether something is set for a place already. */
  has(place: Place): boolean;
  onChange(place: Place | null): void;
}) {
  const schemes = schemesInOrder(site).map(
    ({ id, name }): Choice => [`scheme-${id}`, `on ${name} alone`, { type: 'scheme', scheme: id }],
  );
  // One page or section is offered only where something is set for it already: rules for one are made from a page.
  const pages = [...site.kinds.page.values()].flatMap(({ id, title }): Choice[] => {
    const branch: Choice = [`branch-${id}`, `on ${title} and below`, { type: 'branch', page: id }];
    const one: Choice = [`page-${id}`, `on ${title} alone`, { type: 'page', page: id }];
    return [
      ...(pagesBelow(site, id).length > 0 || has(branch[2]) ? [branch] : []),
      ...(has(one[2]) || (place && same(place, one[2])) ? [one] : []),
    ];
  });
  const sections = [...site.kinds.section.values()].flatMap(({ id, name }): Choice[] => {
    const section: Place = { type: 'section', section: id };
    return has(section) ? [[`section-${id}`, `in ${name}`, section]] : [];
  });
  const all = [...EVERYWHERE, ...schemes, ...pages, ...sections];
  return (
    <Select
      label="Where"
      value={place ? (all.find(([, , it]) => same(it, place))?.[0] ?? '') : ''}
      options={[
        { value: '', label: 'everywhere' },
        ...all.map(([value, label, it]) => ({ value, label: has(it) ? `${label} ·` : label })),
      ]}
      onChange={key => onChange(all.find(([it]) => it === key)?.[2] ?? null)}
    />
  );
}
