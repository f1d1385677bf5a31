import { type AssetRecord, type PageRecord, type Site, settingsOf } from '../site/index.ts';
import { renderBody, tagsIn } from './body.ts';
import { printDocument } from './document.ts';
import { fontsIn, printFontFaces } from './fonts.ts';
import { printHtml } from './html.ts';
import type { PrintMode } from './rules.ts';
import { pageStyles } from './stylesheet.ts';

export interface PreviewBases {
  fonts: string;
  /** Of the site’s own; where left out, as the others. */
  ownFonts?: string;
  assets: string;
}

/** A page as one document with its CSS inside and its parts marked. */
export function renderPreview(
  site: Site,
  page: PageRecord,
  bases: PreviewBases,
  mode: PrintMode = 'published',
): string {
  const assetUrl = ({ file }: AssetRecord) => `${bases.assets}${file}`;
  const body = renderBody(site, page, {
    marks: true,
    links: false,
    assetUrl,
  });
  const styles = pageStyles(site, page, { mode, assetUrl });
  const faces = printFontFaces(
    fontsIn(site, styles, tagsIn(body).has('em')),
    ({ file, own }) => `${own ? (bases.ownFonts ?? bases.fonts) : bases.fonts}${file}`,
  );
  const { language, name } = settingsOf(site);
  return printDocument(
    {
      language,
      title: `${page.title} – ${name}`,
      description: page.description,
      css: `${faces}\n${styles}`,
    },
    printHtml(body),
  );
}
