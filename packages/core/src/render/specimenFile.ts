import { literalContext, roleValue } from '../cascade/index.ts';
import { printPainted } from '../color/index.ts';
import { PURPOSE_LABELS, purposeOf, roleIn, rolesOf } from '../guide/index.ts';
import { roleColor, schemeContrasts, tightest } from '../measure/index.ts';
import { movementsIn, printKeyframes } from '../properties/index.ts';
import { byOrder, type SchemeRecord, type Site, settingsOf, type TokenRecord } from '../site/index.ts';
import { literalOf, NO_REBINDS, printTyped, tokenPath } from '../tokens/index.ts';
import type { FontFile } from '../type/index.ts';
import { lengthInPx, printCss, printLength, type TokenType, type Value } from '../values/index.ts';
import { familyLabel } from '../widgets/index.ts';
import { fontsIn, printFontFaces } from './fonts.ts';
import { escapeHtml, printHtml } from './html.ts';
import { baseCss, type Printing, printElementBases, printLayerOrder } from './rules.ts';
import { renderCell, type SpecimenColumn, sampleContent, specimenRows } from './specimen.ts';
import { guideRules, onEveryScreen, printBlock, printRules, rootBlocks, schemeBlocks } from './stylesheet.ts';

/** Where a file that the specimen shows is found: for a file that stands alone, the file itself as a `data:` address. */
export interface SpecimenFiles {
  font(file: FontFile): string;
  picture(file: string): string;
}

const CHAPTERS: Readonly<Record<TokenType, string>> = {
  color: 'Colours',
  gradient: 'Gradients',
  fontFamily: 'Voices',
  dimension: 'Sizes',
  number: 'Numbers',
  shadow: 'Shadows',
  duration: 'Durations',
  cubicBezier: 'Easings',
};
/** In which order they are read. */
const ORDER: readonly TokenType[] = [
  'color',
  'gradient',
  'fontFamily',
  'dimension',
  'number',
  'shadow',
  'duration',
  'cubicBezier',
];

/** Words that show a voice, with letters that are often told apart badly. */
const PANGRAM = 'Six boats left the quay at 07:15, Il1 O0.';
/** Px of the longest bar. */
const LONGEST = 280;

const OWN_CSS = `
:root{color-scheme:light}
html,body{margin:0;background:#fff;color:#1a1a1a}
body{font:15px/1.5 system-ui,sans-serif;padding:40px clamp(20px,4vw,64px)}
.sg h1{font-size:34px;line-height:1.15;margin:0 0 8px}.sg h2{font-size:22px;margin:56px 0 12px;padding-top:12px;border-top:2px solid}
.sg h3{font-size:14px;margin:24px 0 8px}.sg p{margin:0 0 12px;max-width:65ch}.sg code{font:12px ui-monospace,monospace}
.sg nav ul,.sg .tiles{list-style:none;margin:0;padding:0}.sg nav ul{display:flex;flex-wrap:wrap;gap:4px 18px}.sg nav a{color:inherit}
.sg .tiles{display:grid;grid-template-columns:repeat(auto-fill,minmax(168px,1fr));gap:16px}
.sg .tiles li{break-inside:avoid}.sg .tiles b,.sg .tiles code,.sg .tiles small{display:block}.sg small{color:#5a5a5a}
.sg .chip{display:block;height:72px;border:1px solid #0002;border-radius:4px;margin-bottom:6px;print-color-adjust:exact}
.sg .bar{display:block;height:10px;background:#1a1a1a;margin:6px 0;print-color-adjust:exact}
.sg .lines{display:grid;gap:10px;list-style:none;margin:0;padding:0}.sg .lines li{break-inside:avoid}
.sg .voice{font-size:26px;line-height:1.3;overflow-wrap:anywhere}
.sg table{border-collapse:collapse;width:100%;font-size:13px}.sg th,.sg td{text-align:start;padding:4px 12px 4px 0;border-bottom:1px solid #0002;vertical-align:top}
.sg .dot{display:inline-block;width:12px;height:12px;border:1px solid #0003;border-radius:2px;margin-inline-end:6px;vertical-align:-1px;print-color-adjust:exact}
.grid{display:grid;gap:0}.sg-row{break-inside:avoid}.sg-cells{display:grid;grid-template-columns:repeat(auto-fit,minmax(260px,1fr))}
.sg-wide{grid-template-columns:1fr}.sg-row>h4{font:600 13px/1.4 system-ui,sans-serif;margin:18px 0 6px}
.cell{position:relative;padding:20px;min-width:0;overflow:clip;print-color-adjust:exact}.cell>small{display:block;font:11px system-ui,sans-serif;margin-bottom:10px;opacity:.8;color:inherit}
.inner{display:flex;flex-wrap:wrap;gap:14px;align-items:center}.inner>*{min-width:0}
@media print{body{padding:0}.sg h2{break-after:avoid}}
`;

