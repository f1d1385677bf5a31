import { type Kind, kindNamed } from '../../site/kinds/index.ts';
import type {
  DefaultRecord,
  GuideRecord,
  Id,
  SettingsRecord,
  SiteRecord,
  VariantRuleRecord,
} from '../../site/records.ts';
import { referencesOf } from '../../site/references.ts';
import { allRecords, type Site, settingsOf } from '../../site/site.ts';

export type { GuideRecord } from '../../site/records.ts';

const inGuide = <K extends Kind>(kind: K) => kindNamed(kind).guide;

/** What a brand owns rather than how it looks: another guide leaves it where it is. */
export const isOwned = ({ kind }: SiteRecord): boolean => inGuide(kind)?.owned ?? false;

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
  /** Ids of what it has and nobody can read: what stands under them in a site stays as it is. */
  unread?: readonly Id[];
}

/** Records that a guide is made of. */
export const isGuideRecord = (record: SiteRecord): record is GuideRecord => inGuide(record.kind) !== null;

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
