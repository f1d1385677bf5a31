import {
  applyChange,
  type ComparedIncoming,
  type ComparedItem,
  type ComparedScheme,
  type Id,
  literalOf,
  NO_REBINDS,
  printTyped,
  type Site,
  type TokenRecord,
  takeIncoming,
} from '@cove/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useMemo, useRef } from 'react';
import { DrawnValue } from '../../tokens/picker/DrawnValue.tsx';
import { literalText } from '../../tokens/picker/endOf.ts';

const ROW = 26;
const LONGEST_BAR = 64;

type Shown = 'all' | 'new' | 'changed' | 'same' | 'missing';
type Row =
  | { type: 'group'; name: string; ids: readonly Id[] }
  | { type: 'item'; item: ComparedItem }
  | { type: 'scheme'; compared: ComparedScheme }
  | { type: 'missing'; token: TokenRecord };

const WORDS = { new: 'New', changed: 'Changed', same: 'Same' } as const;
const groupOf = ({ record }: ComparedItem): string =>
  record.kind === 'token' ? record.group : record.kind === 'textStyle' ? 'Text styles' : 'Presets';

function rowsOf(compared: ComparedIncoming, view: Shown): Row[] {
  if (view === 'missing') return compared.missing.map(token => ({ type: 'missing', token }));
  const groups = new Map<string, ComparedItem[]>();
  for (const item of compared.items) {
    if (view !== 'all' && item.state !== view) continue;
    const list = groups.get(groupOf(item));
    if (list) list.push(item);
    else groups.set(groupOf(item), [item]);
  }
  const schemes = compared.schemes.filter(it => view === 'all' || it.state === view);
  const ofSchemes: Row[] =
    schemes.length === 0
      ? []
      : [
          {
            type: 'group',
            name: 'Schemes',
            ids: schemes.flatMap(it => (it.state === 'same' ? [] : [it.scheme.id])),
          },
          ...schemes.map(it => ({ type: 'scheme', compared: it }) as const),
        ];
  const ofRecords = [...groups].flatMap(([name, items]): Row[] => [
    { type: 'group', name, ids: items.flatMap(it => (it.state === 'same' ? [] : [it.record.id])) },
    ...items.map(item => ({ type: 'item', item }) as const),
  ]);
  return [...ofRecords, ...ofSchemes];
}

/** Everything that was read beside what the guide has, drawn, to be taken group by group or one by one. */
export function IncomingList({
  site,
  compared,
  view,
  left,
  onLeave,
}: {
  site: Site;
  compared: ComparedIncoming;
  view: Shown;
  /** Ids of what is not to be taken. */
  left: ReadonlySet<Id>;
  onLeave(ids: ReadonlySet<Id>): void;
}) {
  const scroller = useRef<HTMLDivElement>(null);
  const rows = useMemo(() => rowsOf(compared, view), [compared, view]);
  /** The guide as it would be with all of it, so that everything can be drawn. */
  const next = useMemo(() => {
    const applied = applyChange(site, { edits: takeIncoming(site, compared).edits });
    return applied.ok ? applied.value.site : site;
  }, [site, compared]);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 10,
  });
  const take = (ids: readonly Id[], taken: boolean) => {
    const now = new Set(left);
    for (const id of ids)
      if (taken) now.delete(id);
      else now.add(id);
    onLeave(now);
  };
  return (
    <div ref={scroller} className="thin-scroll h-[min(52vh,460px)] overflow-auto border-y border-hair">
      {rows.length === 0 && <p className="py-3 text-muted">Nothing of this kind.</p>}
      <ul aria-label="Tokens found" className="relative" style={{ height: virtual.getTotalSize() }}>
        {virtual.getVirtualItems().map(({ index, start }) => {
          const row = rows[index];
          return (
            row && (
              <li
                key={index}
                className="absolute inset-x-0 flex items-center gap-2 pr-2"
                style={{ height: ROW, transform: `translateY(${start}px)` }}
              >
                {row.type === 'group' ? (
                  <GroupRow row={row} left={left} onTake={take} />
                ) : row.type === 'item' ? (
                  <ItemRow
                    item={row.item}
                    now={site}
                    next={next}
                    taken={!left.has(row.item.record.id)}
                    onTake={taken => take([row.item.record.id], taken)}
                  />
                ) : row.type === 'scheme' ? (
                  <SchemeRow
                    compared={row.compared}
                    next={next}
                    taken={!left.has(row.compared.scheme.id)}
                    onTake={taken => take([row.compared.scheme.id], taken)}
                  />
                ) : (
                  <Drawing site={site} name={`${row.token.group} › ${row.token.name}`} token={row.token} />
                )}
              </li>
            )
          );
        })}
      </ul>
    </div>
  );
}

function GroupRow({
  row: { name, ids },
  left,
  onTake,
}: {
  row: Row & { type: 'group' };
  left: ReadonlySet<Id>;
  onTake(ids: readonly Id[], taken: boolean): void;
}) {
  const taken = ids.filter(id => !left.has(id)).length;
  return (
    <label className="flex w-full items-center gap-2 border-b border-hair font-semibold">
      <input
        type="checkbox"
        className="accent-teal"
        ref={element => {
          if (element) element.indeterminate = taken > 0 && taken < ids.length;
        }}
        checked={ids.length > 0 && taken === ids.length}
        disabled={ids.length === 0}
        onChange={event => onTake(ids, event.target.checked)}
      />
      {name}
      <span className="font-normal text-muted">
        {ids.length === 0 ? 'nothing new' : `${taken} of ${ids.length}`}
      </span>
    </label>
  );
}

