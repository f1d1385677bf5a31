import type {
  DefaultRecord,
  Kind,
  SettingsRecord,
  SiteRecord,
  VariantRuleRecord,
} from '../../site/records.ts';
import { referencesOf } from '../../site/references.ts';
import { allRecords, type Site, settingsOf } from '../../site/site.ts';

/** Kinds of record that a guide is made of; those with files of their own need the files to be carried along. */
export const GUIDE_KINDS = [
  'token',
  'role',
  'scheme',
  'textStyle',
  'default',
  'variant',
  'variantRule',
  'preset',
  'drawing',
  'note',
  'font',
  'asset',
] as const satisfies readonly Kind[];
export type GuideRecord = Extract<SiteRecord, { kind: (typeof GUIDE_KINDS)[number] }>;

/** What a brand owns rather than how it looks: another guide leaves it where it is. */
const OWNED: readonly Kind[] = ['drawing', 'note', 'font', 'asset'];
export const isOwned = ({ kind }: SiteRecord): boolean => OWNED.includes(kind);

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
  const rules = [...allRecords(site)].filter(isGuideRecord).filter(record => {
    if (record.kind === 'default' || record.kind === 'variantRule') return !staysHere(record);
    return record.kind !== 'font' && record.kind !== 'asset';
  });
  // Of pictures and fonts only those go along that the guide speaks of; the others are the pages'.
  const named = new Set(rules.flatMap(record => referencesOf(record).map(({ to }) => to)));
  const spoken = new Set(
    [...site.kinds.token.values()].flatMap(({ value }) => (value.type === 'fontFamily' ? value.value : [])),
  );
  const records = [
    ...rules,
    ...[...site.kinds.font.values()].filter(({ family }) => spoken.has(family)),
    ...[...site.kinds.asset.values()].filter(({ id }) => named.has(id)),
  ];
  return { name, about, records, settings: guideSettings(site) };
}
