/** A property that may be null. */
export const orNull = (schema: { type: string } | { $ref: string }) => ({
  anyOf: [schema, { type: 'null' }],
});
