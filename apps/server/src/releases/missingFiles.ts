import type { PublishedSite, Unrenderable } from '@cove/core';
import { assetPath } from '../storage/storage';
import type { Workbench } from '../work/workbench';

/** The address of a page of a release as a page of a site: `fares/index.html` → `/fares/`. */
const addressOfFile = (path: string): string => `/${path.replace(/[^/]*$/, '')}`;

/** Pictures and files that a release would need and nobody has, with where they are used. */
export async function missingFiles(
  { storage, fonts }: Workbench,
  site: string,
  { files, assets, fonts: fontFiles }: PublishedSite,
): Promise<{ files: ReadonlySet<string>; problems: Unrenderable[] }> {
  const missing = new Set<string>();
  const problems: Unrenderable[] = [];
  const usedAt = (file: string) => [...files].find(([, text]) => text.includes(file))?.[0] ?? '';
  for (const { id, file, name } of assets) {
    if (await storage.has(assetPath(site, file))) continue;
    missing.add(file);
    const address = addressOfFile(usedAt(file));
    problems.push({
      page: '',
      title: address,
      node: id,
      name,
      reason: 'Its file is missing. Upload it again.',
    });
  }
  for (const file of fontFiles) {
    if (await fonts.has(site, file)) continue;
    missing.add(file);
    problems.push({
      page: '',
      title: '/',
      node: null,
      name: `Font ${file}`,
      reason: 'Its file is missing. Upload it again.',
    });
  }
  return { files: missing, problems };
}
