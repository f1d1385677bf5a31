import { createContext, type ReactNode, use, useEffect, useState } from 'react';
import { PictureSampler } from './pictureSampler.ts';

const Sampler = createContext<PictureSampler | null>(null);

/** Lets whatever is within look at pictures under texts; they are read once for all of it. */
export function Sampling({ children }: { children: ReactNode }) {
  const [sampler] = useState(() => new PictureSampler());
  useEffect(() => () => sampler.close(), [sampler]);
  return <Sampler value={sampler}>{children}</Sampler>;
}

export function useSampler(): PictureSampler {
  const sampler = use(Sampler);
  if (!sampler) throw new Error('pictures are looked at within Sampling');
  return sampler;
}
