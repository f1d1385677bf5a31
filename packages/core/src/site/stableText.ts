const isObject = (it: unknown): it is Readonly<Record<string, unknown>> =>
  typeof it === 'object' && it !== null;

/** The same with the fields of every object in the order of their names. */
function inOrder(it: unknown): unknown {
  if (Array.isArray(it)) return it.map(inOrder);
  if (!isObject(it)) return it;
  const fields: Record<string, unknown> = Object.create(null);
  for (const key of Object.keys(it).sort()) fields[key] = inOrder(it[key]);
  return fields;
}

/** The same JSON text for the same value, whatever the order in which its fields were written. */
export const stableText = (it: unknown): string => JSON.stringify(inOrder(it));
