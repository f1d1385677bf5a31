import {
  allRecords,
  applyChange,
  differenceTo,
  fail,
  LIMITS,
  ok,
  type Result,
  type SiteRecord,
  settingsOf,
  siteOf,
} from '@cove/core';
import { readWholeSite, SITE_FILE } from '@cove/core/wholeSite';
import { type UnzipFileInfo, unzipSync } from 'fflate';
import type { WholeFile } from './messages.ts';

/** What a file holds, by its path below the folder in which the site lies. */
type Unpacked = Readonly<Record<string, Uint8Array<ArrayBuffer>>>;

const MOST = LIMITS.wholeSite;
const bad = (message: string) => fail({ code: 'bad-archive', message });
const isArchive = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b;

/** What an archive says of its files; none is unpacked. */
function entriesOf(bytes: Uint8Array): UnzipFileInfo[] {
  const entries: UnzipFileInfo[] = [];
  unzipSync(bytes, {
    filter: it => {
      entries.push(it);
      return false;
    },
  });
  return entries;
}

function unpacked(bytes: Uint8Array): Result<Unpacked> {
  try {
    const entries = entriesOf(bytes);
    const site = entries.find(it => it.name === SITE_FILE || it.name.endsWith(`/${SITE_FILE}`));
    if (!site) return bad(`There is no ${SITE_FILE} in it.`);
    if (
      entries.length > MOST.entries ||
      entries.reduce((n, it) => n + it.originalSize, 0) > MOST.unpackedBytes
    )
      return bad('It holds more than a whole site may have.');
    const folder = site.name.slice(0, -SITE_FILE.length);
    const files = unzipSync(bytes, { filter: it => it.name.startsWith(folder) && !it.name.endsWith('/') });
    return ok(
      Object.fromEntries(
        Object.entries(files).map(([name, data]) => [name.slice(folder.length), new Uint8Array(data)]),
      ),
    );
  } catch {
    return bad('It cannot be unpacked. It may be broken.');
  }
}

/**
 * Reads a whole site out of a file, an archive or its JSON alone, and holds all of it together as the server will; says what
 * it would alter of the site that it is laid over.
 */
export async function readWholeFile(
  file: Blob,
  over: readonly SiteRecord[] | null,
): Promise<Result<WholeFile>> {
  if (file.size > MOST.bytes) return bad(`It is larger than ${MOST.bytes / 1024 / 1024} MB.`);
  const bytes = new Uint8Array(await file.arrayBuffer());
  const files: Result<Unpacked> = isArchive(bytes) ? unpacked(bytes) : ok({ [SITE_FILE]: bytes });
  if (!files.ok) return files;
  const read = readWholeSite(new TextDecoder().decode(files.value[SITE_FILE]));
  if (!read.ok) return read;
  const { site, files: named } = read.value;
  const now = siteOf(over ?? []);
  const edits = differenceTo(now, site);
  const applied = applyChange(now, { edits }, LIMITS.computedChange);
  if (!applied.ok) return applied;
  return ok({
    name: settingsOf(site).name,
    records: [...allRecords(site)],
    pictures: new Map(
      [...site.kinds.asset.values()].flatMap(({ file: name, mime }) => {
        const data = files.value[`assets/${name}`];
        return data && mime.startsWith('image/') ? [[name, new Blob([data], { type: mime })] as const] : [];
      }),
    ),
    missing: named.filter(it => !Object.hasOwn(files.value, it)),
    edits: over ? edits : [],
  });
}
