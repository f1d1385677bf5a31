import { expand, printPicture, type Rank, stateRank, widthRank } from '../cascade/index.ts';
import type { Gamut } from '../color/index.ts';
import { groupBy } from '../lists/index.ts';
import { printDeclaration, propertyOf } from '../properties/index.ts';
import { type AssetRecord, type Id, parseDeclarationKey, type Site, settingsOf } from '../site/index.ts';
import type { State, Styles, Width } from '../slots/index.ts';
import type { CssContext } from '../values/index.ts';
import {
  carrierOf,
  ELEMENTS,
  type ElementType,
  firstPart,
  hostOf,
  hoversByKeys,
  isItem,
  ownerOf,
  type Part,
  partNames,
  partOf,
  presetNamesOf,
  statesOf,
} from '../widgets/index.ts';
import { chainsBetween } from './chains.ts';
import { derivedName, partClass, patternName } from './names.ts';

/** What a rule matches: a part by its class, and the part whose state it follows. */
export interface Target {
  className: string;
  /** What has to be in the state, by its class; null where the part itself has to. */
  host: string | null;
  /** The ways from the host to the part, as selectors between the two. */
  chains: readonly string[];
  /** Classes of the controls of which one’s state counts, where the host only holds it. */
  control: readonly string[];
  /** Classes of the parts meant, where a rule is for a kind of part in a state: others of the kind may not have the state. */
  own: readonly string[];
  /** Pseudo-element of what bears the class. */
  pseudo: Part['pseudo'] | null;
  /** Only where it is the first in what holds it. */
  onFirst: boolean;
  /** What it shows under a pointer it shows by touch too, and to keys. */
  byTouch: boolean;
  byKeys: boolean;
}

/** One rule before it is printed: where it ranks, what it matches, what it says. */
export interface Rule extends Rank {
  /** Of a hover: it shows where there is no pointer too, while what has it is the last thing touched. */
  byTouch?: boolean;
  targets: readonly Target[];
  /** CSS property and text; references print as `var()`. */
  declarations: readonly (readonly [css: string, text: string])[];
}

export interface RuleSource {
  rank: number;
  className: string;
  styles: Styles;
  /** Of properties that are not followed: printed behind the others. */
  declarations?: Readonly<Record<string, string>>;
  /** The element whose parts the slots name; null where they name kinds of part. */
  element: ElementType | null;
  /** Where they name kinds of part: whether items bear the class, or anything but what is worn by an item. */
  items?: boolean;
}

export type PrintMode = 'published' | 'canvas' | 'sheet';

/** How rules are printed, and where pictures lie as seen from the sheet they are printed in. */
export interface Printing {
  mode: PrintMode;
  assetUrl(asset: AssetRecord): string;
}

export const viewportUnitOf = (mode: PrintMode): string => (mode === 'sheet' ? 'var(--vw)' : '1vw');

/** Prints references as custom properties, so that one edit of a token or scheme reaches every rule. */
export function varContext(site: Site, { mode, assetUrl }: Printing, gamut: Gamut = 'srgb'): CssContext {
  const { fluidFrom, fluidTo } = settingsOf(site);
  return {
    fluid: { from: fluidFrom, to: fluidTo },
    gamut,
    viewportUnit: viewportUnitOf(mode),
    token: (id: Id) => `var(--t-${id})`,
    role: name => `var(--r-${name})`,
    derived: value => `var(--${derivedName(value.derivation)})`,
    picture: id => printPicture(site, id, assetUrl),
    pattern: value => `var(--${patternName(value)})`,
  };
}

/** States that a pointer is in with whatever it is over; the others are those of a control. */
const BY_POINTER: readonly State[] = ['hover', 'pressed'];

function targetOf(styled: ElementType, part: string, className: string, state: State): Target {
  const element = ownerOf(styled, part);
  const { pseudo = null, onFirst = false } = partOf(element, part) ?? {};
  const rest = {
    className: partClass(className, part, pseudo),
    host: null,
    chains: [],
    control: [],
    own: [],
    pseudo,
    onFirst,
    byTouch: false,
    byKeys: false,
  };
  if (state === 'rest') return rest;
  const host = hostOf(element, part, state);
  const carrier = carrierOf(element, part);
  const within = BY_POINTER.includes(state) ? undefined : partOf(element, host)?.within;
  return {
    ...rest,
    ...(host !== carrier && {
      host: `${element.name}-${host}`,
      chains: chainsBetween(element, host, carrier),
    }),
    control: (within ?? []).map(it => `${element.name}-${it}`),
    byTouch: state === 'hover' && partOf(element, host)?.byTouch === true,
    byKeys: state === 'hover' && hoversByKeys(element, part),
  };
}

