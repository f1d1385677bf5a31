import { gzipSync } from 'node:zlib';
import { applyChange, type Edit, LIMITS, publishSite, WIDGETS } from '@cove/core';
import { tolvaneLarge } from '@cove/core/starters';
import { head, limit, median } from './statistics';

/** Resolving and printing the whole large demo: the first time this process does it, and after one edit. */
let site = tolvaneLarge(() => 'abcdef0123456789.webp');
const widget = [...site.kinds.widget.values()].find(it => it.widget === 'heading')?.id ?? '';

console.log(head('Resolving and printing the large demo, 100 pages'));
const began = performance.now();
const { files } = publishSite(site);
const cold = performance.now() - began;
const bytes = [...files.values()].reduce((sum, text) => sum + Buffer.byteLength(text), 0);
console.log(limit(`from cold, ${files.size} files, ${Math.round(bytes / 1024)} KB`, cold, 1000));

const times: number[] = [];
for (let n = 0; n < 40; n++) {
  const applied = applyChange(site, {
    edits: [
      {
        op: 'set',
        id: widget,
        path: ['styles', 'text/letterSpacing'],
        value: { type: 'dimension', value: { value: n / 1000, unit: 'em' } },
      },
    ],
  });
  if (!applied.ok) throw new Error(applied.problem.message);
  site = applied.value.site;
  const start = performance.now();
  publishSite(site);
  times.push(performance.now() - start);
}
console.log(limit('after one widget’s edit', median(times), 20));

/** The large demo with pages below its pages, two thousand more. */
const pages = [...site.kinds.page.values()];
const sections = [...site.kinds.section.values()].filter(it => it.area === 'main');
const puts = Array.from({ length: 2000 }, (_, i): Edit[] => {
  const page = pages[i % pages.length];
  const section = sections[i % sections.length];
  if (!page || !section) throw new Error('no page');
  const parent = page.path === '' ? 'settings' : page.id;
  return [
    { op: 'put', record: { ...page, id: `more${i}`, path: `more-${i}`, at: { parent, order: `z${i}V` } } },
    { op: 'put', record: { ...section, id: `in${i}`, at: { parent: `more${i}`, order: 'V' } } },
  ];
}).flat();
const grown = applyChange(site, { edits: puts }, LIMITS.computedChange);
if (!grown.ok) throw new Error(grown.problem.message);
let large = grown.value.site;
publishSite(large);
const renames: number[] = [];
for (let n = 0; n < 40; n++) {
  const renamed = applyChange(large, {
    edits: [{ op: 'set', id: 'more1999', path: ['title'], value: `Name ${n}` }],
  });
  if (!renamed.ok) throw new Error(renamed.problem.message);
  large = renamed.value.site;
  const start = performance.now();
  publishSite(large);
  renames.push(performance.now() - start);
}
console.log(
  limit(`one of ${large.kinds.page.size} pages renamed, that no other shows`, median(renames), 150),
);

const modules = WIDGETS.flatMap(({ behaviour }) => (behaviour === undefined ? [] : [behaviour]));
const packed = modules.reduce((sum, text) => sum + gzipSync(text).length, 0) / 1024;
console.log(limit('all modules of widgets, compressed', packed, 12, 'KB'));