function ItemRow({
  item: { record, state, there, becomes, place, inferred, name, uses },
  now,
  next,
  taken,
  onTake,
}: {
  item: ComparedItem;
  now: Site;
  next: Site;
  taken: boolean;
  onTake(taken: boolean): void;
}) {
  const isToken = becomes.kind === 'token';
  return (
    <>
      <label className="flex min-w-0 flex-1 items-center gap-2 pl-4" title={name}>
        <input
          type="checkbox"
          className="accent-teal"
          checked={taken && state !== 'same'}
          disabled={state === 'same'}
          onChange={event => onTake(event.target.checked)}
        />
        {isToken ? (
          <Drawing
            site={next}
            name={record.name}
            token={becomes}
            was={state === 'changed' && there?.kind === 'token' ? { site: now, token: there } : null}
          />
        ) : (
          <>
            <span className="truncate">{record.name}</span>
            <span className="ml-auto font-mono text-[11px] text-muted">
              {Object.keys(becomes.styles).length} values
            </span>
          </>
        )}
      </label>
      {uses && (
        <span className="w-16 text-right text-small text-muted">
          {uses.count} use{uses.count === 1 ? '' : 's'}
        </span>
      )}
      {inferred && (
        <span
          className="text-small text-muted"
          title="Its source gives no type; this one was worked out from its value"
        >
          worked out
        </span>
      )}
      <State state={state} />
      {place && (
        <span className="w-28 truncate text-right font-mono text-[11px] text-muted" title={place.file}>
          {place.file === '' ? 'line ' : `${place.file.split('/').at(-1)}:`}
          {place.line}
        </span>
      )}
    </>
  );
}

/** Colours of a scheme that are drawn. */
const DRAWN = 8;

function SchemeRow({
  compared: { scheme, there, state },
  next,
  taken,
  onTake,
}: {
  compared: ComparedScheme;
  next: Site;
  taken: boolean;
  onTake(taken: boolean): void;
}) {
  const made =
    next.kinds.scheme.get(there?.id ?? scheme.id) ??
    [...next.kinds.scheme.values()].find(it => it.name === scheme.name);
  const colors = [
    ...new Set(
      (['surface', 'text', 'line', 'accent', 'mainFill', 'link'] as const).flatMap(role => {
        const bound = made?.roles[role];
        return bound?.type === 'token' ? [bound.token] : [];
      }),
    ),
  ].slice(0, DRAWN);
  return (
    <>
      <label className="flex min-w-0 flex-1 items-center gap-2 pl-4">
        <input
          type="checkbox"
          className="accent-teal"
          checked={taken && state !== 'same'}
          disabled={state === 'same'}
          onChange={event => onTake(event.target.checked)}
        />
        <span className="flex items-center">
          {colors.map(id => {
            const token = next.kinds.token.get(id);
            return (
              token && (
                <DrawnValue key={id} site={next} end={endOf(next, token)} use={null} most={LONGEST_BAR} />
              )
            );
          })}
        </span>
        <span className="truncate">{scheme.name}</span>
        <span className="ml-auto font-mono text-[11px] text-muted">
          {scheme.roles.length > 0 ? `${scheme.roles.length} roles` : `${scheme.colors.length} colours`}
        </span>
      </label>
      <State state={state} />
      <span className="w-28" />
    </>
  );
}

const State = ({ state }: { state: ComparedItem['state'] }) => (
  <span
    className={`w-16 text-small ${state === 'changed' ? 'text-madder' : state === 'new' ? 'text-teal' : 'text-muted'}`}
  >
    {WORDS[state]}
  </span>
);

const endOf = (site: Site, token: TokenRecord) => literalOf(site.kinds.token, NO_REBINDS, token.value);

function Drawing({
  site,
  name,
  token,
  was = null,
}: {
  site: Site;
  name: string;
  token: TokenRecord;
  /** What it is now, where it would become another. */
  was?: { site: Site; token: TokenRecord } | null;
}) {
  const end = endOf(site, token);
  const before = was && endOf(was.site, was.token);
  const isAlias = token.value.type === 'token' || token.value.type === 'derived';
  return (
    <>
      <span className="flex w-9 shrink-0 items-center overflow-hidden">
        <DrawnValue site={site} end={end} use={null} most={LONGEST_BAR} />
      </span>
      <span className="truncate">{name}</span>
      {isAlias && (
        <span className="truncate font-mono text-[11px] text-muted">
          {printTyped(token.value, site.kinds.token)}
        </span>
      )}
      <span className="ml-auto flex shrink-0 items-center gap-1.5 font-mono text-[11px] text-muted">
        {was && before && (
          <>
            <DrawnValue site={was.site} end={before} use={null} most={LONGEST_BAR} longest={16} />
            {literalText(before)}
            <span aria-hidden>→</span>
            <span className="sr-only">becomes</span>
          </>
        )}
        {end ? literalText(end) : ''}
      </span>
    </>
  );
}
