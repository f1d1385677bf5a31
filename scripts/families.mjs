import { readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fromFile } from '@capsizecss/unpack/fs';
import { ROOT } from './lib/paths.mjs';

/**
 * Reads the families shipped with the program out of their own packages and writes the catalogue: weights, cuts, bytes,
 * licence and metrics. Run by hand after a family is added here.
 */
const KINDS = {
  'bricolage-grotesque': 'display',
  figtree: 'sans',
  inter: 'sans',
  'dm-sans': 'sans',
  'work-sans': 'sans',
  manrope: 'sans',
  outfit: 'sans',
  'plus-jakarta-sans': 'sans',
  'space-grotesk': 'sans',
  'source-sans-3': 'sans',
  'hanken-grotesk': 'sans',
  literata: 'serif',
  fraunces: 'serif',
  'source-serif-4': 'serif',
  lora: 'serif',
  'playfair-display': 'serif',
  newsreader: 'serif',
  'eb-garamond': 'serif',
  bitter: 'slab',
  'roboto-slab': 'slab',
  syne: 'display',
  unbounded: 'display',
  oswald: 'display',
  'jetbrains-mono': 'mono',
  'fira-code': 'mono',
  'geist-mono': 'mono',
  'sometype-mono': 'mono',
  caveat: 'hand',
  'dancing-script': 'hand',
};
const GENERIC = {
  sans: 'sans-serif',
  display: 'sans-serif',
  serif: 'serif',
  slab: 'serif',
  mono: 'monospace',
  hand: 'cursive',
};
const LICENCES = { 'OFL-1.1': 'SIL Open Font License 1.1', 'Apache-2.0': 'Apache License 2.0' };

const size = path => {
  try {
    return statSync(path).size;
  } catch {
    return null;
  }
};

const entries = [];
for (const [file, kind] of Object.entries(KINDS)) {
  const folder = join(ROOT, 'node_modules/@fontsource-variable', file);
  const { family, variable, license } = JSON.parse(readFileSync(join(folder, 'metadata.json'), 'utf8'));
  const cut = style => join(folder, 'files', `${file}-latin-wght-${style}.woff2`);
  const metrics = await fromFile(cut('normal'));
  const licence = LICENCES[license.type];
  if (!licence) throw new Error(`${file} has the licence ${license.type}`);
  entries.push({
    name: family,
    kind,
    generic: GENERIC[kind],
    weights: [Number(variable.wght.min), Number(variable.wght.max)],
    file,
    bytes: size(cut('normal')),
    italicBytes: size(cut('italic')),
    licence,
    metrics: {
      ascent: metrics.ascent,
      descent: metrics.descent,
      lineGap: metrics.lineGap,
      unitsPerEm: metrics.unitsPerEm,
      xWidthAvg: metrics.xWidthAvg,
    },
  });
}
entries.sort((a, b) => (a.name < b.name ? -1 : 1));
const text = `import type { ShippedFamily } from './family.ts';

/** Written by scripts/families.mjs out of the packages that ship the files; not to be edited by hand. */
export const CATALOGUE: readonly ShippedFamily[] = ${JSON.stringify(entries, null, 2)};
`;
writeFileSync(join(ROOT, 'packages/core/src/type/catalogue.ts'), text);
console.log(`${entries.length} families`);
