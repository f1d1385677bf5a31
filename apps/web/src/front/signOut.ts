/** What ends the present session. */
export const SIGN_OUT = ['DELETE', '/api/session'] as const;
