import { applyChange, publishSite } from '@cove/core';
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
