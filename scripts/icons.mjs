import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './lib/paths.mjs';

/**
 * Reads the icon sets shipped with the program out of the SVG files of their packages and writes them as path data. Run by
 * hand: node scripts/icons.mjs LUCIDE_FOLDER TABLER_OUTLINE_FOLDER (lucide-static 1.23.0, ISC; @tabler/icons 3.52.0, MIT).
 */
const [lucide, tabler] = process.argv.slice(2);
if (!lucide || !tabler) throw new Error('node scripts/icons.mjs LUCIDE_FOLDER TABLER_FOLDER');

/** Our name → file of either set, where it is another. */
const NAMES = {
  anchor: [],
  ship: [],
  calendar: [],
  clock: [],
  place: ['map-pin', 'map-pin'],
  phone: [],
  mail: [],
  search: [],
  menu: ['menu', 'menu-2'],
  close: ['x', 'x'],
  check: [],
  'arrow-right': [],
  'arrow-left': [],
  'arrow-up': [],
  'arrow-down': [],
  'chevron-right': [],
  'chevron-down': [],
  away: ['external-link', 'external-link'],
  download: [],
  upload: [],
  info: ['info', 'info-circle'],
  warning: ['triangle-alert', 'alert-triangle'],
  success: ['circle-check', 'circle-check'],
  danger: ['circle-x', 'circle-x'],
  star: [],
  heart: [],
  person: ['user', 'user'],
  people: ['users', 'users'],
  ticket: [],
  car: [],
  bike: [],
  dog: [],
  cup: ['coffee', 'coffee'],
  sun: [],
  cloud: [],
  wind: [],
  waves: ['waves', 'ripple'],
  house: ['house', 'home'],
  picture: ['image', 'photo'],
  play: ['play', 'player-play'],
  camera: [],
  file: ['file-text', 'file-text'],
  link: [],
  quote: [],
  list: [],
  settings: [],
  lock: [],
  money: ['euro', 'currency-euro'],
};

const attrs = text =>
  Object.fromEntries([...text.matchAll(/([\w-]+)="([^"]*)"/g)].map(([, name, value]) => [name, value]));
const round = n => Number(Number(n).toFixed(3));
function toPath(tag, a) {
  const n = name => Number(a[name] ?? 0);
  const ellipse = (cx, cy, rx, ry) =>
    `M${round(cx - rx)} ${round(cy)}a${rx} ${ry} 0 1 0 ${round(2 * rx)} 0a${rx} ${ry} 0 1 0 ${round(-2 * rx)} 0`;
  switch (tag) {
    case 'path':
      return a.d;
    case 'circle':
      return ellipse(n('cx'), n('cy'), n('r'), n('r'));
    case 'ellipse':
      return ellipse(n('cx'), n('cy'), n('rx'), n('ry'));
    case 'line':
      return `M${n('x1')} ${n('y1')}L${n('x2')} ${n('y2')}`;
    case 'polyline':
      return `M${a.points.trim().replace(/\s+/g, ' ')}`;
    case 'polygon':
      return `M${a.points.trim().replace(/\s+/g, ' ')}z`;
    case 'rect': {
      const [x, y, w, h] = [n('x'), n('y'), n('width'), n('height')];
      const r = Math.min(a.rx === undefined ? n('ry') : n('rx'), w / 2, h / 2);
      return r === 0
        ? `M${x} ${y}h${w}v${h}h${-w}z`
        : `M${round(x + r)} ${y}h${round(w - 2 * r)}a${r} ${r} 0 0 1 ${r} ${r}v${round(h - 2 * r)}a${r} ${r} 0 0 1 ${-r} ${r}h${round(2 * r - w)}a${r} ${r} 0 0 1 ${-r} ${-r}v${round(2 * r - h)}a${r} ${r} 0 0 1 ${r} ${-r}z`;
    }
    default:
      throw new Error(`no path of ${tag}`);
  }
}

/** A path begins where it says, also behind another one: its first move is made absolute, what follows it stays. */
const NUMBER = '(-?(?:\\d+\\.?\\d*|\\.\\d+))';
const FIRST = new RegExp(`^m\\s*${NUMBER}[\\s,]*${NUMBER}[\\s,]*`);
const absolute = d => d.replace(FIRST, 'M$1 $2l').replace(/^(M[^a-zA-Z]*)l([a-zA-Z])/, '$1$2');

function read(folder, file) {
  const svg = readFileSync(join(folder, `${file}.svg`), 'utf8');
  return [...svg.matchAll(/<(path|circle|ellipse|line|polyline|polygon|rect)\b([^>]*?)\/?>/g)]
    .map(([, tag, rest]) => [tag, attrs(rest)])
    .filter(([, a]) => a.stroke !== 'none')
    .map(([tag, a]) => absolute(toPath(tag, a)));
}

for (const [set, folder, which, from] of [
  ['rigging', lucide, 0, 'Lucide 1.23.0, ISC licence'],
  ['chart', tabler, 1, 'Tabler Icons 3.52.0, MIT licence'],
]) {
  const icons = Object.fromEntries(
    Object.entries(NAMES).map(([name, files]) => [name, read(folder, files[which] ?? name).join('')]),
  );
  writeFileSync(
    join(ROOT, `packages/core/src/icons/sets/${set}.ts`),
    `/** ${from}; written by scripts/icons.mjs, not to be edited by hand. Path data on a field of 24 × 24, to be stroked. */\nexport const ${set} = ${JSON.stringify(icons, null, 2)} as const;\n`,
  );
}
