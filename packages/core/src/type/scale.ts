/** Size of a step of a type scale: base × ratio^step. Step 0 is the running text. */
export const scaleStep = (base: number, ratio: number, step: number): number =>
  Number((base * ratio ** step).toFixed(4));
