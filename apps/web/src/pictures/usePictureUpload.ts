import { addAsset, LIMITS } from '@cove/core';
import { useState } from 'react';
import { answer, server } from '../api/client.ts';
import { fileToSend } from '../api/fileToSend.ts';
import { problemText } from '../api/problemText.ts';
import { useCommit, useSession } from '../session/context.tsx';

/** `quay-at_dawn.JPG` as people write it. */
const nameOfFile = (name: string): string => {
  const plain = name
    .replace(/\.[a-z0-9]+$/i, '')
    .replace(/[-_]+/g, ' ')
    .trim();
  return plain.charAt(0).toUpperCase() + plain.slice(1, 80);
};

/** Gives pictures to the server, which makes them anew, and puts them down as the site's; answers their ids. */
export function usePictureUpload() {
  const session = useSession();
  const commit = useCommit();
  const [busy, setBusy] = useState<string | null>(null);
  const [problems, setProblems] = useState<readonly string[]>([]);
  const upload = async (files: Iterable<File>): Promise<string[]> => {
    const ids: string[] = [];
    const found: string[] = [];
    for (const file of files) {
      setBusy(file.name);
      try {
        const facts = await answer(
          server.POST('/api/sites/{site}/assets', {
            params: { path: { site: session.id } },
            ...fileToSend(file, LIMITS.upload.pictureBytes),
          }),
        );
        const name = nameOfFile(file.name) || 'Picture';
        const { edits, id } = addAsset(session.site, facts, name);
        if (edits.length === 0 || commit(edits, `Add ${name}`)) ids.push(id);
      } catch (error) {
        found.push(`${file.name}: ${problemText(error)}`);
      }
    }
    setBusy(null);
    setProblems(found);
    return ids;
  };
  return { upload, busy, problems };
}
