/** Something that can be added. */
export interface Offered<Thing> {
  id: string;
  label: string;
  /** What it is, in a few words. */
  about: string;
  /** What people call such things, by which it is found. */
  words: string;
  thing: Thing;
}

/** What is offered, in one of the lines it stands in. */
export interface Offer<Thing> extends Offered<Thing> {
  /** Its own in the list: a recent one stands among its like too. */
  key: string;
}

/** How large the picture of an offer is, in px; the width is the least. */
export interface OfferSize {
  width: number;
  height: number;
}

export interface OfferGroup<Thing> {
  label: string;
  /** Where those of the group are larger or smaller than others. */
  size?: OfferSize | undefined;
  offers: readonly Offer<Thing>[];
}

export const offerGroup = <Thing>(
  label: string,
  offered: readonly Offered<Thing>[],
  size?: OfferSize,
): OfferGroup<Thing> => ({
  label,
  size,
  offers: offered.map(it => ({ ...it, key: `${label} ${it.id}` })),
});

/** Those of some that were added last, the latest first. */
export const recentAmong = <Thing>(
  offered: readonly Offered<Thing>[],
  recent: readonly string[],
): readonly Offered<Thing>[] => recent.flatMap(id => offered.filter(it => it.id === id));

const plain = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** How well words name something: its name, how its name begins, a word of it, or what people call such things; null where not. */
function rankOf({ label, about, words, id }: Offered<unknown>, wanted: string): number | null {
  const called = plain(label);
  if (called === wanted) return 0;
  if (called.startsWith(wanted)) return 1;
  if (called.split(/\s+/).some(it => it.startsWith(wanted))) return 2;
  const all = plain(`${label} ${about} ${words} ${id}`).split(/[\s,]+/);
  if (` ${all.join(' ')}`.includes(` ${wanted}`)) return 3;
  return wanted.split(/\s+/).every(word => all.some(it => it.startsWith(word))) ? 4 : null;
}

/** What words find among all that is offered, the best first and each once; all of it where nothing was typed. */
export function foundAmong<Thing>(
  groups: readonly OfferGroup<Thing>[],
  query: string,
): readonly OfferGroup<Thing>[] {
  const wanted = plain(query.trim());
  if (wanted === '') return groups.filter(it => it.offers.length > 0);
  const once = new Map(groups.flatMap(({ offers }) => offers.map(it => [it.id, it])));
  const found = [...once.values()]
    .flatMap(offer => {
      const rank = rankOf(offer, wanted);
      return rank === null ? [] : [{ offer, rank }];
    })
    .sort((a, b) => a.rank - b.rank);
  return found.length === 0
    ? []
    : [
        offerGroup(
          'Found',
          found.map(it => it.offer),
        ),
      ];
}
