import { settingsOf, siteOf } from '@cove/core';
import { useMemo } from 'react';
import { beginWhole } from '../../wholeSite/sendWhole.ts';
import { useSending } from '../../wholeSite/useSending.ts';
import { useWholeFile, withPictures } from '../../wholeSite/useWholeFile.ts';

/** A whole site in a file that a new one begins as. */
export function useWholeSource() {
  const chosen = useWholeFile(() => null);
  const sending = useSending();
  const { state, whole, pictures } = chosen;
  /** As it will be, with its pictures out of the file. */
  const site = useMemo(() => whole && withPictures(siteOf(whole.records), pictures), [whole, pictures]);
  const [missing] = whole?.missing ?? [];
  return {
    chosen,
    sending,
    site,
    home: site && settingsOf(site).home,
    name: whole?.name ?? '',
    /** Why no site can begin as what was chosen, in words; null where one can. */
    problem:
      state.type === 'nothing' || state.type === 'reading'
        ? 'Open the file of a whole site, or start from something else.'
        : state.type === 'problem'
          ? state.message
          : missing === undefined
            ? null
            : `${missing} is missing beside it: open the archive as it was downloaded.`,
    create: (name: string) =>
      state.type === 'read' ? sending.run(it => beginWhole(name, state.file, it)) : Promise.resolve(null),
  };
}
export type WholeSource = ReturnType<typeof useWholeSource>;
