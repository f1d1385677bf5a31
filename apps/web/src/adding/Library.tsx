import { type Id, isItem, type Site } from '@cove/core';
import { Search } from 'lucide-react';
import { type KeyboardEvent, useEffect, useMemo, useRef } from 'react';
import { useSession } from '../session/context.tsx';
import { Button } from '../ui/Button.tsx';
import { drawnAlone } from './looks.ts';
import type { Offer } from './offers.ts';
import { PictureSheet } from './PictureSheet.tsx';
import type { Adding } from './useAdding.ts';

const ID = 'library';
const optionId = (offer: Offer) => `${ID}-${offer.key.replace(' ', '-')}`;
/** What holds others, or shows pictures, is drawn smaller, so that more of it is seen. */
const zoomOf = ({ element: { holds, family } }: Offer): number =>
  holds !== null || family === 'picture' || family === 'turns' ? 0.26 : 0.42;

/** The option nearest to one, a line above or below it, by where they stand. */
function inNextLine(from: Element, all: readonly Element[], down: boolean): Element | undefined {
  const at = from.getBoundingClientRect();
  const beyond = all
    .map(it => ({ it, box: it.getBoundingClientRect() }))
    .filter(({ box }) => (down ? box.top > at.top + 4 : box.top < at.top - 4));
  const line = down ? Math.min(...beyond.map(it => it.box.top)) : Math.max(...beyond.map(it => it.box.top));
  return beyond
    .filter(({ box }) => Math.abs(box.top - line) < 4)
    .sort((a, b) => Math.abs(a.box.left - at.left) - Math.abs(b.box.left - at.left))[0]?.it;
}

