import type { Noticed } from '@cove/core/incoming';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useMemo, useRef } from 'react';

const ROW = 46;

/** What was noticed while reading: first what could not be read, with what would do in its place. */
export function NoticedList({ findings }: { findings: readonly Noticed[] }) {
  const scroller = useRef<HTMLDivElement>(null);
  const rows = useMemo(
    () => [...findings.filter(it => it.kind === 'unread'), ...findings.filter(it => it.kind === 'read')],
    [findings],
  );
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 6,
  });
  return (
    <div ref={scroller} className="thin-scroll h-[min(52vh,460px)] overflow-auto border-y border-hair">
      <ul aria-label="Noticed while reading" className="relative" style={{ height: virtual.getTotalSize() }}>
        {virtual.getVirtualItems().map(({ index, start }) => {
          const it = rows[index];
          return (
            it && (
              <li
                key={index}
                className="absolute inset-x-0 grid content-center border-b border-hair pr-2"
                style={{ height: ROW, transform: `translateY(${start}px)` }}
              >
                <p className="flex gap-3">
                  <span className="truncate" title={it.message}>
                    {it.name !== '' && <span className="font-semibold">{it.name} </span>}
                    {it.message}
                  </span>
                  {it.place && (
                    <span className="ml-auto shrink-0 font-mono text-[11px] text-muted">
                      {it.place.file !== '' && `${it.place.file.split('/').at(-1)}, `}line {it.place.line}
                    </span>
                  )}
                </p>
                <p className="flex gap-3 text-small text-muted">
                  <span className={it.kind === 'unread' ? 'text-madder' : ''}>
                    {it.kind === 'unread' ? 'Not read' : 'Read all the same'}
                  </span>
                  {it.fix !== undefined && (
                    <span className="truncate" title={it.fix}>
                      Write <code className="font-mono text-[11px]">{it.fix}</code>
                    </span>
                  )}
                </p>
              </li>
            )
          );
        })}
      </ul>
    </div>
  );
}
