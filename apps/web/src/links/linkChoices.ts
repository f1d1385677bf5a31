import { filesOf, type LinkTarget, pagesInOrder, type Site, sectionsIn } from '@cove/core';

/** A page, or a place in one, as the value of an option. */
export const optionOf = (link: LinkTarget | null): string => {
  if (link?.type === 'page') return link.page;
  if (link?.type === 'file') return `file: ${link.asset}`;
  return link?.type === 'section' ? `${link.page} ${link.section}` : '';
};
export const targetOf = (option: string): LinkTarget => {
  const [page = '', section] = option.split(' ');
  if (page === 'file:' && section !== undefined) return { type: 'file', asset: section };
  return section === undefined ? { type: 'page', page } : { type: 'section', page, section };
};

/** Files of the site, to be linked to or played. */
export const fileChoices = (site: Site): { value: string; label: string }[] =>
  filesOf(site).map(({ id, name }) => ({ value: `file: ${id}`, label: `File: ${name}` }));

/** The pages, each before the places in it that a link can lead to; then the files. */
export const linkChoices = (site: Site): { value: string; label: string }[] => [
  ...pagesInOrder(site).flatMap(page => [
    { value: page.id, label: page.title },
    ...sectionsIn(site, page.id, 'main').map(({ id, name }) => ({
      value: `${page.id} ${id}`,
      label: `${page.title} › ${name}`,
    })),
  ]),
  ...fileChoices(site),
];
