import {
  addWidget,
  conversionsOf,
  type ElementType,
  elementNamed,
  type Id,
  isItem,
  type Site,
} from '@cove/core';
import { RadioGroup } from 'radix-ui';
import { useMemo } from 'react';
import { useSession } from '../../session/context.tsx';
import { asksFor } from '../asksFor.ts';
import { NotAdded, NothingToAdd } from '../NotAdded.tsx';
import { PictureSheet } from '../PictureSheet.tsx';
import { type Place, placeInWords } from '../place.ts';
import { drawnAlone, type FirstLook } from './looks.ts';

const KEYS: readonly (readonly [string, string])[] = [
  ['Enter', 'Add'],
  ['Shift Enter', 'Add and keep the library open'],
  ['← ↑ ↓ →', 'Choose a widget'],
  ['Tab', 'Choose its look'],
  ['Esc', 'Close'],
];

/** Where a widget is used, counted. */
function usesOf(site: Site, widget: string): string {
  let count = 0;
  for (const it of site.kinds.widget.values()) if (it.widget === widget) count++;
  return count === 0 ? 'Not yet on this site' : `${count} ${count === 1 ? 'time' : 'times'} on this site`;
}

interface Props {
  into: HTMLElement | null;
  site: Site;
  page: Id;
  /** What is highlighted; null for nothing. */
  element: ElementType | null;
  place: Place | null;
  scheme: Id;
  /** The site with all looks in it that pictures are drawn in. */
  drawnOn: Site;
  looks: readonly FirstLook[];
  look: Id | null;
  onLook(to: Id | null): void;
  onAdd(more: boolean): void;
  onClose(): void;
}

/** The widget that is highlighted in the library, before it is on the page. */
export function WidgetPreview(props: Props) {
  const { into, site, page, element, place, scheme, drawnOn, looks, look, onLook, onAdd, onClose } = props;
  const session = useSession();
  const asks = useMemo(
    () => (element && place ? asksFor(addWidget(site, place.parent, place.index, element.name).edits) : ''),
    [site, element, place],
  );
  const pictures = useMemo(() => {
    if (!element) return [];
    const draw = (id: string, variant: Id | null, zoom: number) => {
      const axis = looks[0]?.axis;
      const variants = variant === null || axis === undefined ? {} : { [axis]: variant };
      return { id, markup: drawnAlone(drawnOn, element, variants, scheme, session.id), zoom, pad: 10 };
    };
    const large = element.holds !== null || element.family === 'picture' ? 0.5 : 0.8;
    return [
      draw('preview', look, large),
      ...looks.map(it => draw(it.variant ?? 'none', it.variant, large * 0.38)),
    ];
  }, [element, looks, look, drawnOn, scheme, session]);

  if (!element) return <NothingToAdd into={into} />;
  const others = conversionsOf(element.name).map(it => elementNamed(it.to).label);
  return (
    <NotAdded
      into={into}
      label={element.label}
      facts={[
        [
          'Goes in',
          place ? placeInWords(site, place) : 'Nowhere here: select something that it can stand in',
        ],
        ['Starts with', asks],
        ['Style', 'All from the guide'],
        ['Used', usesOf(site, element.name)],
        ...(others.length > 0 ? ([['Turns into', others.join(', ')]] as const) : []),
      ]}
      action={`Add ${isItem(element) ? 'it' : element.label.toLowerCase()}`}
      onAdd={place && (() => onAdd(false))}
      onClose={onClose}
      keys={KEYS}
    >
      <PictureSheet surface={{ site: drawnOn, page, scheme }} pictures={pictures} className="px-4">
        <div data-picture="preview" className="mx-4 h-[180px] border border-hair" />
        {looks.length > 0 && (
          <div className="px-4 pt-3">
            <h3 className="label-line pb-1" id="first-look">
              Look
            </h3>
            <RadioGroup.Root
              data-choices
              aria-labelledby="first-look"
              value={look ?? 'none'}
              onValueChange={to => onLook(to === 'none' ? null : to)}
              className="grid grid-cols-3 gap-2"
              onKeyDown={event => {
                if (event.key === 'Enter') {
                  event.preventDefault();
                  onAdd(event.shiftKey);
                } else if (event.key === 'Escape') onClose();
              }}
            >
              {looks.map(({ variant, label }) => {
                const id = variant ?? 'none';
                return (
                  <RadioGroup.Item
                    key={id}
                    value={id}
                    aria-label={label}
                    className="group min-w-0 text-left"
                    onFocus={() => onLook(variant)}
                  >
                    <span
                      data-picture={id}
                      className="block h-[48px] border border-hair group-data-[state=checked]:border-teal group-data-[state=checked]:outline group-data-[state=checked]:outline-teal"
                    />
                    <span className="block truncate text-small group-data-[state=checked]:font-semibold group-data-[state=checked]:text-teal">
                      {label}
                    </span>
                  </RadioGroup.Item>
                );
              })}
            </RadioGroup.Root>
          </div>
        )}
      </PictureSheet>
    </NotAdded>
  );
}
