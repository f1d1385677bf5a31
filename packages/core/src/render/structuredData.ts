import { branchOf } from '../cascade/index.ts';
import { type PageRecord, type Site, settingsOf } from '../site/index.ts';
import { homePage, pageFolder } from './links.ts';

/** Facts about a page for whoever reads it by program, as JSON-LD (JSON-LD 1.1; vocabulary of schema.org). */
export type StructuredData = Readonly<Record<string, unknown>>;

/** JSON that is safe inside a script element (HTML, section 4.12.1.3): nothing in it can end the element or begin another. */
export const printStructuredData = (data: StructuredData): string =>
  `<script type="application/ld+json">${JSON.stringify(data).replace(
    /[<>&\u2028\u2029]/g,
    it => `\\u${it.charCodeAt(0).toString(16).padStart(4, '0')}`,
  )}</script>`;

/** What the site is, on its home page, and the way down to any page below another; addresses are in full. */
export function structuredDataOf(site: Site, page: PageRecord, address: string): StructuredData[] {
  const addressOf = (it: PageRecord) => `${address}/${pageFolder(site, it)}`;
  const home = homePage(site);
  const { name, language } = settingsOf(site);
  if (page.id === home?.id)
    return [
      {
        '@context': 'https://schema.org',
        '@type': 'WebSite',
        name,
        inLanguage: language,
        url: addressOf(page),
      },
    ];
  const branch = branchOf(site, page).flatMap(id => site.kinds.page.get(id) ?? []);
  if (branch.length < 2) return [];
  return [
    {
      '@context': 'https://schema.org',
      '@type': 'BreadcrumbList',
      itemListElement: branch.map((it, i) => ({
        '@type': 'ListItem',
        position: i + 1,
        name: it.title,
        item: addressOf(it),
      })),
    },
  ];
}
