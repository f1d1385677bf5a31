import { ELEMENT_FAMILIES, type ElementType, isItem } from '@cove/core';

/** A widget that can be added, in one of the lines it is offered in. */
export interface Offer {
  /** Its own in the list: a recent one stands among its family too. */
  key: string;
  element: ElementType;
}

export interface OfferGroup {
  label: string;
  offers: readonly Offer[];
}

const plain = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** How well words name a widget: its name, how its name begins, a word of it, or what people call such things; null where not. */
function rankOf({ label, about = '', words = '', name }: ElementType, wanted: string): number | null {
  const called = plain(label);
  if (called === wanted) return 0;
  if (called.startsWith(wanted)) return 1;
  if (called.split(/\s+/).some(it => it.startsWith(wanted))) return 2;
  const all = plain(`${label} ${about} ${words} ${name}`).split(/[\s,]+/);
  if (` ${all.join(' ')}`.includes(` ${wanted}`)) return 3;
  return wanted.split(/\s+/).every(word => all.some(it => it.startsWith(word))) ? 4 : null;
}

/** What can be added, by what it is for: what belongs into what is selected first, then what was added last. */
export function offerGroups(
  addable: readonly ElementType[],
  recent: readonly string[],
  query: string,
): readonly OfferGroup[] {
  const offer = (group: string) => (element: ElementType) => ({ key: `${group} ${element.name}`, element });
  const wanted = plain(query.trim());
  if (wanted !== '') {
    const found = addable
      .flatMap(element => {
        const rank = rankOf(element, wanted);
        return rank === null ? [] : [{ element, rank }];
      })
      .sort((a, b) => a.rank - b.rank);
    return found.length === 0
      ? []
      : [{ label: 'Found', offers: found.map(it => offer('found')(it.element)) }];
  }
  const widgets = addable.filter(it => !isItem(it));
  const groups: OfferGroup[] = [
    { label: 'Into this', offers: addable.filter(isItem).map(offer('item')) },
    {
      label: 'Recent',
      offers: recent.flatMap(name => widgets.filter(it => it.name === name)).map(offer('recent')),
    },
    ...ELEMENT_FAMILIES.map(({ name, label }) => ({
      label,
      offers: widgets.filter(it => it.family === name).map(offer(name)),
    })),
  ];
  return groups.filter(it => it.offers.length > 0);
}