/** All widgets, drawn in the site’s guide and sorted by what they are for, in the gap where one is to be added. */
export function Library({
  site,
  page,
  adding,
  onSection,
}: {
  site: Site;
  page: Id;
  adding: Adding;
  /** Asks for a section instead; null where none may be added. */
  onSection: (() => void) | null;
}) {
  const session = useSession();
  const field = useRef<HTMLInputElement>(null);
  const list = useRef<HTMLDivElement>(null);
  const { groups, offers, offer, query, scheme } = adding;
  useEffect(() => field.current?.focus(), []);
  useEffect(() => {
    if (offer) document.getElementById(optionId(offer))?.scrollIntoView({ block: 'nearest' });
  }, [offer]);

  const pictures = useMemo(
    () =>
      offers.map(it => ({
        id: it.key,
        markup: drawnAlone(site, it.element, {}, scheme, session.id),
        zoom: zoomOf(it),
        pad: 8,
      })),
    [site, offers, scheme, session],
  );

  const move = (event: KeyboardEvent, by: number | 'up' | 'down') => {
    event.preventDefault();
    const at = offers.findIndex(it => it.key === offer?.key);
    if (typeof by === 'number') {
      const next = offers[at + by];
      if (next) adding.highlight(next);
      return;
    }
    const options = [...(list.current?.querySelectorAll('[role=option]') ?? [])];
    const from = options[at];
    const to = from && inNextLine(from, options, by === 'down');
    const next = to && offers[options.indexOf(to)];
    if (next) adding.highlight(next);
  };
  const onKey = (event: KeyboardEvent<HTMLInputElement>) => {
    const { key, shiftKey } = event;
    // In words that are typed, these keys move among the letters.
    const typing = query !== '' && !event.altKey;
    if (key === 'Enter') {
      event.preventDefault();
      adding.add(offer, { more: shiftKey });
    } else if (key === 'Escape') {
      event.preventDefault();
      adding.close();
    } else if (key === 'ArrowDown') move(event, 'down');
    else if (key === 'ArrowUp') move(event, 'up');
    else if (key === 'ArrowRight' && !typing) move(event, 1);
    else if (key === 'ArrowLeft' && !typing) move(event, -1);
    else if (key === 'Tab' && !shiftKey) {
      const look = document.querySelector<HTMLElement>('[data-looks] [aria-checked=true]');
      if (!look) return;
      event.preventDefault();
      look.focus();
    }
  };

  return (
    <section aria-label="Library" className="flex h-full min-h-0 flex-col border-y border-muted bg-paper">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 px-4 pt-2">
        <label className="order-first flex h-8 w-72 items-center gap-2 rounded border border-hair px-2 focus-within:border-teal">
          <Search size={14} aria-hidden="true" className="shrink-0 text-muted" />
          <span className="sr-only">Find a widget</span>
          <input
            ref={field}
            role="combobox"
            aria-expanded="true"
            aria-controls={ID}
            aria-autocomplete="list"
            aria-activedescendant={offer ? optionId(offer) : undefined}
            value={query}
            placeholder="Find a widget: “faq”, “photo”, “price”"
            onChange={event => adding.setQuery(event.target.value)}
            onKeyDown={onKey}
            className="min-w-0 flex-1 bg-transparent outline-none"
          />
        </label>
        <span className="ml-auto flex gap-4">
          {onSection && (
            <Button kind="link" onClick={onSection}>
              Add a section instead
            </Button>
          )}
          <Button kind="link" onClick={adding.close}>
            Close
          </Button>
        </span>
      </div>
      {query === '' && (
        <nav aria-label="Purposes" className="flex flex-wrap gap-x-5 border-b border-hair px-4 pb-1">
          {groups.map(({ label, offers: some }) => (
            <button
              key={label}
              type="button"
              className="h-7 hover:text-teal"
              onClick={() => {
                list.current?.querySelector(`[data-group="${CSS.escape(label)}"]`)?.scrollIntoView();
                const [first] = some;
                if (first) adding.highlight(first);
                field.current?.focus();
              }}
            >
              {label} <span className="text-small text-muted">{label === 'Recent' ? '' : some.length}</span>
            </button>
          ))}
        </nav>
      )}
      <div className="thin-scroll min-h-0 flex-1 overflow-auto">
        <PictureSheet surface={{ site, page, scheme }} pictures={pictures}>
          <div ref={list} id={ID} role="listbox" aria-label="Widgets" className="grid gap-3 px-4 py-3">
            {groups.map(({ label, offers: some }) => (
              // biome-ignore lint/a11y/useSemanticElements: a group of options in a list (WAI-ARIA 1.2, listbox)
              <div
                key={label}
                role="group"
                aria-label={label}
                data-group={label}
                className="grid scroll-mt-2 grid-cols-[76px_minmax(0,1fr)]"
              >
                <span aria-hidden="true" className="pt-1 font-semibold">
                  {label}
                </span>
                <div className="grid grid-cols-[repeat(auto-fill,minmax(108px,1fr))] gap-x-2 gap-y-3">
                  {some.map(it => {
                    const on = it.key === offer?.key;
                    const { label: name, about = '' } = it.element;
                    return (
                      // biome-ignore lint/a11y/useKeyWithClickEvents: keys are those of the field, which has the focus
                      <div
                        key={it.key}
                        id={optionId(it)}
                        role="option"
                        tabIndex={-1}
                        aria-selected={on}
                        className="cursor-pointer"
                        onPointerDown={event => event.preventDefault()}
                        onClick={() => adding.highlight(it)}
                        onDoubleClick={() => adding.add(it)}
                      >
                        <div
                          data-picture={it.key}
                          className={`h-[54px] border ${on ? 'border-teal outline-2 outline-teal' : 'border-hair'}`}
                        />
                        <div data-called className={`truncate pt-0.5 font-semibold ${on ? 'text-teal' : ''}`}>
                          {name}
                        </div>
                        {!isItem(it.element) && <div className="truncate text-small text-muted">{about}</div>}
                      </div>
                    );
                  })}
                </div>
              </div>
            ))}
            {offers.length === 0 && (
              <p className="py-3 text-muted">
                {query === ''
                  ? 'Nothing can be added here.'
                  : `No widget is called “${query.trim()}”. Try what it is for, such as “questions”.`}
              </p>
            )}
          </div>
        </PictureSheet>
      </div>
    </section>
  );
}
