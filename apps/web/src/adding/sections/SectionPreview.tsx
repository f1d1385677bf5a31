import type { HtmlElement, Id, LaidInArea, Site } from '@cove/core';
import { useMemo } from 'react';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { asksFor } from '../asksFor.ts';
import { NotAdded, NothingToAdd } from '../NotAdded.tsx';
import type { Offer } from '../offers.ts';
import { PictureSheet, type Surface } from '../PictureSheet.tsx';
import { placeInWords } from '../place.ts';
import type { SectionToAdd } from './sectionOffers.ts';

const KEYS: readonly (readonly [string, string])[] = [
  ['Enter', 'Add'],
  ['Shift Enter', 'Add and keep the library open'],
  ['← ↑ ↓ →', 'Choose a section'],
  ['Esc', 'Close'],
];

interface Props {
  into: HTMLElement | null;
  site: Site;
  page: Id;
  index: number;
  /** What is highlighted; null for nothing. */
  offer: Offer<SectionToAdd> | null;
  surface: Surface;
  markup: HtmlElement | null;
  /** How one is laid that stands in what pages share. */
  how: LaidInArea;
  onHow(how: LaidInArea): void;
  onAdd(): void;
  onForget(): void;
  onClose(): void;
}

/** The section that is highlighted in the library, before it is on the page. */
export function SectionPreview(props: Props) {
  const { into, site, page, index, offer, surface, markup, how, onHow, onAdd, onForget, onClose } = props;
  const made = useMemo(
    () => offer?.thing.lay(site, page, index, how) ?? null,
    [site, page, index, offer, how],
  );
  const pictures = useMemo(() => [{ id: 'preview', markup, zoom: 'window' as const, pad: 0 }], [markup]);
  if (!offer) return <NothingToAdd into={into} />;
  const { area, own } = offer.thing;
  return (
    <NotAdded
      into={into}
      label={offer.label}
      facts={[
        [
          'Goes in',
          area === null
            ? placeInWords(site, { parent: page, index })
            : `The ${area}, on every page that has one`,
        ],
        ['Starts with', made ? asksFor(made.edits) : 'Nothing: it cannot be laid here'],
        ['Style', own ? 'What it was kept with, and the guide' : 'All from the guide'],
      ]}
      action="Add section"
      onAdd={made && onAdd}
      onClose={onClose}
      keys={KEYS}
      more={
        own && (
          <Button kind="link" aria-label={`Forget ${offer.label}`} onClick={onForget}>
            Forget
          </Button>
        )
      }
    >
      <PictureSheet surface={surface} pictures={pictures} className="px-4">
        <div data-picture="preview" className="mx-4 h-[230px] border border-hair" />
      </PictureSheet>
      {area !== null && (
        <div data-choices className="px-4 pt-3">
          <h3 className="label-line pb-1">Where it goes</h3>
          <Choice<LaidInArea>
            label="Where it goes"
            value={how}
            options={[
              { value: 'instead', label: `Replace the ${area}` },
              { value: 'below', label: `Below what the ${area} holds` },
            ]}
            onChange={onHow}
          />
        </div>
      )}
    </NotAdded>
  );
}
