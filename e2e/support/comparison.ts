import {
  type AssetRecord,
  baseCss,
  computedStyles,
  guideRules,
  hostOf,
  hoversByKeys,
  nodeScope,
  type PageRecord,
  PROPERTIES,
  pageScope,
  partNames,
  partOf,
  printBlock,
  printElementBases,
  printHtml,
  printLayerOrder,
  printRules,
  propertyOf,
  renderCell,
  rootBlocks,
  type Scope,
  type Site,
  type SpecimenColumn,
  type State,
  type Surroundings,
  samplesIn,
  schemeBlocks,
  specimenRows,
  specimenScope,
  statesOf,
  viewportOf,
  type Width,
} from '@cove/core';
import type { CDPSession, Page } from 'puppeteer-core';

/** Where pictures would lie; nothing is fetched from there. */
export const BASES = { fonts: 'https://fonts.invalid/', assets: 'https://assets.invalid/' };
export const assetUrl = ({ file }: AssetRecord): string => `${BASES.assets}${file}`;

/** All rules of a guide as the specimen has them. */
export const sheetStyles = (site: Site) => {
  const rules = guideRules(site, { mode: 'sheet', assetUrl });
  return [
    printLayerOrder(rules),
    baseCss('sheet'),
    printElementBases(null, 'sheet'),
    ...[...rootBlocks(site, { mode: 'sheet', gamut: 'srgb' }), ...schemeBlocks(site, 'srgb')].map(printBlock),
    printRules(site, rules, 'sheet'),
  ].join('\n');
};

/** An element as it was found: whose part it is, and whether it is the current one of several. */
interface Found {
  node: string | null;
  part: string;
  row: string | null;
  variants: string | null;
  /** Parts of the same instance, itself or around it, that are open or chosen. */
  chosen: string[];
  /** Parts of the same instance, itself or around it, that are every second one of those beside each other. */
  second: string[];
  /** Its number among all that were found, and the numbers of those around it, the nearest first. */
  chain: number[];
}

export interface Difference {
  element: string;
  property: string;
  browser: string;
  core: string;
}

const CSS_NAMES = PROPERTIES.map(row => row.css);
const PSEUDO: Partial<Record<State, string>> = { hover: 'hover', focus: 'focus-visible', pressed: 'active' };

/** What the core holds of an element, as inline text; what nobody sets is set back to what CSS gives. */
function inline(
  site: Site,
  scope: Scope,
  part: string,
  states: readonly State[],
  width: Width,
  surroundings: Surroundings,
): Record<string, string> {
  const values = Object.fromEntries(CSS_NAMES.map(name => [name, 'unset']));
  for (const [property, text] of computedStyles(site, scope, part, states, width, surroundings))
    values[propertyOf(property).css] = text;
  // What stands in a place of its own, or over all else, does so below all ranks, where no property speaks.
  if (values['z-index'] === 'unset') delete values['z-index'];
  const { position, ...others } = values;
  return partOf(scope.element, part)?.placed || position === undefined ? others : { ...others, position };
}

const statesAt = (
  scope: Scope,
  part: string,
  state: State,
  { chosen, second }: Pick<Found, 'chosen' | 'second'>,
  byKeys: boolean,
): State[] => {
  const known = statesOf(scope.element, part);
  const selected = chosen.includes(hostOf(scope.element, part, 'selected'));
  const alternate = second.includes(hostOf(scope.element, part, 'alternate'));
  return [
    'rest',
    ...(alternate && known.includes('alternate') ? (['alternate'] as const) : []),
    ...(selected && known.includes('selected') ? (['selected'] as const) : []),
    ...(byKeys && state === 'focus' && hoversByKeys(scope.element, part) ? (['hover'] as const) : []),
    ...(state !== 'rest' && known.includes(state) ? [state] : []),
  ];
};

