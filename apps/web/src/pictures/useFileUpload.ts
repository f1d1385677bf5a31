import { addAsset, LIMITS } from '@cove/core';
import { useState } from 'react';
import { toast } from 'sonner';
import { answer, server } from '../api/client.ts';
import { fileToSend } from '../api/fileToSend.ts';
import { problemText } from '../api/problemText.ts';
import { useCommit, useSession } from '../session/context.tsx';

/** Gives a file to the server, to be linked to, and puts it down as the site's; answers its id, or null where it is refused. */
export function useFileUpload(): { upload(file: File): Promise<string | null>; busy: boolean } {
  const session = useSession();
  const commit = useCommit();
  const [busy, setBusy] = useState(false);
  const upload = async (file: File): Promise<string | null> => {
    setBusy(true);
    try {
      const facts = await answer(
        server.POST('/api/sites/{site}/assets/files', {
          params: { path: { site: session.id }, query: { name: file.name.slice(-200) } },
          ...fileToSend(file, LIMITS.upload.fileBytes),
        }),
      );
      const name = file.name.slice(0, 120);
      const { edits, id } = addAsset(session.site, facts, name);
      return edits.length === 0 || commit(edits, `Add ${name}`) ? id : null;
    } catch (error) {
      toast.error(`${file.name}: ${problemText(error)}`);
      return null;
    } finally {
      setBusy(false);
    }
  };
  return { upload, busy };
}