type Bearer = Omit<Target, 'className'>;
const bearers = new Map<string, readonly Bearer[]>();

/** What bears a kind of part in a state, over all widgets or all items: which is the same for every source that names the kind. */
function bearersOf(kind: string, state: State, items: boolean): readonly Bearer[] {
  const key = `${kind}:${state} ${items}`;
  let found = bearers.get(key);
  if (!found) {
    const distinct = new Map<string, Bearer & { own: string[] }>();
    for (const type of ELEMENTS)
      for (const name of partNames(type)) {
        if (!presetNamesOf(type, name).includes(kind) || (items && !isItem(type))) continue;
        if (state !== 'rest' && !statesOf(type, name).includes(state)) continue;
        const { className: _, own: __, ...shape } = targetOf(type, name, '', state);
        const shapeKey = Object.values(shape).join(' ');
        const alike = distinct.get(shapeKey) ?? { ...shape, own: [] };
        if (state !== 'rest') alike.own.push(`${type.name}-${carrierOf(type, name)}`);
        distinct.set(shapeKey, alike);
      }
    found = [...distinct.values()];
    bearers.set(key, found);
  }
  return found;
}

/** Where a rule of a part matches; for a kind of part (no element), wherever some widget has such a part. */
const targetsOf = (
  { element, className, items = false }: RuleSource,
  part: string,
  state: State,
): Target[] =>
  element
    ? [targetOf(element, part, className, state)]
    : bearersOf(part, state, items).map(it => ({ ...it, className: partClass(className, part, it.pseudo) }));

type Growing = Rule & { declarations: (readonly [string, string])[] };

const counting = new Map<string, readonly string[]>();
/** Classes of the parts of a kind that count with lengths of theirs. */
function partsThatCount(kind: string): readonly string[] {
  let found = counting.get(kind);
  if (!found) {
    found = ELEMENTS.flatMap(type =>
      Object.entries(type.parts).flatMap(([name, part]) =>
        part.counts && presetNamesOf(type, name).includes(kind) ? [`${type.name}-${name}`] : [],
      ),
    );
    counting.set(kind, found);
  }
  return found;
}

/** Rules of one record's styles, a rule for each part, state and width. */
export function rulesOf(site: Site, source: RuleSource, context: CssContext): Rule[] {
  const rules = new Map<string, Growing>();
  const ruleOf = (part: string, state: State, width: Width): Growing | null => {
    const key = `${part}:${state}@${width}`;
    const known = rules.get(key);
    if (known) return known;
    const targets = targetsOf(source, part, state);
    if (targets.length === 0) return null;
    const rule: Growing = { state, width, rank: source.rank, targets, declarations: [] };
    rules.set(key, rule);
    return rule;
  };
  /** Where a length is carried as a custom property too: on parts that count with it, and no others. */
  const carrierOfLengths = (part: string, state: State, width: Width): Growing | null => {
    if (source.element) return partOf(source.element, part)?.counts ? ruleOf(part, state, width) : null;
    const own = partsThatCount(part);
    const targets = targetsOf(source, part, state).map(it => ({ ...it, own }));
    if (own.length === 0 || targets.length === 0) return null;
    const rule: Growing = { state, width, rank: source.rank, targets, declarations: [] };
    rules.set(`${part}:${state}@${width} carried`, rule);
    return rule;
  };
  for (const { part, state, width, property, value } of expand(site, source.styles)) {
    const row = propertyOf(property);
    const text = printDeclaration(row, value, context);
    const { declarations } = ruleOf(part, state, width) ?? {};
    declarations?.push([row.logical ?? row.css, text]);
    if (row.carriedAs)
      carrierOfLengths(part, state, width)?.declarations.push([
        row.carriedAs,
        value.type === 'keyword' ? '0px' : text,
      ]);
  }
  for (const [key, text] of Object.entries(source.declarations ?? {})) {
    const at = parseDeclarationKey(key);
    if (at) ruleOf(at.part, at.state, at.width)?.declarations.push([at.css, text]);
  }
  return [...rules.values()].flatMap(rule => (rule.state === 'hover' ? byTouchApart(rule) : [rule]));
}

