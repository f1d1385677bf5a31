import { createContext, type ReactNode, use, useEffect, useId, useState } from 'react';

/** Something that can be done where one is now. */
export interface StationAct {
  label: string;
  /** The keys for it. */
  keys?: string;
  /** Further words that find it. */
  words?: string;
  run(): void;
}

/** What is offered just now, by whoever offers it. */
class Offered {
  private readonly by = new Map<string, readonly StationAct[]>();

  offer(id: string, acts: readonly StationAct[]): () => void {
    this.by.set(id, acts);
    return () => {
      this.by.delete(id);
    };
  }

  /** Asked for when the palette opens. */
  all(): StationAct[] {
    return [...this.by.values()].flat();
  }
}

const OfferedActs = createContext<Offered | null>(null);

/** Lets the palette find what can be done at the station within. */
export function StationActs({ children }: { children: ReactNode }) {
  const [offered] = useState(() => new Offered());
  return <OfferedActs value={offered}>{children}</OfferedActs>;
}

function useOffered(): Offered {
  const offered = use(OfferedActs);
  if (!offered) throw new Error('acts are offered within StationActs');
  return offered;
}

/** Offers acts to the palette while the component that can do them is open. */
export function useStationActs(acts: readonly StationAct[]): void {
  const offered = useOffered();
  const id = useId();
  useEffect(() => offered.offer(id, acts), [offered, id, acts]);
}

/** What can be done now, to be asked for when it is needed. */
export const useActsOffered = (): (() => StationAct[]) => {
  const offered = useOffered();
  return () => offered.all();
};
