import { ELEMENT_FAMILIES, type ElementType, isItem } from '@cove/core';
import { type Offered, type OfferGroup, offerGroup, recentAmong } from '../offers.ts';

const offered = (element: ElementType): Offered<ElementType> => ({
  id: element.name,
  label: element.label,
  about: element.about ?? '',
  words: element.words ?? '',
  thing: element,
});

/** What can be added, by what it is for: what belongs into what is selected first, then what was added last. */
export function widgetOffers(
  addable: readonly ElementType[],
  recent: readonly string[],
): readonly OfferGroup<ElementType>[] {
  const widgets = addable.filter(it => !isItem(it));
  return [
    offerGroup('Into this', addable.filter(isItem).map(offered)),
    offerGroup('Recent', recentAmong(widgets.map(offered), recent)),
    ...ELEMENT_FAMILIES.map(({ name, label }) =>
      offerGroup(label, widgets.filter(it => it.family === name).map(offered)),
    ),
  ];
}