const code = (text: string): string => `<code>${escapeHtml(text)}</code>`;
const note = (text: string | undefined): string => (text ? `<small>${escapeHtml(text)}</small>` : '');

/** What a token looks like: a colour, a bar, words in it. */
function drawn(end: Value, css: string, most: number): string {
  switch (end.type) {
    case 'color':
    case 'gradient':
      return `<span class="chip" style="background:${escapeHtml(css)}"></span>`;
    case 'shadow':
      return `<span class="chip" style="box-shadow:${escapeHtml(css)}"></span>`;
    case 'dimension':
    case 'fluid': {
      const px = lengthInPx(end.type === 'fluid' ? end.max : end.value);
      const width = px === null ? 0 : Math.min(LONGEST, (Math.max(0, px) / most) * LONGEST);
      return `<span class="bar" style="width:${Number(width.toFixed(1))}px"></span>`;
    }
    case 'fontFamily':
      return `<span class="voice" style="font-family:${escapeHtml(css)}">${PANGRAM}</span>`;
    default:
      return '';
  }
}

const written = (end: Value): string =>
  end.type === 'color'
    ? printPainted(end.value)
    : end.type === 'fluid'
      ? `${printLength(end.min)} to ${printLength(end.max)}`
      : printTyped(end, new Map());

function grouped<T>(all: readonly T[], by: (it: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const it of all) {
    const list = groups.get(by(it));
    if (list) list.push(it);
    else groups.set(by(it), [it]);
  }
  return groups;
}

function tokenChapter(site: Site, type: TokenType, printing: Context): string {
  const { token: tokens } = site.kinds;
  const own = [...tokens.values()].filter(it => it.type === type).sort(byOrder);
  if (own.length === 0) return '';
  const groups = grouped(own, it => it.group);
  const end = (it: TokenRecord) => literalOf(tokens, NO_REBINDS, it.value);
  const widths = own.flatMap(it => {
    const value = end(it);
    const px =
      value?.type === 'dimension'
        ? lengthInPx(value.value)
        : value?.type === 'fluid'
          ? lengthInPx(value.max)
          : null;
    return px === null ? [] : [px];
  });
  const most = Math.max(1, ...widths);
  const item = (it: TokenRecord): string => {
    const value = end(it);
    if (!value) return '';
    const purpose = type === 'color' ? purposeOf(site, it).purpose : 'none';
    const follows =
      it.value.type === 'token' || it.value.type === 'derived' ? printTyped(it.value, tokens) : '';
    return `<li>${drawn(value, printing.css(value), most)}<b>${escapeHtml(it.name)}</b>${code(written(value))}${code(tokenPath(tokens, it.id))}${note(follows)}${note(purpose === 'none' ? '' : PURPOSE_LABELS[purpose])}${note(it.note)}</li>`;
  };
  const list = type === 'fontFamily' || type === 'dimension' ? 'lines' : 'tiles';
  return `<h2 id="${type}">${CHAPTERS[type]}</h2>${[...groups]
    .map(([group, all]) => `<h3>${escapeHtml(group)}</h3><ul class="${list}">${all.map(item).join('')}</ul>`)
    .join('')}`;
}

function schemeTable(site: Site, scheme: SchemeRecord): string {
  const pairs = grouped(schemeContrasts(site, scheme.id), it => it.role);
  const rows = rolesOf(site).flatMap(({ name, label }) => {
    const color = roleColor(site, scheme.id, name);
    if (!color) return [];
    // What says nothing takes what another role has.
    const bound = roleValue(site, scheme.id, name)?.value;
    const swatch = bound?.type === 'token' ? (site.kinds.token.get(bound.token)?.name ?? '') : '';
    const least = tightest(pairs.get(name) ?? []);
    const ratio = least
      ? `${least.ratio.toFixed(2)} of ${least.wanted} on ${roleIn(site, least.on)?.label ?? least.on}`
      : '';
    return [
      `<tr><th scope="row">${escapeHtml(label)}</th><td><span class="dot" style="background:${printPainted(color)}"></span>${escapeHtml(swatch)}</td><td>${code(printPainted(color))}</td><td>${escapeHtml(ratio)}</td></tr>`,
    ];
  });
  return `<h3>${escapeHtml(scheme.name)}</h3>${note(scheme.note)}<table><thead><tr><th scope="col">Role</th><th scope="col">Swatch</th><th scope="col">Colour</th><th scope="col">Contrast</th></tr></thead><tbody>${rows.join('')}</tbody></table>`;
}

