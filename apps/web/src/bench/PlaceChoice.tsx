import { type Place, type Site, schemesInOrder } from '@cove/core';
import { Select } from '../ui/Select.tsx';

/** Places of every site that are no things of it, by the words they are chosen by. */
const EVERYWHERE: readonly (readonly [key: string, label: string, place: Place])[] = [
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

const same = (a: Place, b: Place): boolean => JSON.stringify(a) === JSON.stringify(b);

/** Where a rule holds: everywhere, in an area, on a kind of page, in long-form text, or on one scheme alone. */
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
  const schemes = schemesInOrder(site).map(({ id, name }): readonly [string, string, Place] => [
    `scheme-${id}`,
    `on ${name} alone`,
    { type: 'scheme', scheme: id },
  ]);
  const all = [...EVERYWHERE, ...schemes];
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
