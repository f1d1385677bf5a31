import { createContext, type ReactNode, use, useState } from 'react';

const Choices = createContext<Map<string, boolean> | null>(null);

/** Keeps small choices of the interface, such as which sides are linked, while what made them comes and goes. */
export function KeptChoices({ children }: { children: ReactNode }) {
  const [choices] = useState(() => new Map<string, boolean>());
  return <Choices value={choices}>{children}</Choices>;
}

/** A choice under a name, until it is made as it is at first. */
export function useKeptChoice(name: string, atFirst = false): [boolean, (on: boolean) => void] {
  const kept = use(Choices);
  const [on, setOn] = useState<boolean | null>(() => kept?.get(name) ?? null);
  const choose = (next: boolean) => {
    kept?.set(name, next);
    setOn(next);
  };
  return [on ?? atFirst, choose];
}
