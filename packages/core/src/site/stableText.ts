/** The same JSON text for the same value, whatever the order in which its fields were written. */
export function stableText(it: unknown): string {
  return JSON.stringify(it, (_, value: unknown) =>
    typeof value === 'object' && value !== null && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
      : value,
  );
}