/** A rule of a hover as two where some of what it matches shows it by touch and some does not. */
function byTouchApart(rule: Rule): Rule[] {
  const touched = rule.targets.filter(it => it.byTouch);
  const others = rule.targets.filter(it => !it.byTouch);
  return [
    ...(others.length > 0 ? [{ ...rule, targets: others }] : []),
    ...(touched.length > 0 ? [{ ...rule, targets: touched, byTouch: true }] : []),
  ];
}

/** The cascade layer of a rank; layers are declared in the order of ranks, so that nothing else decides. */
export const layerOf = ({ state, width, rank }: Rank): string =>
  `c${stateRank(state)}-${widthRank(width)}-${rank}`;

const STATE_SELECTORS: Record<Exclude<State, 'rest'>, string> = {
  alternate: ':nth-child(even)',
  selected: ':is([aria-current],[aria-selected=true],[aria-expanded=true],:checked,[open],:popover-open)',
  valid: ':user-valid',
  invalid: ':user-invalid',
  hover: ':hover',
  focus: ':focus-visible',
  pressed: ':active',
  disabled: ':is(:disabled,[aria-disabled=true])',
};

/** What a pointer shows of things that are no controls is shown to whoever comes by keyboard too. */
const POINTED_AT = ':is(:hover,:focus-visible,:has(:focus-visible))';

function stateSelector(state: State, byKeys: boolean, mode: PrintMode): string {
  if (state === 'rest') return '';
  const forced = `[data-state=${state}]`;
  // Which of several it is can be seen in a sheet too.
  if (mode === 'sheet' && state !== 'alternate') return forced;
  const selector = byKeys ? POINTED_AT : STATE_SELECTORS[state];
  return mode !== 'published' ? `:is(${selector},${forced})` : selector;
}

/** The same for a host that holds the control. */
function controlSelector(state: State, control: readonly string[], mode: PrintMode): string {
  if (state === 'rest') return '';
  const within = `:has(:is(${control.map(it => `.${it}`).join(',')})${STATE_SELECTORS[state]})`;
  return mode === 'canvas' ? `:is(${within},[data-state=${state}])` : within;
}

export function selectorOf(
  { targets, state, width }: Pick<Rule, 'targets' | 'state' | 'width'>,
  mode: PrintMode,
): string {
  const stateOf = ({ control, byKeys }: Target) =>
    control.length === 0 || mode === 'sheet'
      ? stateSelector(state, byKeys, mode)
      : controlSelector(state, control, mode);
  const plain = (some: readonly Target[]) =>
    some.flatMap(target => {
      const [only, ...more] = target.own;
      const own =
        more.length > 0 ? `:is(${target.own.map(it => `.${it}`).join(',')})` : only ? `.${only}` : '';
      const self = `.${target.className}${own}${target.onFirst ? ':first-child' : ''}`;
      return target.host === null
        ? [`${self}${stateOf(target)}`]
        : target.chains.map(chain => `.${target.host}${stateOf(target)}${chain}${self}`);
    });
  const columns: Record<Width, string> = {
    wide: '',
    medium: ':is([data-width=medium],[data-width=narrow]) ',
    narrow: '[data-width=narrow] ',
  };
  const prefix = mode === 'sheet' ? columns[width] : '';
  // A pseudo-element cannot stand inside :where(); the layers decide, so its weight says nothing.
  return [...groupBy(targets, it => it.pseudo ?? '')]
    .map(
      ([pseudo, some]) =>
        `:where(${plain(some)
          .map(selector => prefix + selector)
          .join(',')})${pseudo && `::${pseudo}`}`,
    )
    .join(',');
}

/** The conditions around a rule, outermost first: its layer, its width, and a pointer for hover. */
export function conditionsOf(site: Site, rule: Rank & Pick<Rule, 'byTouch'>, mode: PrintMode): string[] {
  const { mediumTo, narrowTo } = settingsOf(site);
  const conditions = [`@layer ${layerOf(rule)}`];
  if (mode === 'sheet') return conditions;
  if (rule.width !== 'wide')
    conditions.push(`@media (width<=${rule.width === 'medium' ? mediumTo : narrowTo}px)`);
  if (rule.state === 'hover' && mode === 'published' && !rule.byTouch)
    conditions.push('@media (hover:hover)');
  return conditions;
}

