import { type AssetFacts, addAsset, LIMITS } from '@cove/core';
import { useRef, useState } from 'react';
import { answer, server } from '../api/client.ts';
import { fileToSend } from '../api/fileToSend.ts';
import { problemText } from '../api/problemText.ts';
import { useCommit, useSession } from '../session/context.tsx';
import { SVG_TYPE, svgAsPicture } from './svgAsPicture.ts';

/** `quay-at_dawn.JPG` as people write it. */
const nameOfFile = (name: string): string => {
  const plain = name
    .replace(/\.[a-z0-9]+$/i, '')
    .replace(/[-_]+/g, ' ')
    .trim();
  return plain.charAt(0).toUpperCase() + plain.slice(1, 80);
};

/** How far an upload of several has come. */
export interface UploadProgress {
  /** The file that is on its way. */
  name: string;
  done: number;
  of: number;
}

/** Types of pictures that the server reads, as a field for files names them. */
export const PICTURE_TYPES = 'image/jpeg,image/png,image/webp,image/avif,image/gif,image/tiff,image/svg+xml';

/**
 * Gives pictures to the server, one after the other, which makes them anew, and puts each down as the site’s once it is there:
 * one that is refused is told and leaves the others alone, and so does stopping. Answers the ids of those that came.
 */
export function usePictureUpload() {
  const session = useSession();
  const commit = useCommit();
  const [progress, setProgress] = useState<UploadProgress | null>(null);
  const [problems, setProblems] = useState<readonly string[]>([]);
  const stop = useRef<AbortController | null>(null);

  const send = (file: File, signal: AbortSignal): Promise<AssetFacts> =>
    answer(
      server.POST('/api/sites/{site}/assets', {
        params: { path: { site: session.id } },
        ...fileToSend(file, LIMITS.upload.pictureBytes),
        signal,
      }),
    );
  /** Sends files one by one; `keep` takes what the server made of each. */
  const run = async (files: Iterable<File>, keep: (facts: AssetFacts, file: File) => void): Promise<void> => {
    const all = [...files];
    const found: string[] = [];
    stop.current = new AbortController();
    const { signal } = stop.current;
    setProblems([]);
    for (const [done, file] of all.entries()) {
      if (signal.aborted) break;
      setProgress({ name: file.name, done, of: all.length });
      try {
        keep(await send(file.type === SVG_TYPE ? await svgAsPicture(file) : file, signal), file);
      } catch (error) {
        if (!signal.aborted) found.push(`${file.name}: ${problemText(error)}`);
      }
    }
    stop.current = null;
    setProgress(null);
    setProblems(found);
  };

  /** `said` is what is known of them where that is more than the name of a file. */
  const upload = async (files: Iterable<File>, said?: { name: string; alt: string }): Promise<string[]> => {
    const ids: string[] = [];
    await run(files, (facts, file) => {
      const name = said?.name ?? (nameOfFile(file.name) || 'Picture');
      const { edits, id } = addAsset(session.site, facts, name, said?.alt);
      if (edits.length === 0 || commit(edits, `Add ${name}`)) ids.push(id);
    });
    return ids;
  };
  /** What the server makes of one file, for whoever does something else with it. */
  const read = async (file: File): Promise<AssetFacts | null> => {
    const read: AssetFacts[] = [];
    await run([file], facts => void read.push(facts));
    return read[0] ?? null;
  };
  return { upload, read, progress, problems, cancel: () => stop.current?.abort() };
}
