import { useEffect, useId } from 'react';

/** Something that can be done where one is now. */
export interface StationAct {
  label: string;
  /** The keys for it. */
  keys?: string;
  /** Further words that find it. */
  words?: string;
  run(): void;
}

const offered = new Map<string, readonly StationAct[]>();

/** Offers acts to the palette while the component that can do them is open. */
export function useStationActs(acts: readonly StationAct[]): void {
  const id = useId();
  useEffect(() => {
    offered.set(id, acts);
    return () => {
      offered.delete(id);
    };
  }, [id, acts]);
}

/** What can be done now, as it is when the palette opens. */
export const stationActs = (): StationAct[] => [...offered.values()].flat();