export const printDeclarations = (declarations: Rule['declarations']): string =>
  declarations.map(([css, text]) => `${css}:${text}`).join(';');

/** A rule without the conditions around it. */
export const printBare = (rule: Rule, mode: PrintMode): string =>
  `${selectorOf(rule, mode)}{${printDeclarations(rule.declarations)}}`;

export const printRule = (site: Site, rule: Rule, mode: PrintMode): string =>
  conditionsOf(site, rule, mode).reduceRight(
    (text, condition) => `${condition}{${text}}`,
    printBare(rule, mode),
  );

export const BASE_LAYER = 'base';
/** The statement that puts layers in the order of their ranks, whatever order their rules are written in. */
export function printLayerOrder(ranks: Iterable<Rank>): string {
  const layers = new Map<string, Rank>();
  for (const rank of ranks) layers.set(layerOf(rank), rank);
  const sorted = [...layers].sort(
    ([, a], [, b]) =>
      stateRank(a.state) - stateRank(b.state) || widthRank(a.width) - widthRank(b.width) || a.rank - b.rank,
  );
  return `@layer ${[BASE_LAYER, ...sorted.map(([name]) => name)].join(',')};`;
}

/** What elements ask for below all ranks; of those whose classes are used, where they are given. */
export function printElementBases(used: ReadonlySet<string> | null, mode: PrintMode): string {
  const rules = ELEMENTS.flatMap(element => {
    const { name, base = {}, css = [], cssWithoutScripts = [] } = element;
    const isUsed = (part: string) => used?.has(`${name}-${part}`) !== false;
    const declared = Object.entries(base).flatMap(([target, declarations]) => {
      const [part = '', tag = ''] = target.split('.').reverse();
      return isUsed(part) ? [`:where(${tag}.${name}-${part}){${declarations}}`] : [];
    });
    if (!isUsed(firstPart(element))) return declared;
    const named = new RegExp(`\\.${name}-(\\w+)`, 'g');
    const isAsked = (rule: string) => [...rule.matchAll(named)].every(([, part = '']) => isUsed(part));
    // A canvas runs no script either, and shows what visitors see who do.
    const without = mode === 'published' ? cssWithoutScripts.filter(isAsked).join('') : '';
    return [...declared, ...css.filter(isAsked), without && `@media (scripting:none){${without}}`];
  });
  const text = rules.join('');
  return text === '' ? '' : `@layer ${BASE_LAYER}{${text}}`;
}

/** On the canvas, where a page may be long and is edited, sections off screen are not laid out. */
const SKIPPED_OFF_SCREEN = ':where(.section-box){content-visibility:auto;contain-intrinsic-size:auto 36rem}';

/**
 * On paper: grounds are kept, since words were chosen to be read on them; nothing stays in view or waits to come in; a link to
 * another site says where it leads; what belongs together is not parted.
 */
const ON_PAPER =
  '@media print{*{-webkit-print-color-adjust:exact;print-color-adjust:exact;animation-name:none!important}:where(.header-box,.footer-box,.section-box){position:relative!important}:where(main a[href^=http])::after{content:" (" attr(href) ")";overflow-wrap:anywhere;font-size:.8em}:where(figure,img,tr,li){break-inside:avoid}:where(h1,h2,h3,h4){break-after:avoid}.skip{display:none}}';

/**
 * What holds for every page, below all ranks. A section is a formatting context of its own and clips what leaves it; what pages
 * share is one too, but what opens in it may leave it. A header that stays in view does so as long as the page does, and over
 * all else.
 */
export const baseCss = (mode: PrintMode): string =>
  `@layer ${BASE_LAYER}{:root{-webkit-text-size-adjust:100%;text-size-adjust:100%;font-synthesis:none;overflow-wrap:break-word}picture{display:contents}picture>source{display:none}:where(.section-box){contain:layout paint}:where(.section-box){overflow:clip}${mode === 'canvas' ? SKIPPED_OFF_SCREEN : ''}:where(.header-box){z-index:2}.skip{position:absolute;inset-inline-start:-99rem}.skip:focus{inset-inline-start:1rem;top:1rem;z-index:1;padding:.5rem 1rem;color:var(--r-text);background:var(--r-surface)}::selection{background:var(--r-selection)}@media (prefers-reduced-motion:reduce){*{transition-duration:0s!important;animation-name:none!important}}${mode === 'published' ? ON_PAPER : ''}}`;
