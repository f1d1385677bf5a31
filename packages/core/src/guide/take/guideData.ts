import type {
  DefaultRecord,
  Kind,
  SettingsRecord,
  SiteRecord,
  VariantRuleRecord,
} from '../../site/records.ts';
import { allRecords, type Site, settingsOf } from '../../site/site.ts';

/** Kinds of record that a guide is made of. Fonts of a site's own stay with the site, since their files do. */
export const GUIDE_KINDS = [
  'token',
  'role',
  'scheme',
  'textStyle',
  'default',
  'variant',
  'variantRule',
  'preset',
] as const satisfies readonly Kind[];
export type GuideRecord = Extract<SiteRecord, { kind: (typeof GUIDE_KINDS)[number] }>;

export type GuideSettings = Pick<
  SettingsRecord,
  'defaultScheme' | 'mediumTo' | 'narrowTo' | 'fluidFrom' | 'fluidTo' | 'textBase' | 'textRatio'
>;

/** A whole guide without the pages it dresses: a ready-made one, or one saved from a site. */
export interface GuideData {
  name: string;
  about: string;
  records: readonly GuideRecord[];
  settings: GuideSettings;
}

export const isGuideRecord = (record: SiteRecord): record is GuideRecord =>
  GUIDE_KINDS.some(kind => kind === record.kind);

/** Rules for one page, branch or section belong to the site and not to the guide that leaves it. */
const staysHere = ({ place }: DefaultRecord | VariantRuleRecord): boolean =>
  place?.type === 'page' || place?.type === 'branch' || place?.type === 'section';

export function guideSettings(site: Site): GuideSettings {
  const { defaultScheme, mediumTo, narrowTo, fluidFrom, fluidTo, textBase, textRatio } = settingsOf(site);
  return { defaultScheme, mediumTo, narrowTo, fluidFrom, fluidTo, textBase, textRatio };
}

/** The guide of a site, as it can be taken to another one. */
export function guideOf(site: Site, name: string, about = ''): GuideData {
  const records = [...allRecords(site)].filter(isGuideRecord).filter(record => {
    if (record.kind === 'default' || record.kind === 'variantRule') return !staysHere(record);
    return true;
  });
  return { name, about, records, settings: guideSettings(site) };
}
