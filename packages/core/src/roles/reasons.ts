/** Why a scheme that was worked out binds a role as it does. */
export const REASONS = ['asked', 'fits', 'moved', 'follows', 'shared', 'made'] as const;
export type Reason = (typeof REASONS)[number];
