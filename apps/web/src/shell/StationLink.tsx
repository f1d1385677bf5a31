import { useId } from 'react';
import { NavLink } from 'react-router';
import type { Station, StationCount } from '../stations/station.ts';

/** What has got so many is told as that. */
const MOST = 99;

/** A station in the bar, with what is told beside its name. */
export function StationLink({ station, to }: { station: Station; to: string }) {
  const { useCount } = station;
  return useCount ? (
    <CountedLink station={station} to={to} useCount={useCount} />
  ) : (
    <NamedLink station={station} to={to} badge={null} />
  );
}

function CountedLink({
  station,
  to,
  useCount,
}: {
  station: Station;
  to: string;
  useCount(): StationCount | null;
}) {
  return <NamedLink station={station} to={to} badge={useCount()} />;
}

function NamedLink({ station, to, badge }: { station: Station; to: string; badge: StationCount | null }) {
  const id = useId();
  return (
    <>
      <NavLink
        to={to}
        aria-describedby={badge ? id : undefined}
        className="group flex h-full flex-col items-center justify-between pt-2.5 text-muted hover:text-ink aria-[current=page]:text-ink"
      >
        <span className="text-[14px] group-aria-[current=page]:font-semibold">{station.label}</span>
        <span className="relative z-10 mb-1.5 size-2 rounded-full border border-hair bg-paper group-aria-[current=page]:border-teal group-aria-[current=page]:bg-teal" />
      </NavLink>
      {badge && (
        <span
          id={id}
          title={badge.words}
          className="absolute top-2 left-full ml-1 font-mono text-[11px] text-muted"
        >
          <span aria-hidden>{badge.count > MOST ? `${MOST}+` : badge.count}</span>
          <span className="sr-only">{badge.words}</span>
        </span>
      )}
    </>
  );
}
