import { chart } from './sets/chart.ts';
import { rigging } from './sets/rigging.ts';

export type IconName = keyof typeof rigging;

/** One set of icons: the same names drawn by another hand. */
export interface IconSet {
  name: string;
  label: string;
  licence: string;
  icons: Readonly<Record<IconName, string>>;
}

export const ICON_SETS = [
  { name: 'rigging', label: 'Rigging', licence: 'Lucide, ISC licence', icons: rigging },
  { name: 'chart', label: 'Chart', licence: 'Tabler Icons, MIT licence', icons: chart },
] as const satisfies readonly IconSet[];
export type IconSetName = (typeof ICON_SETS)[number]['name'];

const NAMES: ReadonlySet<string> = new Set(Object.keys(rigging));
export const isIconName = (name: string): name is IconName => NAMES.has(name);
export const ICON_NAMES: readonly IconName[] = Object.keys(rigging).filter(isIconName);

export const iconSetNamed = (name: string): IconSet =>
  ICON_SETS.find(set => set.name === name) ?? ICON_SETS[0];

/** Length of a side of the field that icons of a set are drawn on. */
export const ICON_FIELD = 24;