/** Elements of parts, in the order of the document. */
const findParts = (page: Page): Promise<Found[]> =>
  page.$$eval('[data-part]', elements => {
    const numbers = new Map(elements.map((it, i) => [it, i]));
    return elements.map(element => {
      const chain: number[] = [];
      for (let at: Element | null = element; at; at = at.parentElement) {
        const number = numbers.get(at);
        if (number !== undefined) chain.push(number);
      }
      /** The nearest element of each part of the same instance, itself among them. */
      const around = new Map<string, Element>();
      for (let at: Element | null = element; at; at = at.parentElement) {
        const part = at.getAttribute('data-part');
        if (part !== null && at.getAttribute('data-node') === element.getAttribute('data-node'))
          if (!around.has(part)) around.set(part, at);
      }
      const thatMatch = (selector: string) =>
        [...around].flatMap(([part, it]) => (it.matches(selector) ? [part] : []));
      return {
        node: element.closest('[data-node]')?.getAttribute('data-node') ?? null,
        part: element.getAttribute('data-part') ?? '',
        row: element.closest('[data-row]')?.getAttribute('data-row') ?? null,
        variants: element.closest('[data-variants]')?.getAttribute('data-variants') ?? null,
        chosen: thatMatch(':is([aria-current],[aria-selected=true],[aria-expanded=true],:checked,[open])'),
        second: thatMatch(':nth-child(even)'),
        chain,
      };
    });
  });

/**
 * Sets the core's values inline on each element in turn; whatever changes then is a difference. Of sections, and of cells of the
 * specimen, only the one that is looked at is laid out, so that a document costs no more than its parts.
 */
const compare = (
  page: Page,
  wanted: (Record<string, string> | null)[],
  labels: string[],
): Promise<Difference[]> =>
  page.evaluate(
    (wanted, labels, names) => {
      const differences: { element: string; property: string; browser: string; core: string }[] = [];
      const elements = [...document.querySelectorAll<HTMLElement>('[data-part]')];
      const chunkOf = (element: Element) =>
        element.closest('.cell') ?? element.closest('.section-box, .header-box, .sidebar-box, .footer-box');
      const away = new CSSStyleSheet();
      away.replaceSync('[data-away]{display:none!important}');
      document.adoptedStyleSheets.push(away);
      for (const it of elements) chunkOf(it)?.toggleAttribute('data-away', true);
      let shown: Element | null = null;
      for (const [i, element] of elements.entries()) {
        const values = wanted[i];
        if (!values) continue;
        const chunk = chunkOf(element);
        if (chunk !== shown) {
          shown?.toggleAttribute('data-away', true);
          chunk?.toggleAttribute('data-away', false);
          shown = chunk;
        }
        const style = getComputedStyle(element);
        const before = names.map(name => style.getPropertyValue(name));
        const kept = element.getAttribute('style');
        for (const [name, text] of Object.entries(values)) element.style.setProperty(name, text);
        for (const [k, name] of names.entries()) {
          const after = style.getPropertyValue(name);
          if (after !== before[k])
            differences.push({
              element: labels[i] ?? '',
              property: name,
              browser: before[k] ?? '',
              core: `${values[name]} → ${after}`,
            });
        }
        if (kept === null) element.removeAttribute('style');
        else element.setAttribute('style', kept);
      }
      for (const it of elements) chunkOf(it)?.toggleAttribute('data-away', false);
      return differences.slice(0, 40);
    },
    wanted,
    labels,
    CSS_NAMES,
  );

/** Forces a pseudo-class on every element that a widget's part can host it on. */
async function force(cdp: CDPSession, state: State, indices: readonly number[]): Promise<void> {
  const { root } = await cdp.send('DOM.getDocument', { depth: 0 });
  const { nodeIds } = await cdp.send('DOM.querySelectorAll', {
    nodeId: root.nodeId,
    selector: '[data-part]',
  });
  const pseudo = PSEUDO[state];
  const wanted = new Set(indices);
  for (const [i, nodeId] of nodeIds.entries())
    if (wanted.has(i))
      await cdp.send('CSS.forcePseudoState', { nodeId, forcedPseudoClasses: pseudo ? [pseudo] : [] });
}

/** A machine without a mouse never matches (hover: hover), and Chromium cannot be told to; what it guards is compared all the same. */
export const withPointer = (html: string): string => html.replaceAll('@media (hover:hover)', '@media all');
/** Keyframes beat inline styles, so the comparison is of a page in which no movement has any. */
const unmoved = (html: string): string => html.replace(/@keyframes \w+\{(?:[^{}]*\{[^{}]*\})*\}/g, '');
const still = '<style>*{transition-property:none!important}</style>';

