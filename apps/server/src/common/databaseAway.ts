/** Classes 08 and 57P of PostgreSQL’s error codes, and what the network says. */
const AWAY = /^(08|57P)|^(ECONNREFUSED|ECONNRESET|EPIPE|ETIMEDOUT)$/;
const GONE =
  /Connection terminated|connection timeout|Client has encountered a connection error|not queryable/i;

/** Whether an error says that the database cannot be reached, which passes by itself. */
export function isDatabaseAway(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  return ('code' in error && AWAY.test(String(error.code))) || GONE.test(error.message);
}
