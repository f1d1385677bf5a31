import { type PublishedSite, pageFolder, pagesInOrder, type Site, type Unrenderable } from '@cove/core';
import { assetPath } from '../storage/storage';
import type { Workbench } from '../work/workbench';

const REASON = 'Its file is missing. Upload it again.';

/** The first page that a file is needed for: in its markup or its own sheet; null where only the guide names it. */
function neededBy(site: Site, files: ReadonlyMap<string, string>, file: string) {
  // Its other sizes and formats begin with its name.
  const stem = file.replace(/\.[a-z0-9]+$/, '');
  const texts = [...files].filter(([, text]) => text.includes(stem));
  const folders = new Set(texts.map(([path]) => path.replace(/[^/]*$/, '')));
  const inGuide = texts.some(([path]) => path.startsWith('guide-'));
  return inGuide ? null : (pagesInOrder(site).find(page => folders.has(pageFolder(site, page))) ?? null);
}

/** Pictures, files and fonts that a release would need and nobody has, each with a page that it is needed for. */
export async function missingFiles(
  { storage, fonts }: Workbench,
  id: string,
  site: Site,
  { files, assets, renditions, fonts: fontFiles }: PublishedSite,
): Promise<{ files: ReadonlySet<string>; problems: Unrenderable[] }> {
  const missing = new Set<string>();
  const problems: Unrenderable[] = [];
  const made = new Set(renditions.map(it => it.of));
  const sources = [...site.kinds.asset.values()].filter(it => made.has(it.file));
  for (const { file, name } of new Set([...assets, ...sources])) {
    if (await storage.has(assetPath(id, file))) continue;
    missing.add(file);
    const page = neededBy(site, files, file);
    problems.push({
      page: page?.id ?? '',
      title: page?.title ?? 'the guide',
      node: null,
      name,
      reason: REASON,
    });
  }
  for (const file of fontFiles) {
    if (await fonts.has(id, file)) continue;
    missing.add(file);
    const family = [...site.kinds.font.values()].find(it => it.file === file)?.family ?? file;
    problems.push({ page: '', title: 'the guide', node: null, name: family, reason: REASON });
  }
  return { files: missing, problems };
}
