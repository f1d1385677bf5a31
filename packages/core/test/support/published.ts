import { type PublishedSite, publishSite, type Site } from '../../src/index.ts';

const STYLE = /<style>([\s\S]*?)<\/style>/g;

/** The style sheets of the pages among some files, one after the other. */
export const cssIn = (files: PublishedSite['files']): string =>
  [...files]
    .flatMap(([path, text]) => (path.endsWith('.html') ? [...text.matchAll(STYLE)].map(it => it[1]) : []))
    .join('\n');

/** The style sheets of all pages of a site as it is published, one after the other. */
export const publishedCss = (site: Site): string => cssIn(publishSite(site).files);

/** A page without its style sheet. */
export const withoutCss = (html: string): string => html.replace(STYLE, '');
