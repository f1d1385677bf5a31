import { describe, expect, it } from '@jest/globals';
import * as commands from '../src/commands/index.ts';
import { readTokens } from '../src/incoming/index.ts';
import {
  addAsset,
  addColumn,
  addCounterpart,
  addDrawings,
  addFont,
  addNote,
  addPage,
  addPreset,
  addPresetSet,
  addRamp,
  addRole,
  addRows,
  addSection,
  addTextStyle,
  addTint,
  addToArea,
  addToken,
  addVariant,
  addWidget,
  addWithin,
  alike,
  applyChange,
  areaUse,
  beginningOf,
  beginWithVariant,
  bindRole,
  canHold,
  canStandIn,
  carryLook,
  cellAt,
  clearCells,
  compareIncoming,
  continueEntry,
  conversionsOf,
  convertWidget,
  copiesBehind,
  copyThings,
  deriveToken,
  describeGroup,
  differsInArea,
  duplicateNode,
  duplicateNodes,
  duplicatePage,
  duplicatePreset,
  duplicateScheme,
  duplicateTextStyle,
  duplicateToken,
  duplicateVariant,
  type Edit,
  elementOfNode,
  entranceOf,
  excludePreset,
  familyIn,
  fittingPresets,
  freeAddress,
  freeLayer,
  freeName,
  generateScheme,
  gridOf,
  groupNodes,
  hasUse,
  hiddenFrom,
  hideFrom,
  type Id,
  includePreset,
  insteadIn,
  isColumn,
  isGroupUsed,
  joinEntry,
  joinSections,
  joinTexts,
  keepForUse,
  keepShown,
  keepsLook,
  letGo,
  makePreset,
  moveColumn,
  moveNode,
  moveNodes,
  movePage,
  moveScheme,
  moveTextStyle,
  moveToken,
  moveVariant,
  must,
  type NoteRecord,
  nameFor,
  nearPresets,
  nodeScope,
  nudge,
  nudgePage,
  outermost,
  overridesOf,
  PAIRINGS,
  type PageRecord,
  pagesBelow,
  parseValueOf,
  pasteGrid,
  pasteThings,
  pinPicture,
  pinRole,
  placeAt,
  placeFor,
  placeLayer,
  placesAt,
  placeWear,
  presetOfRule,
  presetWornFor,
  promote,
  promoteToToken,
  promoteToVariant,
  readClip,
  removeAsset,
  removeColumns,
  removeDeclaration,
  removeGroup,
  removeNodes,
  removePage,
  removePreset,
  removeRole,
  removeScheme,
  removeTextStyle,
  removeToken,
  removeVariant,
  renameGroup,
  replaceAsset,
  replaceGrid,
  replaceTokens,
  resetAllElements,
  resetGuide,
  resetNode,
  resetOverrides,
  revertArea,
  roleFixes,
  rowsAround,
  rowsIn,
  type Site,
  type SiteRecord,
  schemesInOrder,
  setAddress,
  setAreaUse,
  setAside,
  setCell,
  setColumnKind,
  setCounterpart,
  setDefaultScheme,
  setEntrance,
  setFluidRange,
  setHome,
  setNote,
  setNoteStatus,
  setSideMargin,
  setSlot,
  setSlots,
  setTyped,
  shareColumns,
  shareGrid,
  shiftEntry,
  showArea,
  showVersion,
  siblingsFor,
  slotsOfPart,
  solveAgain,
  speakWith,
  splitSection,
  stableText,
  stylesOfUse,
  switchPage,
  switchPreset,
  type TokenRecord,
  takeIncoming,
  takeOff,
  takePairing,
  undeprecate,
  ungroup,
  unpinPicture,
  unusedPresets,
  wearersOf,
  wearForUse,
  wearPreset,
} from '../src/index.ts';
import { demoSite } from './support/demo.ts';
import { stepsOf } from './support/steps.ts';