/** A page of a site in the browser against what the core computes, in one state. `html` may have been tampered with. */
export async function comparePage(
  page: Page,
  cdp: CDPSession,
  site: Site,
  record: PageRecord,
  html: string,
  width: Width,
  state: State,
): Promise<{ differences: Difference[]; compared: number }> {
  await page.setViewport({ width: viewportOf(site)[width], height: 900 });
  await page.setContent(unmoved(withPointer(html)).replace('</head>', `${still}</head>`));
  const found = await findParts(page);
  const scopes = found.map(({ node }) =>
    node === null ? null : node === record.id ? pageScope(site, record) : nodeScope(site, record.id, node),
  );
  /** What has the focus, and all around it. */
  let focused: ReadonlySet<number> = new Set();
  if (PSEUDO[state]) {
    const isHost = (scope: Scope, part: string) =>
      statesOf(scope.element, part).includes(state) && hostOf(scope.element, part, state) === part;
    // Where a host only holds the control, it is the control that has the focus.
    const isControl = (scope: Scope, part: string) =>
      state === 'focus' &&
      partNames(scope.element).some(
        host => partOf(scope.element, host)?.within?.includes(part) === true && isHost(scope, host),
      );
    const hosts = found.flatMap(({ part }, i) => {
      const scope = scopes[i];
      if (!scope) return [];
      const onlyHolds = state === 'focus' && partOf(scope.element, part)?.within !== undefined;
      return (isHost(scope, part) && !onlyHolds) || isControl(scope, part) ? [i] : [];
    });
    if (state === 'focus') focused = new Set(hosts.flatMap(i => found[i]?.chain ?? []));
    await cdp.send('DOM.enable');
    await cdp.send('CSS.enable');
    await force(cdp, state, hosts);
  }
  const wanted = found.map(({ part, node, chain, ...is }, i) => {
    const scope = scopes[i];
    if (!scope || !partOf(scope.element, part)) return null;
    const host = hostOf(scope.element, part, 'hover');
    const hostAt = chain.find(j => found[j]?.node === node && found[j]?.part === host) ?? -1;
    const states = statesAt(scope, part, state, is, focused.has(hostAt));
    return inline(site, scope, part, states, width, { assetUrl });
  });
  const differences = await compare(
    page,
    wanted,
    found.map(({ node, part }) => `${node} ${part} ${state} ${width}`),
  );
  return { differences, compared: wanted.filter(it => it !== null).length };
}

/** One column of the specimen against the core: nothing but its own attributes says which width and state it is in. */
export async function compareColumn(
  page: Page,
  site: Site,
  column: SpecimenColumn,
  styles: string,
): Promise<{ differences: Difference[]; compared: number }> {
  const rows = specimenRows(site);
  const cells = rows.map(row => printHtml(renderCell(site, row, column, row.element.sample, () => '')));
  await page.setViewport({ width: 1280, height: 900 });
  await page.setContent(
    `<!doctype html><head><style>${styles}</style>${still}</head><body class="grid">${cells.join('')}</body>`,
  );
  const found = await findParts(page);
  const unit = `${viewportOf(site)[column.width] / 100}px`;
  const scopes = found.map(({ row: id, variants }) => {
    const row = rows.find(it => it.id === id);
    const worn = row && samplesIn(site, row).find(it => Object.values(it).join(' ') === variants);
    return row && worn ? specimenScope(row.element, column.scheme, worn, null, row.preset) : null;
  });
  const wanted = found.map(({ part, second }, i) => {
    const scope = scopes[i];
    if (!scope) return null;
    // In the sheet only a forced state counts, so what merely is the current one of several stays at rest.
    const states = statesAt(scope, part, column.state, { chosen: [], second }, false);
    return inline(site, scope, part, states, column.width, { viewportUnit: unit, assetUrl });
  });
  const differences = await compare(
    page,
    wanted,
    found.map(({ row, part }) => `${row} ${part} ${column.state} ${column.width}`),
  );
  return { differences, compared: wanted.filter(it => it !== null).length };
}
