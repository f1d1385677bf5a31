import { directionOf } from '../phrases/index.ts';
import { escapeHtml } from './html.ts';
import { printStructuredData, type StructuredData } from './structuredData.ts';

export interface Head {
  language: string;
  title: string;
  description: string;
  /** CSS, which stands inside the document. */
  css: string;
  preload?: readonly string[];
  /** Addresses of modules that are run once the page is read. */
  modules?: readonly string[];
  /** Search engines are asked to stay away. */
  unindexed?: boolean;
  icons?: readonly HeadIcon[];
  /** Where the page is found, in full, and the picture that is shown where it is shared. */
  address?: string | undefined;
  sharePicture?: { href: string; alt: string } | undefined;
  data?: readonly StructuredData[];
}

const property = (name: string, content: string): string =>
  `<meta property="og:${name}" content="${escapeHtml(content)}">`;

/** What other programs show of a link to the page (The Open Graph protocol); addresses have to be in full. */
const shared = ({
  title,
  description,
  address,
  sharePicture,
}: Pick<Head, 'title' | 'description' | 'address' | 'sharePicture'>): string[] =>
  address === undefined
    ? []
    : [
        `<link rel="canonical" href="${escapeHtml(address)}">`,
        property('type', 'website'),
        property('title', title),
        property('url', address),
        ...(description === '' ? [] : [property('description', description)]),
        ...(sharePicture
          ? [property('image', sharePicture.href), property('image:alt', sharePicture.alt)]
          : []),
      ];

/** A whole HTML document around a body that was printed already. */
export function printDocument(
  {
    language,
    title,
    description,
    css,
    preload = [],
    modules = [],
    unindexed = false,
    icons = [],
    address,
    sharePicture,
    data = [],
  }: Head,
  body: string,
): string {
  const attr = escapeHtml;
  return [
    '<!doctype html>',
    `<html lang="${attr(language)}"${directionOf(language) === 'rtl' ? ' dir="rtl"' : ''}>`,
    '<head>',
    '<meta charset="utf-8">',
    '<meta name="viewport" content="width=device-width, initial-scale=1">',
    `<title>${escapeHtml(title)}</title>`,
    description && `<meta name="description" content="${attr(description)}">`,
    unindexed && '<meta name="robots" content="noindex">',
    ...icons.map(
      ({ rel, href, type, sizes }) =>
        `<link rel="${rel}" href="${attr(href)}" type="${attr(type)}"${sizes === null ? '' : ` sizes="${attr(sizes)}"`}>`,
    ),
    ...shared({ title, description, address, sharePicture }),
    ...data.map(printStructuredData),
    ...preload.map(
      href => `<link rel="preload" href="${attr(href)}" as="font" type="font/woff2" crossorigin>`,
    ),
    ...modules.map(src => `<script type="module" src="${attr(src)}"></script>`),
    // Nothing printed from values can hold `</`; this keeps it so whatever comes to be printed.
    `<style>${css.replaceAll('</', '<\\/')}</style>`,
    '</head>',
    body,
    '</html>',
    '',
  ]
    .filter((line, i, all) => (line !== '' && line) || i === all.length - 1)
    .join('\n');
}

/** An icon of a page: for the tab, or for a home screen. */
export interface HeadIcon {
  rel: 'icon' | 'apple-touch-icon';
  href: string;
  type: string;
  /** Null for a drawing, which serves every size. */
  sizes: string | null;
}
