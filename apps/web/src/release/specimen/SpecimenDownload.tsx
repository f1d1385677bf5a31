import { type Site, settingsOf, slug } from '@cove/core';
import { useEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import { Button } from '../../ui/Button.tsx';
import { download } from '../../ui/download.ts';
import type { FromSpecimen } from './messages.ts';

/** The whole guide as one page that stands alone, made in a worker: fonts and pictures are fetched and put in. */
export function SpecimenDownload({ site, siteId }: { site: Site; siteId: string }) {
  const [progress, setProgress] = useState<{ done: number; of: number } | null>(null);
  const worker = useRef<Worker | null>(null);
  const end = () => {
    worker.current?.terminate();
    worker.current = null;
    setProgress(null);
  };
  useEffect(() => () => worker.current?.terminate(), []);
  const make = () => {
    end();
    setProgress({ done: 0, of: 0 });
    const made = new Worker(new URL('./specimen.worker.ts', import.meta.url), { type: 'module' });
    worker.current = made;
    made.addEventListener('message', ({ data }: MessageEvent<FromSpecimen>) => {
      if (data.type === 'progress') {
        setProgress(data);
        return;
      }
      end();
      if (data.type === 'problem') {
        toast.error(`The specimen could not be made. ${data.message}`);
        return;
      }
      download(`${slug(settingsOf(site).name)}-guide.html`, data.html, 'text/html');
      if (data.missing.length > 0)
        toast.warning(
          `${data.missing.length} file${data.missing.length === 1 ? ' is' : 's are'} missing in it: ${data.missing.slice(0, 3).join(', ')}`,
        );
    });
    made.addEventListener('error', () => {
      end();
      toast.error('The specimen could not be made. Try again.');
    });
    made.postMessage({ site, siteId });
  };
  return progress ? (
    <span role="status" className="mr-auto flex items-center gap-2">
      <progress aria-label="Making the specimen" value={progress.done} max={Math.max(1, progress.of)} />
      <Button onClick={end}>Cancel</Button>
    </span>
  ) : (
    <Button className="mr-auto" onClick={make} title="Every token, scheme and element as one HTML file">
      Download the specimen
    </Button>
  );
}
