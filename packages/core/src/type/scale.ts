/** Size of a step of a type scale: base × ratio^step. Step 0 is the running text. */
export const scaleStep = (base: number, ratio: number, step: number): number =>
  Number((base * ratio ** step).toFixed(4));

/** Sizes of running text that can be meant, in px. Common practice, no source. */
export const BASE_RANGE = { from: 8, to: 48 } as const;
/** Ratios of a scale that can be meant: below it nothing grows, above it everything bursts. Common practice, no source. */
export const RATIO_RANGE = { from: 1.02, to: 2 } as const;
