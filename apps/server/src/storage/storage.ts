/** Where assets and releases are kept; folders and names are ours, never a visitor's. */
export abstract class Storage {
  abstract write(path: string, data: Uint8Array | string): Promise<void>;
  /** Null where there is no such file. */
  abstract read(path: string): Promise<Buffer | null>;
  abstract has(path: string): Promise<boolean>;
  abstract copy(from: string, to: string): Promise<void>;
  /** Paths of all files below a folder, as they stand in it; none where there is no such folder. */
  abstract list(folder: string): Promise<string[]>;
  abstract removeFolder(path: string): Promise<void>;
}

export const assetPath = (site: string, file: string): string => `assets/${site}/${file}`;
/** Pictures in other sizes and formats, kept for the next release. */
export const renditionPath = (site: string, file: string): string => `renditions/${site}/${file}`;
export const fontPath = (site: string, file: string): string => `fonts/${site}/${file}`;
/** What is on its way in, until the request that brought it has been answered. */
export const incomingPath = (name: string): string => `incoming/${name}`;
/** Files that go with a kept guide, whichever site it came from. */
export const keptPath = (guide: string, file: string): string => `guides/${guide}/${file}`;
/** Folders of all that is stored for a site. */
export const siteFolders = (site: string): string[] => [
  assetPath(site, ''),
  renditionPath(site, ''),
  fontPath(site, ''),
  releaseFolder(site, ''),
];
export const releaseFolder = (site: string, release: string): string => `releases/${site}/${release}`;
