/** A movement by its name: what it is for, and its keyframes as CSS. */
interface Movement {
  label: string;
  /** Something comes into view, asks to be looked at, or lies behind and keeps a speed of its own. */
  use: 'entrance' | 'call' | 'ground';
  frames: string;
}

/** Short movements that end where the thing stands, so that nothing is lost where they are not played. */
export const MOVEMENTS = {
  fade: { label: 'Fades in', use: 'entrance', frames: 'from{opacity:0}' },
  rise: { label: 'Rises', use: 'entrance', frames: 'from{opacity:0;translate:0 2rem}' },
  settle: { label: 'Settles', use: 'entrance', frames: 'from{opacity:0;scale:.94}' },
  drift: { label: 'Drifts in', use: 'entrance', frames: 'from{opacity:0;translate:-2rem 0}' },
  swell: { label: 'Swells', use: 'call', frames: '50%{scale:1.05}' },
  nod: { label: 'Nods', use: 'call', frames: '30%{translate:0 -.3rem}60%{translate:0 .1rem}' },
  // Larger than its place, so that no edge of it comes into view; run with the view, as `animation-timeline` has it.
  lag: {
    label: 'Lags behind',
    use: 'ground',
    frames: 'from{translate:0 -8%;scale:1.18}to{translate:0 8%;scale:1.18}',
  },
  sway: { label: 'Sways', use: 'call', frames: '25%{rotate:-2deg}75%{rotate:2deg}' },
} as const satisfies Record<string, Movement>;
export type MovementName = keyof typeof MOVEMENTS;

export const isMovement = (name: string): name is MovementName => Object.hasOwn(MOVEMENTS, name);
export const MOVEMENT_NAMES: readonly MovementName[] = Object.keys(MOVEMENTS).filter(isMovement);

/** Movements that some printed rules name, each once. */
export const movementsIn = (css: string): MovementName[] =>
  css.includes('animation-name:')
    ? MOVEMENT_NAMES.filter(name => css.includes(`animation-name:${name}`))
    : [];

/** Keyframes of some movements; of all where none are named. */
export const printKeyframes = (names: Iterable<MovementName> = MOVEMENT_NAMES): string =>
  [...new Set(names)].map(name => `@keyframes ${name}{${MOVEMENTS[name].frames}}`).join('\n');
