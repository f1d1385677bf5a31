import { type Site, type SiteRecord, withRecords } from '@cove/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { FromWhole, ToWhole, WholeFile } from './messages.ts';

type State =
  | { type: 'nothing' }
  | { type: 'reading'; file: File }
  | { type: 'problem'; file: File; message: string }
  | { type: 'read'; file: File; whole: WholeFile };

/** Addresses at which pictures of a file can be seen while they are nowhere else. */
function usePictures(whole: WholeFile | null): ReadonlyMap<string, string> {
  const addresses = useMemo(
    () => new Map(Array.from(whole?.pictures ?? [], ([name, blob]) => [name, URL.createObjectURL(blob)])),
    [whole],
  );
  useEffect(
    () => () => {
      for (const it of addresses.values()) URL.revokeObjectURL(it);
    },
    [addresses],
  );
  return addresses;
}

/** A whole site in a file that was chosen, read in a worker that lives no longer than the reading. */
export function useWholeFile(recordsOver: () => readonly SiteRecord[] | null) {
  const [state, setState] = useState<State>({ type: 'nothing' });
  const worker = useRef<Worker | null>(null);
  useEffect(() => () => worker.current?.terminate(), []);
  const whole = state.type === 'read' ? state.whole : null;
  const pictures = usePictures(whole);
  const open = (file: File) => {
    worker.current?.terminate();
    setState({ type: 'reading', file });
    const reader = new Worker(new URL('./wholeSite.worker.ts', import.meta.url), { type: 'module' });
    worker.current = reader;
    reader.addEventListener('message', ({ data }: MessageEvent<FromWhole>) => {
      setState({ ...data, file });
      reader.terminate();
    });
    reader.addEventListener('error', () =>
      setState({ type: 'problem', file, message: 'It could not be read. Choose it again.' }),
    );
    reader.postMessage({ file, over: recordsOver() } satisfies ToWhole);
  };
  return { state, whole, pictures, open };
}
export type WholeFileState = ReturnType<typeof useWholeFile>;

/** A site that shows its pictures out of the file. */
export const withPictures = (site: Site, pictures: ReadonlyMap<string, string>): Site =>
  withRecords(
    site,
    new Map(
      [...site.kinds.asset.values()].map(it => [it.id, { ...it, file: pictures.get(it.file) ?? it.file }]),
    ),
  );
