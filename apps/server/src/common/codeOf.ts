/** The code of an error of the system, such as `ENOENT`; null for what has none. */
export const codeOf = (error: unknown): string | null =>
  typeof error === 'object' && error !== null && 'code' in error && typeof error.code === 'string'
    ? error.code
    : null;