const demo = demoSite();
const sample = <K extends keyof Site['kinds']>(kind: K, id?: Id) => {
  const found = id === undefined ? [...demo.kinds[kind].values()][0] : demo.kinds[kind].get(id);
  if (!found) throw new Error(`the demo has no ${kind} ${id ?? ''}`);
  return found;
};
const book = sample('widget', 'book') as SiteRecord & { kind: 'widget' };
const words = [[{ text: 'New' }]];
const keys = (i: number) => `V${(i + 1).toString(36).toUpperCase().padStart(4, '0')}1`;

/** The demo with so many more of everything, all of it used by something else. */
function grown(n: number): Site {
  const edits: Edit[] = [];
  const put = (record: object) => edits.push({ op: 'put', record: record as SiteRecord });
  const page = sample('page', 'fares');
  put({
    ...page,
    id: 'wide',
    path: 'wide',
    title: 'Wide',
    rebind: {},
    at: { parent: 'settings', order: 'zz' },
  });
  put({
    ...sample('section', 'before'),
    id: 'many',
    at: { parent: 'wide', order: 'V' },
    styles: {},
    wears: {},
    variants: {},
    rebind: {},
  });
  for (let i = 0; i < n; i++) {
    put({
      ...sample('token', 'hull'),
      id: `t${i}`,
      name: `Token ${i}`,
      group: 'Grown',
      order: keys(i),
      value:
        i % 2
          ? { type: 'token', token: 'hull' }
          : { type: 'color', value: { space: 'oklch', coords: [i / n, 0.1, (i * 7) % 360], alpha: 1 } },
    });
    put({
      ...sample('preset'),
      id: `p${i}`,
      name: `Preset ${i}`,
      order: keys(i),
      includes: {},
      begins: undefined,
      styles: { 'box/opacity': { type: 'number', value: i / n } },
    });
    put({ ...sample('textStyle'), id: `y${i}`, name: `Style ${i}`, order: keys(i) });
    put({
      id: `v${i}`,
      kind: 'variant',
      element: 'button',
      axis: 'kind',
      name: `Variant ${i}`,
      order: keys(i),
      styles: {},
    });
    put({
      ...page,
      id: `g${i}`,
      path: `g-${i}`,
      title: `Page ${i}`,
      rebind: {},
      at: { parent: 'wide', order: keys(i) },
    });
    put({
      ...book,
      id: `b${i}`,
      at: { parent: 'many', order: keys(i) },
      variants: { kind: `v${i}` },
      wears: { w: { preset: `p${i}`, order: 'V', on: true } },
      styles: {
        'box/color': { type: 'token', token: `t${i}` },
        'label/textStyle': { type: 'textStyle', style: `y${i}` },
      },
      content: { ...book.content, link: { type: 'page', page: `g${i}` } },
    });
    put({
      ...sample('widget', 'asked-fog'),
      id: `a${i}`,
      at: { parent: 'asked', order: keys(i) },
      styles: {
        'entry/opacity': { type: 'number', value: 0.5 },
        'bar/opacity': { type: 'number', value: 1 },
      },
    });
  }
  for (let i = 0; i < n; i++) {
    put({
      ...sample('widget', 'first-carrow'),
      id: `r${i}`,
      at: { parent: 'sailings-table', order: keys(i) },
    });
    put({ ...sample('widget', 'fares-with-bag'), id: `l${i}`, at: { parent: 'fares-with', order: keys(i) } });
  }
  for (const edit of edits)
    if (edit.op === 'put')
      for (const [key, value] of Object.entries(edit.record))
        if (value === undefined || (key === 'includes' && Object.keys(value).length === 0))
          Reflect.deleteProperty(edit.record, key);
  return must(applyChange(demo, { edits })).site;
}

const ids = (prefix: string, site: Site): Id[] => {
  const kinds = { b: 'widget', t: 'token', p: 'preset', g: 'page' } as const;
  const all = [...site.kinds[kinds[prefix as keyof typeof kinds]].keys()];
  return all.filter(it => new RegExp(`^${prefix}\\d+$`).test(it));
};

