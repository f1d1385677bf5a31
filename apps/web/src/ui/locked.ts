import { createContext, use } from 'react';

/** Whether the values inside are to be looked at only. */
export const Locked = createContext(false);

export const useLocked = (): boolean => use(Locked);