interface Context {
  css(value: Value): string;
}

/**
 * The whole guide as one document that stands alone: its tokens by kind and group, its schemes with their contrast, and every
 * element in every scheme, drawn by the site's own rules. It holds no scripts and asks for nothing.
 */
export function printSpecimen(site: Site, files: SpecimenFiles): string {
  const { name, language } = settingsOf(site);
  const printing: Printing = { mode: 'sheet', assetUrl: ({ file }) => files.picture(file) };
  const rules = guideRules(site, printing);
  const printed = printRules(site, rules, 'sheet');
  const blocks = onEveryScreen(site, gamut => [
    ...rootBlocks(site, { mode: 'sheet', gamut }),
    ...schemeBlocks(site, gamut),
  ]);
  const sheet = [
    printLayerOrder(rules),
    baseCss('sheet'),
    printElementBases(null, 'sheet'),
    ...blocks.map(printBlock),
    printed,
    printKeyframes(movementsIn(printed)),
  ].join('\n');
  const fonts = printFontFaces(fontsIn(site, sheet, true), file => files.font(file));
  const schemes = [...site.kinds.scheme.values()].sort(byOrder);
  const columns = schemes.map(
    (it): SpecimenColumn => ({ id: it.id, label: it.name, scheme: it.id, width: 'wide', state: 'rest' }),
  );
  let family = '';
  const elements = specimenRows(site).map(row => {
    const begins = row.element.family !== family;
    family = row.element.family;
    const content = sampleContent(site, row.element, row.variants, 'sample');
    const cells = columns.map(column =>
      printHtml(renderCell(site, row, column, content, it => files.picture(it.file))),
    );
    return `${begins ? `<h3>${escapeHtml(familyLabel(row.element.family))}</h3>` : ''}<div class="sg-row"><h4>${escapeHtml(row.label)}</h4><div class="sg-cells${row.element.holds === null ? '' : ' sg-wide'}">${cells.join('')}</div></div>`;
  });
  const literals = literalContext(
    site,
    { scheme: settingsOf(site).defaultScheme, rebinds: NO_REBINDS },
    { gamut: 'srgb' },
  );
  const context: Context = { css: value => printCss(value, literals) };
  const chapters = ORDER.map(type => [type, tokenChapter(site, type, context)] as const).filter(
    ([, html]) => html !== '',
  );
  const contents = [
    ...chapters.map(([type]) => [type, CHAPTERS[type]]),
    ['schemes', 'Schemes'],
    ['elements', 'Elements'],
  ].map(([id, label]) => `<li><a href="#${id}">${label}</a></li>`);
  return `<!doctype html>
<html lang="${escapeHtml(language)}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>${escapeHtml(name)}, style guide</title>
<style>${fonts}
${sheet}
${OWN_CSS}</style></head>
<body><main><div class="sg"><h1>${escapeHtml(name)}</h1><p>Style guide: ${site.kinds.token.size} tokens, ${schemes.length} schemes, every element in each of them.</p><nav aria-label="Contents"><ul>${contents.join('')}</ul></nav>
${chapters.map(([, html]) => html).join('\n')}
<h2 id="schemes">Schemes</h2>${schemes.map(it => schemeTable(site, it)).join('')}
<h2 id="elements">Elements</h2></div><div class="grid">${elements.join('\n')}</div></main></body></html>
`;
}

/** Everything that the specimen shows from files, so that it can be fetched before. */
export function specimenNeeds(site: Site): { fonts: readonly FontFile[]; pictures: readonly string[] } {
  const fonts = new Map<string, FontFile>();
  const pictures = new Set<string>();
  printSpecimen(site, {
    font: file => {
      fonts.set(file.file, file);
      return '';
    },
    picture: file => {
      pictures.add(file);
      return '';
    },
  });
  return { fonts: [...fonts.values()], pictures: [...pictures] };
}
