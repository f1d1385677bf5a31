import { formatDistanceToNow } from 'date-fns';
import type { SiteSummary } from '../../api/types.ts';

const count = (n: number, one: string): string => `${n.toLocaleString('en')} ${n === 1 ? one : `${one}s`}`;

/** What the list of sites says. */
export const WORDS = {
  title: 'Sites',
  create: 'New site',
  archived: 'Archived',
  none: 'You have no sites yet.',
  noneHint: 'Create one from a brand’s values, or open an invitation from your mail.',
  find: 'Filter sites',
  noMatch: (text: string) => `No site is called “${text}”.`,
  actions: ({ name }: SiteSummary) => `Actions: ${name}`,
  open: 'Open',
  visit: 'Visit published site',
  rename: 'Rename…',
  duplicate: 'Duplicate…',
  archive: 'Archive',
  restore: 'Move back to sites',
  remove: 'Delete…',
  name: 'Site name',
  nameMissing: 'Enter a name.',
  nameTooLong: 'Use at most 80 characters.',
  renameTitle: ({ name }: SiteSummary) => `Rename ${name}`,
  renameAbout: 'The address of the published site stays the same.',
  duplicateTitle: ({ name }: SiteSummary) => `Duplicate ${name}`,
  duplicateAbout: 'The draft with its guide, pages and files. Releases and people stay with the original.',
  copyName: ({ name }: SiteSummary) => `${name.slice(0, 75)} copy`,
  removeTitle: ({ name }: SiteSummary) => `Delete ${name}`,
  removeAbout: (site: SiteSummary) =>
    `The draft, its snapshots and every release are deleted${site.live ? ', and the published site goes offline' : ''}. This cannot be undone.`,
  removeConfirm: ({ name }: SiteSummary) => `Type “${name}” to confirm`,
  removeMismatch: ({ name }: SiteSummary) => `Type ${name}, as it is written here.`,
  removeSubmit: 'Delete site',
  renameSubmit: 'Rename',
  duplicateSubmit: 'Duplicate',
  didArchive: ({ name }: SiteSummary) => `${name} is archived. It stays published.`,
  didRestore: ({ name }: SiteSummary) => `${name} is back among your sites.`,
  didRemove: ({ name }: SiteSummary) => `${name} is deleted.`,
  didDuplicate: (name: string) => `${name} is ready.`,
  undo: 'Undo',
  changed: ({ changed }: SiteSummary): string => {
    if (!changed) return 'No changes yet';
    const ago = formatDistanceToNow(new Date(changed.at), { addSuffix: true });
    return changed.own ? `You edited it ${ago}` : `${changed.by ?? 'An update'} changed it ${ago}`;
  },
  release: ({ live }: SiteSummary): string =>
    live
      ? `Release ${live.number} is live, ${live.changesSince === 0 ? 'no changes since' : `${count(live.changesSince, 'change')} since`}`
      : 'Not published yet',
  role: ({ role }: SiteSummary) => `You are a ${role}`,
} as const;
