import { addToken, type Id, type Site, type TokenRecord } from '@cove/core';
import { useCommit } from '../../session/context.tsx';

/** Tokens of the tray, one of which may be open. */
export interface TokenList {
  site: Site;
  tokens: readonly TokenRecord[];
  open: Id | null;
  onOpen(id: Id | null): void;
}

/** Makes a token and opens it. */
export function useAddToken({ site, onOpen }: Pick<TokenList, 'site' | 'onOpen'>) {
  const commit = useCommit();
  return (token: Parameters<typeof addToken>[1], label: string) => {
    const { edits, id } = addToken(site, token);
    if (commit(edits, label)) onOpen(id);
  };
}
