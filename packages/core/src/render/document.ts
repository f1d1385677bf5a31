import { escapeHtml } from './html.ts';

export interface Head {
  language: string;
  title: string;
  description: string;
  /** Addresses of style sheets, in order. */
  sheets: readonly string[];
  /** CSS inside the document, for previews. */
  css?: string;
  preload?: readonly string[];
}

/** A whole HTML document around a body that was printed already. */
export function printDocument(
  { language, title, description, sheets, css, preload = [] }: Head,
  body: string,
): string {
  const attr = escapeHtml;
  return [
    '<!doctype html>',
    `<html lang="${attr(language)}">`,
    '<head>',
    '<meta charset="utf-8">',
    '<meta name="viewport" content="width=device-width, initial-scale=1">',
    `<title>${escapeHtml(title)}</title>`,
    description && `<meta name="description" content="${attr(description)}">`,
    ...preload.map(
      href => `<link rel="preload" href="${attr(href)}" as="font" type="font/woff2" crossorigin>`,
    ),
    ...sheets.map(href => `<link rel="stylesheet" href="${attr(href)}">`),
    // Nothing printed from values can hold `</`; this keeps it so whatever comes to be printed.
    css === undefined ? '' : `<style>${css.replaceAll('</', '<\\/')}</style>`,
    '</head>',
    body,
    '</html>',
    '',
  ]
    .filter((line, i, all) => line !== '' || i === all.length - 1)
    .join('\n');
}
