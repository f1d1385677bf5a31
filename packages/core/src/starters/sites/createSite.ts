import { facedSchemes, type GuideData } from '../../guide/index.ts';
import { must } from '../../result/index.ts';
import { applyChange, type Edit, SETTINGS, type Site, type SiteRecord, siteOf } from '../../site/index.ts';
import { DRAWING_HEIGHT, DRAWING_WIDTH } from '../drawings.ts';
import { readyGuide } from '../guides/index.ts';
import { createPage, createSections } from '../pages/createPage.ts';
import { neutralPictures } from '../pictures.ts';
import { createSection } from '../sections/createSection.ts';
import { ends, navigation, pagesListed, small, title } from '../sections/sketch.ts';
import type { SiteStarter } from './siteStarter.ts';

const HOME = 'home';

/** Pictures to begin with, drawn by the program; `file` says where each of them lies. */
const pictures = (file: (name: string) => string): SiteRecord[] =>
  neutralPictures().map(({ name, alt }) => ({
    id: `pic-${name.toLowerCase().replace(/\s+/g, '-')}`,
    kind: 'asset',
    name,
    alt,
    file: file(name),
    mime: 'image/webp',
    width: DRAWING_WIDTH,
    height: DRAWING_HEIGHT,
  }));

/** A whole new site of a ready one, in its own guide or in another one. */
export function createSite(
  starter: SiteStarter,
  name: string,
  file: (drawing: string) => string,
  guide: GuideData = readyGuide(starter.guide),
): Site {
  const [worn] = facedSchemes(guide, starter.face);
  const [home, ...others] = starter.pages;
  let site = siteOf([
    ...guide.records,
    ...pictures(file),
    {
      id: SETTINGS,
      kind: 'settings',
      name,
      language: 'en',
      home: HOME,
      ...guide.settings,
      ...(worn && { defaultScheme: worn.id }),
    },
    {
      id: HOME,
      kind: 'page',
      pageKind: 'page',
      title: home?.title ?? 'Home',
      path: '',
      description: '',
      at: { parent: SETTINGS, order: 'V' },
      scheme: null,
      rebind: {},
    },
  ]);
  const lay = (edits: readonly Edit[]) => {
    site = must(applyChange(site, { edits })).site;
  };
  lay(
    createSection(
      site,
      SETTINGS,
      0,
      {
        label: 'Header',
        tone: 'plain',
        holds: [ends(title, navigation('Main'))],
      },
      'header',
    ).edits,
  );
  const closing = starter.closing === '' ? [] : [small(starter.closing)];
  lay(
    createSection(
      site,
      SETTINGS,
      1,
      {
        label: 'Footer',
        tone: 'strong',
        holds: [ends(...closing, pagesListed('Footer'))],
      },
      'footer',
    ).edits,
  );
  if (home) lay(createSections(site, HOME, home));
  for (const page of others) lay(createPage(site, page).edits);
  return site;
}
