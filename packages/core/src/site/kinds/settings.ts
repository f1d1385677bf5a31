import { readPlain } from '../../content/index.ts';
import { ICON_SETS, type IconSetName } from '../../icons/index.ts';
import { PHRASE_NAMES, type PhraseName } from '../../phrases/index.ts';
import { BadField, type Fields } from '../fields.ts';
import type { HeaderKind, Id } from '../records.ts';
import { EVERYTHING, NOTHING, onlyDiffer } from './effects.ts';
import { picture } from './mentions.ts';
import { headerKind, set } from './readCommon.ts';
import type { RecordKind } from './recordKind.ts';

export interface SettingsRecord extends HeaderKind {
  id: Id;
  kind: 'settings';
  name: string;
  language: string;
  home: Id;
  defaultScheme: Id;
  /** Most px at which medium, and narrow, still hold. */
  mediumTo: number;
  narrowTo: number;
  /** Viewport widths in px between which fluid sizes grow. */
  fluidFrom: number;
  fluidTo: number;
  /** Tokens that the type scale starts from and grows by. */
  textBase: Id;
  textRatio: Id;
  /** The icon set in use; the first where left out. */
  iconSet?: IconSetName;
  /** The picture in a tab of the browser. */
  tabIcon?: Id;
  /** The brand’s logo, and the one for dark surfaces where that is another. */
  logo?: Id;
  darkLogo?: Id;
  /** Links that lead away open a window of their own. */
  awayInNewTab?: true;
  /** Where the published site is found, as `https://…` without a slash at its end; what has to be said in full needs it. */
  address?: string;
  /** Screens of a wide gamut are given the colours that only they can show. */
  wideColors?: true;
  /** Visitors whose device asks for a dark page see light schemes as their dark counterparts. */
  darkVersion?: true;
  /** Pages of other origins may read the guide that is published with the site. */
  openGuide?: true;
  /** Words of the site’s own in place of what the program says on its pages. */
  phrases?: Readonly<Partial<Record<PhraseName, string>>>;
}

/** Scheme, host and perhaps a folder; no slash at the end. */
const SITE_ADDRESS = /^https?:\/\/[a-z0-9.-]+(:\d{1,5})?(\/[\w.~-]+)*$/i;
const LANGUAGE = /^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$/;

const isPhrase = (name: string): name is PhraseName => PHRASE_NAMES.some(it => it === name);
const LONGEST_PHRASE = 100;

const phrases = (fields: Fields) =>
  fields.maybeMap('phrases', (key, it, path): string => {
    if (!isPhrase(key)) throw new BadField(path, key, `one of ${PHRASE_NAMES.join(', ')}`);
    const text = readPlain(it);
    if (text === null || text.trim() === '' || text.length > LONGEST_PHRASE)
      throw new BadField(path, it, `text of 1 to ${LONGEST_PHRASE} characters`);
    return text;
  });

/** Small screens have fewer pixels than large ones. */
const ordered = (fields: Fields) => {
  const widths = {
    narrowTo: fields.integer('narrowTo', 200, 4000),
    mediumTo: fields.integer('mediumTo', 201, 5000),
  };
  if (widths.narrowTo >= widths.mediumTo)
    throw new BadField('narrowTo', widths.narrowTo, `less than mediumTo, ${widths.mediumTo}`);
  const fluid = {
    fluidFrom: fields.integer('fluidFrom', 200, 4000),
    fluidTo: fields.integer('fluidTo', 201, 5000),
  };
  if (fluid.fluidFrom >= fluid.fluidTo)
    throw new BadField('fluidFrom', fluid.fluidFrom, `less than fluidTo, ${fluid.fluidTo}`);
  return { ...widths, ...fluid };
};

/** What the site is as a whole; there is one such record. */
export const settings: RecordKind<SettingsRecord, null> = {
  label: 'settings',
  read: (id, f) => ({
    id,
    kind: 'settings',
    name: f.text('name'),
    language: f.read('language', 'a language such as en', it =>
      typeof it === 'string' && it.length <= 35 && LANGUAGE.test(it) ? it : null,
    ),
    home: f.id('home'),
    defaultScheme: f.id('defaultScheme'),
    ...ordered(f),
    textBase: f.id('textBase'),
    textRatio: f.id('textRatio'),
    ...f.maybe('iconSet', (it, name) =>
      it.oneOf(
        name,
        ICON_SETS.map(it => it.name),
      ),
    ),
    ...f.maybe('tabIcon', (it, name) => it.id(name)),
    ...f.maybe('logo', (it, name) => it.id(name)),
    ...f.maybe('darkLogo', (it, name) => it.id(name)),
    ...set(f, 'awayInNewTab'),
    ...set(f, 'wideColors'),
    ...set(f, 'darkVersion'),
    ...set(f, 'openGuide'),
    ...phrases(f),
    ...headerKind(f),
    ...f.maybe('address', (it, name) =>
      it.read(name, 'an address such as https://ferries.example', value =>
        typeof value === 'string' && value.length <= 300 && SITE_ADDRESS.test(value) ? value : null,
      ),
    ),
  }),
  references: record => [
    { path: 'home', to: record.home, kinds: ['page'] },
    { path: 'defaultScheme', to: record.defaultScheme, kinds: ['scheme'] },
    { path: 'textBase', to: record.textBase, kinds: ['token'], types: ['dimension'] },
    { path: 'textRatio', to: record.textRatio, kinds: ['token'], types: ['number'] },
    ...picture('tabIcon', record.tabIcon),
    ...picture('logo', record.logo),
    ...picture('darkLogo', record.darkLogo),
  ],
  rightToPut: () => 'guide',
  rights: {
    name: 'guide',
    language: 'guide',
    home: 'guide',
    defaultScheme: 'guide',
    mediumTo: 'guide',
    narrowTo: 'guide',
    fluidFrom: 'guide',
    fluidTo: 'guide',
    textBase: 'guide',
    textRatio: 'guide',
    iconSet: 'guide',
    tabIcon: 'guide',
    logo: 'guide',
    darkLogo: 'guide',
    awayInNewTab: 'guide',
    address: 'guide',
    wideColors: 'guide',
    darkVersion: 'guide',
    openGuide: 'guide',
    phrases: 'guide',
    headerScrolls: 'guide',
    headerColors: 'guide',
  },
  check(record, _, { get }) {
    const home = get(record.home);
    if (home?.kind !== 'page' || (home.path === '' && !home.off)) return null;
    return {
      code: 'bad-home',
      message: home.off ? 'The home page cannot be off.' : 'The home page has an empty address.',
      record: record.id,
      path: 'home',
      found: home.path,
      expected: 'a page that is on and whose path is empty',
    };
  },
  guide: null,
  name: () => 'the site',
  location: () => null,
  effects: (was, is) =>
    was && is && onlyDiffer(was, is, ['tabIcon', 'address', 'openGuide', 'textBase', 'textRatio'])
      ? NOTHING
      : EVERYTHING,
};
