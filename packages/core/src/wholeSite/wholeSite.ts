import { LIMITS, mayHoldUnstorable, scanJson, tooLong, unstorableIn } from '../limits/index.ts';
import { fail, ok, type Result } from '../result/index.ts';
import { readRecords, SCHEMA } from '../schema/index.ts';
import {
  type AssetRecord,
  type FontRecord,
  SETTINGS,
  type Site,
  type SiteRecord,
  siteOf,
  stableText,
} from '../site/index.ts';

/** What the file says it is. */
const FORMAT = 'cove-thread-site';

/** What the site is called in its archive. */
export const SITE_FILE = 'site.json';

/** Where the file of a record lies beside it. */
export const fileInArchive = ({ kind, file }: FiledRecord): string =>
  `${kind === 'asset' ? 'assets' : 'fonts'}/${file}`;

type FiledRecord = AssetRecord | FontRecord;

export interface WholeSite {
  site: Site;
  /** Where its pictures and fonts lie in the archive, in order, each once. */
  files: readonly string[];
}

/** The records of a site that have a file, in the order of those. */
export const filedRecords = ({ kinds }: Site): FiledRecord[] =>
  [...kinds.asset.values(), ...kinds.font.values()].sort((a, b) =>
    a.kind === b.kind ? (a.file < b.file ? -1 : 1) : a.kind < b.kind ? -1 : 1,
  );

/**
 * A whole site as JSON, a record a line: the same text for the same site, whatever was done to it before. Its pictures and
 * fonts lie beside it.
 */
export function printWholeSite(site: Site): string {
  const all: readonly (readonly [string, ReadonlyMap<string, SiteRecord>])[] = Object.entries(site.kinds);
  const lines = all
    .toSorted(([a], [b]) => (a < b ? -1 : 1))
    .flatMap(([, records]) => [...records.keys()].sort().map(id => `  ${stableText(records.get(id))}`));
  return `{\n "format": "${FORMAT}",\n "schema": ${SCHEMA},\n "records": [\n${lines.join(',\n')}\n ]\n}\n`;
}

function parse(text: string): Result<unknown> {
  const counted = scanJson(text, LIMITS.wholeSite.json);
  if (!counted.ok) return counted;
  try {
    return ok(JSON.parse(text));
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error;
    const offset = Number(/position (\d+)/.exec(error.message)?.[1] ?? text.length);
    const line = text.slice(0, offset).split('\n').length;
    return fail({ code: 'bad-json', message: `This is not JSON: line ${line}.` });
  }
}

const own = (it: unknown, key: string): unknown =>
  typeof it === 'object' && it !== null && Object.hasOwn(it, key) ? Reflect.get(it, key) : undefined;

/**
 * Reads a whole site, of this or an earlier version of the program. Nothing is taken of a file in which anything is wrong;
 * the answer says which record it is. Whether all of it holds together is checked where it is laid.
 */
export function readWholeSite(text: string): Result<WholeSite> {
  const refused = tooLong(text, LIMITS.wholeSite.characters);
  if (refused) return refused;
  const json = parse(text);
  if (!json.ok) return json;
  if (own(json.value, 'format') !== FORMAT)
    return fail({
      code: 'no-site',
      message: 'This is not a site of this program.',
      expected: `"format": "${FORMAT}"`,
    });
  const schema = own(json.value, 'schema');
  if (typeof schema !== 'number' || !Number.isInteger(schema) || schema < 1)
    return fail({
      code: 'bad-schema',
      message: 'It does not say which version it is of.',
      expected: `"schema": ${SCHEMA}`,
    });
  if (schema > SCHEMA)
    return fail({
      code: 'newer-schema',
      message: `It was made by a newer version of the program (${schema}; this one reads up to ${SCHEMA}).`,
      found: String(schema),
      expected: `at most ${SCHEMA}`,
    });
  const stored = own(json.value, 'records');
  if (!Array.isArray(stored))
    return fail({ code: 'no-records', message: 'It holds no records.', expected: '"records": […]' });
  if (stored.length > LIMITS.siteRecords)
    return fail({
      code: 'too-many',
      message: `It holds more than ${LIMITS.siteRecords.toLocaleString('en')} records.`,
      expected: `at most ${LIMITS.siteRecords}`,
    });
  const unstorable = mayHoldUnstorable(text) ? unstorableIn(stored) : null;
  if (unstorable !== null)
    return fail({
      code: 'unstorable',
      message: `Text that cannot be stored stands at records.${unstorable}.`,
    });
  const { records, unreadable } = readRecords(stored, schema);
  const [first] = unreadable;
  if (first) {
    const at = stored.findIndex(it => readRecords([it], schema).unreadable.length > 0);
    const who =
      first.id === '' ? `Record ${at + 1} of the file` : `The ${first.kind || 'record'} ${first.id}`;
    return fail({
      code: 'bad-record',
      message: `${who} cannot be read: ${first.why}`,
      record: first.id,
      path: `records.${at}`,
    });
  }
  const ids = new Set<string>();
  for (const { id } of records) {
    if (ids.has(id)) return fail({ code: 'taken', message: `The id ${id} stands twice.`, record: id });
    ids.add(id);
  }
  if (!records.some(it => it.id === SETTINGS && it.kind === 'settings'))
    return fail({ code: 'no-settings', message: 'It holds no settings of a site.' });
  const site = siteOf(records);
  return ok({ site, files: [...new Set(filedRecords(site).map(fileInArchive))] });
}
