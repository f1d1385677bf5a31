import {
  addWidget,
  conversionsOf,
  elementNamed,
  firstWordsIn,
  type Id,
  isItem,
  type Site,
  type WidgetRecord,
} from '@cove/core';
import { RadioGroup } from 'radix-ui';
import { useMemo } from 'react';
import { useSession } from '../session/context.tsx';
import { Button } from '../ui/Button.tsx';
import { drawnAlone } from './looks.ts';
import { PictureSheet } from './PictureSheet.tsx';
import { placeInWords } from './place.ts';
import type { Adding } from './useAdding.ts';

const KEYS: readonly (readonly [string, string])[] = [
  ['Enter', 'Add'],
  ['Shift Enter', 'Add and keep the library open'],
  ['← ↑ ↓ →', 'Choose a widget'],
  ['Tab', 'Choose its look'],
  ['Esc', 'Close'],
];

const many = (count: number, one: string, several: string): string =>
  `${count} ${count === 1 ? one : several}`;

/** What a new one asks its writer for. */
function asksFor(made: readonly WidgetRecord[]): string {
  const texts = made.reduce((sum, it) => sum + firstWordsIn(it).length, 0);
  const pictures = made.reduce(
    (sum, { widget, content }) =>
      sum +
      Object.entries(elementNamed(widget).content).filter(
        ([name, { type }]) =>
          type === 'asset' && content[name] === null && (elementNamed(widget).sample.alt ?? '') !== '',
      ).length,
    0,
  );
  const words = [
    ...(texts > 0 ? [many(texts, 'text to write', 'texts to write')] : []),
    ...(pictures > 0 ? [many(pictures, 'picture to choose', 'pictures to choose')] : []),
  ];
  return words.length === 0 ? 'Nothing to rewrite' : words.join(', ');
}

/** Where a widget is used, counted. */
function usesOf(site: Site, widget: string): string {
  let count = 0;
  for (const it of site.kinds.widget.values()) if (it.widget === widget) count++;
  return count === 0 ? 'Not yet on this site' : many(count, 'time on this site', 'times on this site');
}

/** What is highlighted in the library, before it is on the page: as it would look, where it goes, what it asks for. */
export function Preview({ site, page, adding }: { site: Site; page: Id; adding: Adding }) {
  const session = useSession();
  const { drawnName, place, looks, look, scheme, drawnOn } = adding;
  const element = drawnName === null ? null : elementNamed(drawnName);
  const made = useMemo(() => {
    if (!element || !place) return [];
    const { edits } = addWidget(site, place.parent, place.index, element.name);
    return edits.flatMap(edit => (edit.op === 'put' && edit.record.kind === 'widget' ? [edit.record] : []));
  }, [site, element, place]);
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

  if (!element)
    return (
      <aside data-pane aria-label="Not added yet" className="bg-paper p-4 text-muted">
        Type another word, or press Escape to go back to the page.
      </aside>
    );
  const others = conversionsOf(element.name).map(it => elementNamed(it.to).label);
  const facts: readonly (readonly [string, string])[] = [
    ['Goes in', place ? placeInWords(site, place) : 'Nowhere here: select something that it can stand in'],
    ['Starts with', asksFor(made)],
    ['Style', 'All from the guide'],
    ['Used', usesOf(site, element.name)],
    ...(others.length > 0 ? ([['Turns into', others.join(', ')]] as const) : []),
  ];
  return (
    <aside
      data-pane
      aria-label="Not added yet"
      className="thin-scroll flex min-h-0 flex-col overflow-auto bg-paper"
    >
      <h2 className="px-4 py-3">
        <span className="font-semibold">{element.label}</span>{' '}
        <span className="text-muted">not added yet</span>
      </h2>
      <PictureSheet surface={{ site: drawnOn, page, scheme }} pictures={pictures} className="px-4">
        <div data-picture="preview" className="mx-4 h-[180px] border border-hair" />
        {looks.length > 0 && (
          <div className="px-4 pt-3">
            <h3 className="label-line pb-1" id="first-look">
              Look
            </h3>
            <RadioGroup.Root
              data-looks
              aria-labelledby="first-look"
              value={look ?? 'none'}
              onValueChange={to => adding.chooseLook(to === 'none' ? null : to)}
              className="grid grid-cols-3 gap-2"
              onKeyDown={event => {
                if (event.key === 'Enter') {
                  event.preventDefault();
                  adding.add(undefined, { more: event.shiftKey });
                } else if (event.key === 'Escape') adding.close();
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
                    onFocus={() => adding.chooseLook(variant)}
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
      <dl className="mt-3 grid grid-cols-[84px_minmax(0,1fr)] gap-y-1 border-t border-hair px-4 py-3">
        {facts.map(([name, words]) => (
          <div key={name} className="contents">
            <dt className="text-muted">{name}</dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
      <div className="flex gap-2 px-4">
        <Button kind="main" disabled={!place} onClick={() => adding.add()}>
          Add {isItem(element) ? 'it' : element.label.toLowerCase()}
        </Button>
        <Button kind="line" onClick={adding.close}>
          Cancel
        </Button>
      </div>
      <dl className="mt-auto grid grid-cols-[84px_minmax(0,1fr)] gap-y-1.5 border-t border-hair px-4 py-3">
        {KEYS.map(([keys, does]) => (
          <div key={keys} className="contents">
            <dt>
              <kbd className="rounded-sm border border-hair px-1 font-mono text-[11px]">{keys}</kbd>
            </dt>
            <dd className="text-muted">{does}</dd>
          </div>
        ))}
      </dl>
    </aside>
  );
}
