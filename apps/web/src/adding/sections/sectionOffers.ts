import {
  type Area,
  addSection,
  addToArea,
  type Clip,
  elementNamed,
  type Id,
  type LaidInArea,
  type Made,
  pasteThings,
  type SharedArea,
  type Site,
} from '@cove/core';
import {
  createSection,
  PURPOSES,
  type Purpose,
  SECTION_STARTERS,
  type SectionStarter,
  sharedAreaOf,
} from '@cove/core/starters';
import type { KeptSection } from '../../sections/useKeptSections.ts';
import { type Offered, type OfferGroup, offerGroup } from '../offers.ts';

/** A section that can be laid on a page or in what pages share. */
export interface SectionToAdd {
  /** The area that it is laid in, shared by all pages; null for a page. */
  area: SharedArea | null;
  /** It is one of one's own, which can be forgotten. */
  own: boolean;
  lay(now: Site, page: Id, index: number, how: LaidInArea): Made | null;
}

/** Headers and footers are wide and low. */
const LOW = { width: 300, height: 86 };

const NAMES: Record<Purpose, string> = {
  opening: 'Opening',
  content: 'Content',
  features: 'Features',
  proof: 'Proof',
  action: 'Call to action',
  contact: 'Contact',
  header: 'Header',
  footer: 'Footer',
};

/** What people call the widgets in a section: what they look for in the section itself. */
function wordsOf(widgets: Iterable<string>): string {
  return [...new Set(widgets)]
    .map(elementNamed)
    .map(({ label, words = '' }) => `${label} ${words}`)
    .join(' ');
}
const widgetsIn = (sketches: SectionStarter['holds']): string[] =>
  sketches.flatMap(({ widget, holds = [] }) => [widget, ...widgetsIn(holds)]);

const ready = (starter: SectionStarter): Offered<SectionToAdd> => {
  const area = sharedAreaOf(starter.purpose);
  return {
    id: starter.id,
    label: starter.label,
    about: '',
    words: `${NAMES[starter.purpose]} ${wordsOf(widgetsIn(starter.holds))}`,
    thing: {
      area,
      own: false,
      lay: (now, page, index, how) =>
        area === null
          ? createSection(now, page, index, starter)
          : addToArea(now, page, area, how, (parent, at) => createSection(now, parent, at, starter, area)),
    },
  };
};

/** The area that a kept section stood in. */
const areaOfClip = ({ things }: Clip): Area => {
  const root = things[0]?.[0];
  return root?.kind === 'section' ? root.area : 'main';
};
const own = (id: string, name: string, clip: Clip): Offered<SectionToAdd> => {
  const stood = areaOfClip(clip);
  const area = stood === 'main' ? null : stood;
  const paste = (now: Site, parent: Id, index: number): Made | null => {
    const pasted = pasteThings(now, clip, parent, index, 'tie', stood);
    const [first] = pasted.ok ? pasted.value.ids : [];
    return pasted.ok && first !== undefined ? { edits: pasted.value.edits, id: first } : null;
  };
  const widgets = clip.things.flat().flatMap(it => (it.kind === 'widget' ? [it.widget] : []));
  return {
    id,
    label: name,
    about: '',
    words: `own kept ${wordsOf(widgets)}`,
    thing: {
      area,
      own: true,
      lay: (now, page, index, how) =>
        area === null
          ? paste(now, page, index)
          : addToArea(now, page, area, how, (parent, at) => paste(now, parent, at)),
    },
  };
};

const EMPTY: Offered<SectionToAdd> = {
  id: 'empty',
  label: 'Empty section',
  about: '',
  words: 'blank plain',
  thing: { area: null, own: false, lay: (now, page, index) => addSection(now, page, index) },
};

/** The sections that can be added, by what they are for, one’s own first. */
export function sectionOffers(kept: readonly KeptSection[]): readonly OfferGroup<SectionToAdd>[] {
  const owned = kept.flatMap(({ id, name, clip }) => (clip ? [own(id, name, clip)] : []));
  return [
    offerGroup('Your own', owned),
    ...PURPOSES.map(purpose =>
      offerGroup(
        NAMES[purpose],
        SECTION_STARTERS.filter(it => it.purpose === purpose).map(ready),
        sharedAreaOf(purpose) === null ? undefined : LOW,
      ),
    ),
    offerGroup('Empty', [EMPTY]),
  ];
}
