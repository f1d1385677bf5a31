import { printNumber } from '../../color/index.ts';

/** A share of 1 as per cent. */
export const printShare = (share: number): string => `${printNumber(Number((share * 100).toFixed(4)))}%`;
