import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, type Dto, server } from '../api/client.ts';
import { problemText } from '../api/problemText.ts';
import { queryKeys } from '../api/queryKeys.ts';

export type LibraryPicture = Dto['LibraryPictureDto'];

/** Pictures of the library outside that are found by some words. */
export const useLibraryPictures = (words: string) =>
  useQuery({
    queryKey: [...queryKeys.outsidePictures, words],
    queryFn: () => answer(server.GET('/api/outside/pictures', { params: { query: { words } } })),
    // It fails now and then, as others do: that is told, and asked again by hand.
    retry: false,
    staleTime: 5 * 60 * 1000,
  });

const fileOf = (data: Blob, name: string): File => new File([data], name, { type: data.type });
/** What comes is told by its bytes; the name is only what people see. */
function nameIn(address: string): string {
  const last = new URL(address).pathname.split('/').at(-1) ?? '';
  try {
    return decodeURIComponent(last) || 'picture';
  } catch (error) {
    // A per cent sign that escapes nothing.
    if (error instanceof URIError) return last;
    throw error;
  }
}

const isAddress = (text: string): boolean =>
  URL.canParse(text) && ['https:', 'http:'].includes(new URL(text).protocol);

/** Brings pictures from elsewhere as files, to be given to the server like any other; one at a time. */
export function useOutside(add: (file: File, said?: { name: string; alt: string }) => Promise<boolean>) {
  const [asked, setAsked] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const bring = async (what: string, get: () => Promise<boolean>): Promise<boolean> => {
    setAsked(what);
    setProblem(null);
    try {
      return await get();
    } catch (error) {
      setProblem(`${what}: ${problemText(error)}`);
      return false;
    } finally {
      setAsked(null);
    }
  };
  return {
    /** What is on its way; null for nothing. */
    asked,
    problem,
    take: ({ id, name, alt }: LibraryPicture) =>
      bring(name, async () => {
        const params = { path: { picture: id }, query: { width: 1200 as const } };
        const data = await answer(server.GET('/api/outside/pictures/{picture}', { params, parseAs: 'blob' }));
        return add(fileOf(data, `${id}.jpg`), { name, alt });
      }),
    fromAddress: async (address: string): Promise<boolean> => {
      // What is none is not asked for.
      if (!isAddress(address)) {
        setProblem(`${address}: This is no web address: it begins with https:// or http://.`);
        return false;
      }
      return bring(address, async () => {
        const data = await answer(
          server.GET('/api/outside/address', { params: { query: { address } }, parseAs: 'blob' }),
        );
        return add(fileOf(data, nameIn(address)));
      });
    },
  };
}
