/** Whether PostgreSQL takes a text for a uuid, in the spelling in which it writes them. */
export const isUuid = (text: string): boolean =>
  /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i.test(text);