const FILE = { file: 'abcdef0123456789abcd.webp', mime: 'image/webp', width: 800, height: 600 };
const FONT = {
  family: 'New',
  cut: 'normal',
  weightFrom: 400,
  weightTo: 400,
  file: 'abcdef0123456789abcd.woff2',
  format: 'woff2',
  bytes: 1200,
  metrics: { ascent: 900, descent: -200, lineGap: 0, unitsPerEm: 1000, xWidthAvg: 500 },
} as const;
const [PAIRING] = PAIRINGS;
const FAMILY = familyIn(demo, PAIRING?.text ?? '');
if (!PAIRING || !FAMILY) throw new Error('no pairing');
const noteOf = (site: Site): NoteRecord => {
  const [note] = site.kinds.note.values();
  return note ?? { id: 'n', kind: 'note', name: 'New', order: 'V', text: '' };
};
const voiceOf = (site: Site): TokenRecord => {
  const voice = [...site.kinds.token.values()].find(it => it.type === 'fontFamily');
  if (!voice) throw new Error('no voice');
  return voice;
};

const wide = (site: Site): PageRecord => {
  const record = site.kinds.page.get('wide');
  if (!record) throw new Error('no such page');
  return record;
};

/** Every command, on something of a site that is otherwise large, or on all that it has. */
const COMMANDS: Record<string, (site: Site) => unknown> = {
  addAsset: site => addAsset(site, FILE, 'New'),
  replaceAsset: site => replaceAsset(site, sample('asset').id, FILE),
  removeAsset: site => removeAsset(site, sample('asset').id),
  addDrawings: site => addDrawings(site, [{ ...sample('drawing'), name: 'New' }]),
  addFont: site => addFont(site, FONT),
  addNote: site => addNote(site, 'New'),
  addPage: site => addPage(site, 'New', 'wide'),
  pinPicture: site => pinPicture(noteOf(site), sample('asset').id),
  setNoteStatus: site => setNoteStatus(noteOf(site), 'done'),
  setNote: site => setNote(sample('scheme'), `${site.kinds.scheme.size}`),
  speakWith: site => speakWith(voiceOf(site), FAMILY),
  takePairing: site => takePairing(site, PAIRING),
  unpinPicture: site => unpinPicture(noteOf(site), sample('asset').id),
  addPreset: site => addPreset(site, 'New'),
  addPresetSet: site =>
    addPresetSet(site, {
      name: 'Grown',
      kind: 'box',
      properties: ['color'],
      tokens: [...site.kinds.token.values()]
        .filter(it => it.type === 'color')
        .slice(0, 3)
        .map(it => it.id),
    }),
  presetOfRule: site => presetOfRule(site, 'default-button', 'New'),
  setFluidRange: site => setFluidRange(site, { from: 400, to: 1200 }),
  setSideMargin: site =>
    setSideMargin(site, 'narrow', { type: 'dimension', value: { value: 1, unit: 'rem' } }),
  addRamp: site => addRamp(site, 't0', 9),
  addRole: site => addRole(site, 'New', 'text', 'surface'),
  addSection: site => addSection(site, 'wide', 1),
  addTextStyle: site => addTextStyle(site, 'New'),
  addToken: site =>
    addToken(site, {
      type: 'color',
      group: 'Grown',
      name: 'New',
      value: { type: 'token', token: 'hull' },
    } as never),
  addVariant: site => addVariant(site, 'button', 'kind', 'New'),
  addWidget: site => addWidget(site, 'many', 1, 'button'),
  addColumn: site => addColumn(site, 'sailings-table', 1),
  addRows: site => addRows(site, 'sailings-table', 1, gridOf(site, 'sailings-table')),
  cellAt: site => cellAt(site, 'sailings-table', { row: 'r0', column: 1 }),
  clearCells: site =>
    clearCells(
      site,
      'sailings-table',
      rowsIn(site, 'sailings-table').map(it => it.id),
      [0, 1],
    ),
  continueEntry: site => continueEntry(site, 'l0', words, gridOf(site, 'sailings-table').flat()),
  gridOf: site => gridOf(site, 'sailings-table'),
  joinEntry: site => joinEntry(site, 'l1'),
  moveColumn: site => moveColumn(site, 'sailings-table', 0, 2),
  pasteGrid: site =>
    pasteGrid(site, 'sailings-table', { index: 1, column: 1 }, gridOf(site, 'sailings-table')),
  removeColumns: site => removeColumns(site, 'sailings-table', 1, 2),
  replaceGrid: site => replaceGrid(site, 'sailings-table', gridOf(site, 'sailings-table')),
  rowsIn: site => rowsIn(site, 'sailings-table'),
  setCell: site => setCell(site, 'sailings-table', { row: 'r0', column: 1 }, words),
  setColumnKind: site => setColumnKind(site, 'sailings-table', 0, 'figures'),
  shiftEntry: site => shiftEntry(site, 'l1', 'in'),
  alike: site => alike(site, 'b0', 'site'),
  beginWithVariant: site => beginWithVariant(site, 'v0', true),
  carryLook: site => carryLook(site, 'b0', ids('b', site), null as never),
  copyThings: site => copyThings(site, ids('b', site)),
  duplicateNode: site => duplicateNode(site, 'many'),
  duplicateNodes: site => duplicateNodes(site, ids('b', site)),
  duplicatePage: site => duplicatePage(site, 'wide'),
  duplicatePreset: site => duplicatePreset(site, 'p0'),
  duplicateScheme: site => duplicateScheme(site, sample('scheme').id),
  duplicateTextStyle: site => duplicateTextStyle(site, 'y0'),
  duplicateToken: site => duplicateToken(site, 't0'),
  undeprecate: site => {
    const token = site.kinds.token.get('t0');
    return token ? undeprecate({ ...token, carried: { deprecated: true } }) : [];
  },
  duplicateVariant: site => duplicateVariant(site, 'v0'),
  fittingPresets: site => fittingPresets(site, book),
  groupNodes: site => groupNodes(site, ids('b', site)),
  describeGroup: site => describeGroup(site, 'Brand', { purpose: 'identity' }),
  takeIncoming: site =>
    takeIncoming(
      site,
      compareIncoming(site, must(readTokens([{ name: '', text: '{"a":{"$type":"number","$value":1}}' }]))),
    ),
  includePreset: site => includePreset(site, 'p0', 'p1'),
  joinSections: site => joinSections(site, ['welcome', 'before']),
  splitSection: site => splitSection(site, 'b1'),
  joinTexts: site => joinTexts(site, ids('b', site)),
  letGo: site => letGo(site, 'b0', 'w'),
  makePreset: site => makePreset(site, 'b0', 'New'),
  keepForUse: site => keepForUse(site, 'b0', 'treatment', 'New'),
  stylesOfUse: () => stylesOfUse(book, 'treatment'),
  presetWornFor: site => presetWornFor(site, book, 'treatment'),
  wearForUse: site => wearForUse(site, 'b0', 'treatment', 'p1'),
  hasUse: () => hasUse(elementOfNode(book), 'treatment'),
  insteadIn: () => insteadIn('p1', 'light', null),
  freeLayer: () => freeLayer([]),
  placeLayer: () => placeLayer(['firstLayer', 'secondLayer'], 'firstLayer', 0),
  slotsOfPart: site => slotsOfPart(site, 'b0', 'box'),
  moveNode: site => moveNode(site, 'b0', 'many', 5),
  moveNodes: site => moveNodes(site, ids('b', site), 'before', 0),
  movePage: site => movePage(site, 'g0', 'settings', 1),
  moveTextStyle: site => moveTextStyle(site, 'y0', 5),
  moveToken: site => moveToken(site, 't0', 'Grown', 5),
  moveVariant: site => moveVariant(site, 'v0', 5),
  nearPresets: site => nearPresets(site),
  bindRole: site => bindRole(site, 'daymark', 'text', 'hull'),
  pinRole: () => pinRole('daymark', 'text', true),
  solveAgain: site => solveAgain(site, 'daymark'),
  setCounterpart: site => setCounterpart(site, 'daymark', 'night-run'),
  addCounterpart: site => addCounterpart(site, 'daymark'),
  deriveToken: site => deriveToken(site, 'hull', 'lightness'),
  roleFixes: site => roleFixes(site, 'daymark', 'text'),
  nudge: site => nudge(site, 'b1', 'up'),
  nudgePage: site => nudgePage(site, 'g1', 'up'),
  overridesOf: site => overridesOf(site),
  pasteThings: site =>
    pasteThings(site, readClip(stableText(copyThings(site, ids('b', site)))) as never, 'before', 0, 'tie'),
  promote: site => promote(site, 'b0', ['box/color'], { type: 'default' } as never),
  keepsLook: site => keepsLook(site, 'b0', ['box/color'], []),
  siblingsFor: site => siblingsFor(site, 'b0', ['box/color'], { type: 'default', place: null }),
  promoteToToken: site => promoteToToken(site, 'b0', 'box/color', { group: 'Grown', name: 'New' }),
  promoteToVariant: site => promoteToVariant(site, 'b0', ['box/color'], 'kind', 'New'),
  removeNodes: site => removeNodes(site, ids('b', site)),
  removePage: site => removePage(site, 'wide'),
  removePreset: site => removePreset(site, 'p0'),
  removeScheme: site => removeScheme(site, sample('scheme').id, [...demo.kinds.scheme.keys()][1] ?? ''),
  removeTextStyle: site => removeTextStyle(site, 'y0', null),
  removeToken: site => removeToken(site, 't0', 'hull'),
  removeVariant: site => removeVariant(site, 'v0', null),
  renameGroup: site => renameGroup(site, 'color', 'Grown', 'Other'),
  replaceTokens: site => replaceTokens(site, ids('t', site), 'hull'),
  resetAllElements: site => resetAllElements(site),
  resetGuide: site => resetGuide(site, { type: 'element', element: 'button' } as never),
  resetNode: site => resetNode(site, 'b0'),
  resetOverrides: site => resetOverrides(site, overridesOf(site)),
  setAddress: site => setAddress(site, 'g0', 'other'),
  setAside: site => setAside(site, 'many', 'Kept'),
  setHome: site => setHome(site, 'wide'),
  setSlots: site =>
    setSlots(site, { type: 'record', id: 'b0' }, [['box/opacity', { type: 'number', value: 0.5 }]] as never),
  ungroup: site => ungroup(site, 'many'),
  unusedPresets: site => unusedPresets(site),
  wearersOf: site => wearersOf(site, 'p0'),
  wearPreset: site => wearPreset(site, 'b0', 'p1'),
  addWithin: site => addWithin(site, 'b0', 0, 'picture'),
  beginningOf: site => beginningOf(site, 'button'),
  canHold: site => canHold(site, 'many', { kind: 'widget', widget: 'text' }),
  canStandIn: site => canStandIn(site, book, 'many'),
  placeFor: site => placeFor(site, 'b0', 'text'),
  conversionsOf: () => conversionsOf('accordion'),
  convertWidget: site => convertWidget(site, 'asked', 'tabs'),
  copiesBehind: site => copiesBehind(site, ids('b', site)),
  entranceOf: site => entranceOf(site),
  excludePreset: site => excludePreset(site, 'p0', 'p1'),
  freeAddress: site => freeAddress(site, 'wide', 'g-1'),
  freeName: site => freeName(site, 'color', 'Grown', 'Token 1'),
  generateScheme: site => generateScheme(site, 'New', { surface: 'hull' }),
  hiddenFrom: site => hiddenFrom(site, 'b0'),
  hideFrom: site => hideFrom(site, 'b0', 'narrow'),
  isColumn: site => isColumn(site, 'b0'),
  keepShown: site => keepShown(site, 'many'),
  areaUse: site => areaUse(site, wide(site), 'footer'),
  addToArea: site => addToArea(site, 'wide', 'footer', 'instead', () => null),
  addTint: site => {
    const scope = nodeScope(site, 'wide', 'b0');
    if (!scope) throw new Error('b0 is not on the page');
    return addTint(
      site,
      { node: 'b0', part: 'box', scope },
      { color: { type: 'token', token: 'hull' }, share: 0.5 },
    );
  },
  moveScheme: site => moveScheme(site, sample('scheme').id, 1),
  nameFor: site => nameFor(site, 'button', 'kind', 'Variant 1'),
  outermost: site => outermost(site, ids('b', site)),
  pagesBelow: site => pagesBelow(site, 'wide'),
  parseValueOf: site => parseValueOf(site, sample('token'), '17px'),
  placeAt: site => placeAt(site, 'many', 3, null),
  placesAt: site => placesAt(site, 'many', 3, ids('b', site), 5),
  placeWear: site => placeWear(site, 'b0', 'w', 0),
  removeDeclaration: site => removeDeclaration(site, 'b0', 'box/tab-size'),
  isGroupUsed: site => isGroupUsed(site, 'color', 'Grown'),
  removeGroup: site => removeGroup(site, 'color', 'Status', 'nearest'),
  removeRole: site => removeRole(site, 'none'),
  revertArea: site => revertArea(site, 'wide', 'footer'),
  rowsAround: site => rowsAround(site, 'b0'),
  schemesInOrder: site => schemesInOrder(site),
  setDefaultScheme: () => setDefaultScheme(sample('scheme').id),
  setEntrance: site => setEntrance(site, 'rise' as never),
  setAreaUse: site => setAreaUse(site, 'wide', 'footer', 'own'),
  setSlot: site => setSlot(site, { type: 'record', id: 'b0' }, 'box/opacity', { type: 'number', value: 0.5 }),
  setTyped: site =>
    setTyped(
      site,
      { type: 'record', id: 'b0' },
      { part: 'box', state: 'rest', width: 'wide' },
      { followed: [], unfollowed: [['tab-size', '4']] },
    ),
  differsInArea: site => differsInArea(site, wide(site), 'footer'),
  shareColumns: site => shareColumns(site, ['b0', 'b1'], [0.5, 0.5], 'wide'),
  shareGrid: site => shareGrid(site, ['b0', 'b1'], [0.5, 0.5], 'wide'),
  showArea: site => showArea(site, 'wide', 'footer', false),
  showVersion: site => showVersion(site, 'many'),
  switchPage: () => switchPage('g0', 'off', true),
  switchPreset: site => switchPreset(site, 'b0', 'w'),
  takeOff: () => takeOff('b0', 'w'),
};

/** What commands are made of and what they are told with: none of these looks at a site. */
const NO_COMMANDS = [
  'AREA_USES',
  'PAGE_SWITCHES',
  'RANGES',
  'addressOf',
  'canBeToken',
  'cellWords',
  'compareIncoming',
  'idsIn',
  'neededBy',
  'cellsIn',
  'columnsIn',
  'copiesOf',
  'emptySection',
  'familyValue',
  'readClip',
  'sharesAfter',
  'stylesByKind',
  'targetId',
  'wordsField',
];

describe('a command takes steps in proportion to the site', () => {
  it('and there is none that is not among these', () => {
    const all = Object.keys(commands).filter(it => !NO_COMMANDS.includes(it));
    expect(all.filter(it => !Object.hasOwn(COMMANDS, it))).toEqual([]);
  });

  const [small, large] = [grown(50), grown(200)];
  it.each(Object.entries(COMMANDS))('%s', (_, run) => {
    const [few, many] = [stepsOf(() => run({ ...small })), stepsOf(() => run({ ...large }))];
    expect(many / few).toBeLessThan(5.5);
  });
});
