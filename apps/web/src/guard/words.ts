import type { Forecast, Impact, Width } from '@cove/core';

const counted = (n: number, word: string) => `${n.toLocaleString('en')} ${word}${n === 1 ? '' : 's'}`;

/** What is said of a change of the guide. */
export const WORDS = {
  region: 'Effect of the last change',
  shown: 'This change',
  working: 'working out what it changes…',
  reaches: ({ uses, pages }: Forecast): string =>
    uses === 0
      ? 'nothing on the pages uses it.'
      : `${counted(uses, 'item')} on ${counted(pages, 'page')} ${uses === 1 ? 'uses' : 'use'} it.`,
  impact: ({ nodes, pages }: Impact, isMade: boolean): string =>
    nodes === 0
      ? `nothing on the pages ${isMade ? 'looks' : 'would look'} different.`
      : `${counted(nodes, 'item')} on ${counted(pages.length, 'page')} ${isMade ? (nodes === 1 ? 'looks' : 'look') : 'would look'} different.`,
  roles: (n: number) => `${counted(n, 'role')} below the required contrast`,
  texts: (n: number) => `${counted(n, 'text')} on pages can no longer be read`,
  textsWould: (n: number) => `${counted(n, 'text')} on pages could no longer be read`,
  unfit: (n: number) => `${counted(n, 'text')} no longer ${n === 1 ? 'fits' : 'fit'}`,
  unfitWould: (n: number) => `${counted(n, 'text')} would no longer fit`,
  laidOut: (pages: number, all: number) =>
    pages < all ? `${pages.toLocaleString('en')} of ${counted(all, 'page')} looked at` : '',
  tooWide: (width: Width, viewport: number) => `wider than its place when ${width}, at ${viewport} px`,
  more: (n: number) => `and ${n.toLocaleString('en')} more`,
  needs: (wanted: number) => `needs ${wanted}`,
  dark: 'in the dark version',
  undo: 'Undo this change',
  dismiss: 'Dismiss',
} as const;
