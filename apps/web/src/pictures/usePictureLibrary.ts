import {
  type AssetRecord,
  type Id,
  picturesOf,
  removeAsset,
  replaceAsset,
  type Site,
  usersOf,
} from '@cove/core';
import { useDeferredValue, useMemo, useState } from 'react';
import { useCommit, useSession } from '../session/context.tsx';
import { usePictureUpload } from './usePictureUpload.ts';

export const SHOWN = ['all', 'unused', 'undescribed'] as const;
export type Shown = (typeof SHOWN)[number];

const plain = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** The pictures of a site as a library: found by words, added, replaced and taken away. */
export function usePictureLibrary(site: Site, chosen: Id | null) {
  const session = useSession();
  const commit = useCommit();
  const uploading = usePictureUpload();
  const [query, setQuery] = useState('');
  const [shown, setShown] = useState<Shown>('all');
  const [current, setCurrent] = useState<Id | null>(chosen);
  const wanted = useDeferredValue(plain(query.trim()));

  const pictures = useMemo(
    () =>
      picturesOf(site).filter(
        it =>
          (wanted === '' || plain(`${it.name} ${it.alt}`).includes(wanted)) &&
          (shown !== 'undescribed' || it.alt === '') &&
          (shown !== 'unused' || usersOf(site, it.id).length === 0),
      ),
    [site, wanted, shown],
  );
  const picture = current === null ? undefined : site.kinds.asset.get(current);
  const uses = useMemo(() => (picture ? usersOf(site, picture.id) : []), [site, picture]);

  const add = async (files: Iterable<File>, said?: { name: string; alt: string }): Promise<Id | null> => {
    const ids = await uploading.upload(files, said);
    const last = ids.at(-1) ?? null;
    if (last !== null) {
      setQuery('');
      setShown('all');
      setCurrent(last);
    }
    return last;
  };
  const replace = async (old: AssetRecord, file: File) => {
    const facts = await uploading.read(file);
    if (facts) commit(replaceAsset(session.site, old.id, facts), `Replace ${old.name} everywhere`);
  };
  const remove = (old: AssetRecord) => {
    const edits = removeAsset(session.site, old.id);
    if (edits.length > 0 && commit(edits, `Delete ${old.name}`)) setCurrent(null);
  };
  return {
    uploading,
    query,
    setQuery,
    shown,
    setShown,
    pictures,
    picture,
    uses,
    setCurrent,
    add,
    replace,
    remove,
  };
}
