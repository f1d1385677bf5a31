import { Search } from 'lucide-react';
import { type KeyboardEvent, type ReactNode, useEffect, useRef } from 'react';
import { Button } from '../ui/Button.tsx';
import type { Offer, OfferSize } from './offers.ts';
import { type Picture, PictureSheet, type Surface } from './PictureSheet.tsx';
import type { LibraryState } from './useLibrary.ts';

const ID = 'library';
const optionId = ({ key }: Offer<unknown>) => `${ID}-${key.replaceAll(' ', '-')}`;

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

interface Props<Thing> {
  library: LibraryState<Thing>;
  /** What it offers: one of it, many of it. */
  noun: string;
  plural: string;
  /** Words that find something, and one for whoever finds nothing. */
  examples: readonly string[];
  surface: Surface;
  /** Each offer as it would look, by its key. */
  pictures: readonly Picture[];
  size: OfferSize;
  onAdd(offer: Offer<Thing> | null, how?: { more: boolean }): void;
  onClose(): void;
  /** Links beside the field. */
  links?: ReactNode;
  /** Stands below all that is offered. */
  foot?: ReactNode;
}

/** All that can be added, drawn in the site’s guide and sorted by what it is for, in the place where it is to be added. */
export function Library<Thing>({
  library,
  noun,
  plural,
  examples,
  surface,
  pictures,
  size,
  onAdd,
  onClose,
  links,
  foot,
}: Props<Thing>) {
  const field = useRef<HTMLInputElement>(null);
  const list = useRef<HTMLDivElement>(null);
  const { groups, offers, offer, query } = library;
  useEffect(() => field.current?.focus(), []);
  useEffect(() => {
    if (offer) document.getElementById(optionId(offer))?.scrollIntoView({ block: 'nearest' });
  }, [offer]);

  const move = (event: KeyboardEvent, by: number | 'up' | 'down') => {
    event.preventDefault();
    const at = offers.findIndex(it => it.key === offer?.key);
    if (typeof by === 'number') {
      const next = offers[at + by];
      if (next) library.highlight(next);
      return;
    }
    const options = [...(list.current?.querySelectorAll('[role=option]') ?? [])];
    const from = options[at];
    const to = from && inNextLine(from, options, by === 'down');
    const next = to && offers[options.indexOf(to)];
    if (next) library.highlight(next);
  };
  const onKey = (event: KeyboardEvent<HTMLInputElement>) => {
    const { key, shiftKey } = event;
    // In words that are typed, these keys move among the letters.
    const typing = query !== '' && !event.altKey;
    if (key === 'Enter') {
      event.preventDefault();
      onAdd(offer, { more: shiftKey });
    } else if (key === 'Escape') {
      event.preventDefault();
      onClose();
    } else if (key === 'ArrowDown') move(event, 'down');
    else if (key === 'ArrowUp') move(event, 'up');
    else if (key === 'ArrowRight' && !typing) move(event, 1);
    else if (key === 'ArrowLeft' && !typing) move(event, -1);
    else if (key === 'Tab' && !shiftKey) {
      const choice = document.querySelector<HTMLElement>('[data-choices] :is([aria-checked=true], :checked)');
      if (!choice) return;
      event.preventDefault();
      choice.focus();
    }
  };

  return (
    <section aria-label="Library" className="flex h-full min-h-0 flex-col border-y border-muted bg-paper">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 px-4 pt-2">
        <label className="order-first flex h-8 w-[350px] items-center gap-2 rounded border border-hair px-2 focus-within:border-teal">
          <Search size={14} aria-hidden="true" className="shrink-0 text-muted" />
          <span className="sr-only">Find a {noun}</span>
          <input
            ref={field}
            role="combobox"
            aria-expanded="true"
            aria-controls={ID}
            aria-autocomplete="list"
            aria-activedescendant={offer ? optionId(offer) : undefined}
            value={query}
            placeholder={`Find a ${noun}: ${examples.map(it => `“${it}”`).join(', ')}`}
            onChange={event => library.setQuery(event.target.value)}
            onKeyDown={onKey}
            className="min-w-0 flex-1 bg-transparent outline-none"
          />
        </label>
        <span className="ml-auto flex gap-4">
          {links}
          <Button kind="link" onClick={onClose}>
            Close
          </Button>
        </span>
      </div>
      {query === '' && groups.length > 1 && (
        <nav aria-label="Purposes" className="flex flex-wrap gap-x-5 border-b border-hair px-4 pb-1">
          {groups.map(({ label, offers: some }) => (
            <button
              key={label}
              type="button"
              className="h-7 hover:text-teal"
              onClick={() => {
                list.current?.querySelector(`[data-group="${CSS.escape(label)}"]`)?.scrollIntoView();
                const [first] = some;
                if (first) library.highlight(first);
                field.current?.focus();
              }}
            >
              {label}
              <span aria-hidden="true" className="ml-1 text-small text-muted">
                {label === 'Recent' ? '' : some.length}
              </span>
            </button>
          ))}
        </nav>
      )}
      <div className="thin-scroll min-h-0 flex-1 overflow-auto">
        <PictureSheet surface={surface} pictures={pictures}>
          <div ref={list} id={ID} role="listbox" aria-label={plural} className="grid gap-3 px-4 py-3">
            {groups.map(({ label, size: { width, height } = size, offers: some }) => (
              // biome-ignore lint/a11y/useSemanticElements: a group of options in a list (WAI-ARIA 1.2, listbox)
              <div
                key={label}
                role="group"
                aria-label={label}
                data-group={label}
                className="grid scroll-mt-2 grid-cols-[76px_minmax(0,1fr)]"
              >
                <span aria-hidden="true" className="pt-1 pr-2 font-semibold">
                  {label}
                </span>
                <div
                  className="grid gap-x-2 gap-y-3"
                  style={{ gridTemplateColumns: `repeat(auto-fill, minmax(${width}px, 1fr))` }}
                >
                  {some.map(it => {
                    const on = it.key === offer?.key;
                    return (
                      // biome-ignore lint/a11y/useKeyWithClickEvents: keys are those of the field, which has the focus
                      <div
                        key={it.key}
                        id={optionId(it)}
                        role="option"
                        tabIndex={-1}
                        aria-selected={on}
                        className="min-w-0 cursor-pointer"
                        onPointerDown={event => event.preventDefault()}
                        onClick={() => library.highlight(it)}
                        onDoubleClick={() => onAdd(it)}
                      >
                        <div
                          data-picture={it.key}
                          style={{ height }}
                          className={`border ${on ? 'border-teal outline-2 outline-teal' : 'border-hair'}`}
                        />
                        <div data-called className={`truncate pt-0.5 font-semibold ${on ? 'text-teal' : ''}`}>
                          {it.label}
                        </div>
                        {it.about !== '' && <div className="truncate text-small text-muted">{it.about}</div>}
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
                  : `No ${noun} is called “${query.trim()}”. Try what it is for, such as “${examples[0]}”.`}
              </p>
            )}
          </div>
        </PictureSheet>
        {query === '' && foot}
      </div>
    </section>
  );
}
